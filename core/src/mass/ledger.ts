/**
 * The mass ledger: items, payload rows and loadings to mass, CG and inertia.
 * Axes as the design: x aft, y right, z up. Payload rows fill from the middle of the bay
 * outward, so that the load's own centre stays near it.
 */
import type { Design, Item, Loading } from '../design';
import { planformOf } from '../surface';

export interface PointMass { id: string; name: string; mass: number; x: number; y: number; z: number; inWing: boolean; sigma: number }

export interface MassState {
  mass: number;
  x: number; y: number; z: number;
  /** about the CG [kg m2] */ ixx: number; iyy: number; izz: number; ixz: number;
  points: PointMass[];
}

/** Planned mass [kg] and place of one item; areal items take their surface's plan area and sit at 40 % of its mean chord (common practice). */
export function plannedItem(item: Item, design: Pick<Design, 'surfaces'>): { mass: number; x: number; z: number } {
  if (item.planned.kind === 'mass') return { mass: item.planned.mass, x: item.x, z: item.z };
  const planned = item.planned;
  const surface = design.surfaces.find((s) => s.id === planned.surface);
  if (!surface) return { mass: 0, x: item.x, z: item.z };
  const p = planformOf(surface);
  return { mass: planned.perArea * p.area, x: p.macX + 0.4 * p.mac, z: p.macZ };
}

/**
 * Items as point masses.
 * @param use 'plan' ignores the scale; 'best' takes the weighed mass where there is one
 * @param growth multiplies what is not weighed
 */
export function itemPoints(design: Design, use: 'plan' | 'best', growth: number): PointMass[] {
  return design.items.map((item) => {
    const plan = plannedItem(item, design);
    const weighed = use === 'best' ? item.weighed : null;
    const mass = weighed ?? plan.mass * growth;
    return { id: item.id, name: item.name, mass, x: plan.x, y: item.y, z: plan.z, inWing: item.inWing, sigma: weighed === null ? item.spread * mass : 0.002 * mass };
  });
}

/** Rows of payload filled from the middle of the bay outward; one point per unit. */
export function payloadPoints(design: Design, loading: Loading): PointMass[] {
  const p = design.payload;
  const most = Math.max(1, ...design.loadings.map((l) => l.count));
  const rows = Math.ceil(most / p.perRow);
  const middle = (rows - 1) / 2;
  const order = Array.from({ length: rows }, (_, i) => i).sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle) || a - b);
  return Array.from({ length: loading.count }, (_, k) => {
    const row = order[Math.floor(k / p.perRow)] ?? middle;
    return { id: `payload-${k}`, name: p.name, mass: p.unitMass, x: p.x + row * p.pitch, y: 0, z: p.z, inWing: false, sigma: 0.01 * p.unitMass };
  });
}

/** Mass, CG and inertia of point masses. */
export function massState(points: readonly PointMass[]): MassState {
  const mass = points.reduce((s, p) => s + p.mass, 0);
  const mean = (f: (p: PointMass) => number) => points.reduce((s, p) => s + p.mass * f(p), 0) / Math.max(mass, 1e-9);
  const x = mean((p) => p.x), y = mean((p) => p.y), z = mean((p) => p.z);
  let ixx = 0, iyy = 0, izz = 0, ixz = 0;
  for (const p of points) {
    const dx = p.x - x, dy = p.y - y, dz = p.z - z;
    ixx += p.mass * (dy * dy + dz * dz);
    iyy += p.mass * (dx * dx + dz * dz);
    izz += p.mass * (dx * dx + dy * dy);
    ixz += p.mass * dx * dz;
  }
  return { mass, x, y, z, ixx, iyy, izz, ixz, points: [...points] };
}

/** The aircraft in one loading. */
export function loadedState(design: Design, loading: Loading, use: 'plan' | 'best', growth: number): MassState {
  return massState([...itemPoints(design, use, growth), ...payloadPoints(design, loading)]);
}
