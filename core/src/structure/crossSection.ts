/**
 * A cross-section of parts of several materials that bend as one (transformed section):
 *   z0 = sum E A z / sum E A,  EI = sum E (I + A (z - z0)^2),  sigma = E M (z - z0) / EI,  tau = V EQ / (EI b)
 * and what it stands, way by way: the lowest counts. Heights z from the lowest fibre, up; a moment is positive where it
 * presses the upper face. Source: Gere, Mechanics of Materials, 6.3 (transformed section), 5.10 (shear in webs).
 */
import { designStress, type Material } from './materials';

export type Way =
  | 'compression'
  | 'tension'
  | 'bending'
  | 'wall-buckling'
  | 'flattening'
  | 'flange-buckling'
  | 'cap-buckling'
  | 'skin-buckling'
  | 'wrinkling'
  | 'shear'
  | 'web-buckling'
  | 'torsion'
  | 'sideways';

/** One way of failing and what it takes: a moment [N m], a force [N] or a torque [N m]. */
export interface Capacity {
  readonly way: Way;
  /** which part lets go */ readonly part: PartName;
  /** its material */ readonly material: string;
  readonly at: number;
  /** buckling goes with stiffness, breaking with strength */ readonly by: 'strength' | 'stiffness';
}

export type PartName =
  'member' | 'wall' | 'upper cap' | 'lower cap' | 'web' | 'flanges' | 'skin' | 'core' | 'sheet';

/** A part of a cross-section, without shear of its own. Lengths [m], area [m2]. */
export interface Slab {
  readonly part: PartName;
  readonly material: Material;
  readonly area: number;
  /** height of its centroid */ readonly z: number;
  /** second moment about its own centroid [m4] */ readonly own: number;
  readonly bottom: number;
  readonly top: number;
  /** stresses in compression at which it buckles by itself [Pa] */ readonly buckles?: readonly {
    way: Way;
    stress: number;
  }[];
}

export interface CrossSection {
  /** bending up and down [N m2] */ readonly EI: number;
  /** fore and aft [N m2] */ readonly EIside: number;
  /** torsion [N m2] */ readonly GJ: number;
  /** [kg/m] */ readonly perLength: number;
  /** overall [m] */ readonly height: number;
  readonly width: number;
  /** neutral axis above the lowest fibre [m] */ readonly neutral: number;
  /** moments that press the upper face, and the lower one [N m] */ readonly up: readonly Capacity[];
  readonly down: readonly Capacity[];
  /** [N] */ readonly shear: readonly Capacity[];
  /** [N m] */ readonly torque: readonly Capacity[];
  readonly slabs: readonly Slab[];
}

/** Rectangle. @param bottom height of its lower edge [m] */
export function block(
  part: PartName,
  material: Material,
  [width, height]: readonly [number, number],
  bottom: number,
  buckles: Slab['buckles'] = [],
): Slab {
  return {
    part,
    material,
    area: width * height,
    z: bottom + height / 2,
    own: (width * height ** 3) / 12,
    bottom,
    top: bottom + height,
    buckles,
  };
}

/** Neutral axis [m] and bending stiffness [N m2] of parts that bend as one. */
export function bendingOf(slabs: readonly Slab[]): { neutral: number; EI: number } {
  let EA = 0,
    EAz = 0;
  for (const s of slabs) {
    EA += s.material.modulus * s.area;
    EAz += s.material.modulus * s.area * s.z;
  }
  const neutral = EA > 0 ? EAz / EA : 0;
  const EI = slabs.reduce((sum, s) => sum + s.material.modulus * (s.own + s.area * (s.z - neutral) ** 2), 0);
  return { neutral, EI };
}

const NEARLY = 1e-9;

/** Moment at which one fibre of a part reaches what it stands. @param arm of the fibre, positive where it is pressed [m] */
function atFibre(slab: Slab, arm: number, EI: number): Capacity[] {
  if (!(Math.abs(arm) > NEARLY)) return [];
  const { material, part } = slab,
    k = EI / (material.modulus * Math.abs(arm)),
    mode = arm > 0 ? 'compression' : 'tension';
  const out: Capacity[] = [
    { way: mode, part, material: material.name, at: k * designStress(material, mode), by: 'strength' },
  ];
  if (arm > 0)
    for (const b of slab.buckles ?? [])
      out.push({ way: b.way, part, material: material.name, at: k * b.stress, by: 'stiffness' });
  return out;
}

/** Pressed and pulled faces that let go together are told of as bending: neither governs. */
function together(all: readonly Capacity[]): Capacity[] {
  const sorted = [...all].sort((a, b) => a.at - b.at);
  const [first, second] = sorted;
  const pair =
    first && second && second.at - first.at <= 1e-6 * first.at && first.way !== second.way
      ? [first.way, second.way].sort().join()
      : '';
  return pair === 'compression,tension' ? [{ ...first!, way: 'bending' }, ...sorted.slice(2)] : sorted;
}

/** What parts that bend as one stand in bending, lowest first. @param up the upper face is pressed */
export function bendingCapacities(slabs: readonly Slab[], up: boolean): Capacity[] {
  const { neutral, EI } = bendingOf(slabs),
    sign = up ? 1 : -1;
  return together(
    slabs.flatMap((s) => [
      ...atFibre(s, sign * (s.top - neutral), EI),
      ...atFibre(s, sign * (s.bottom - neutral), EI),
    ]),
  );
}

/** First moment of what lies above the neutral axis, weighted by E [N m]: rectangles are cut by it. */
function firstMoment(slabs: readonly Slab[]): number {
  const { neutral } = bendingOf(slabs);
  return slabs.reduce((sum, s) => {
    const low = Math.max(s.bottom, neutral);
    if (!(s.top > low)) return sum;
    const share = (s.top - low) / (s.top - s.bottom);
    return sum + s.material.modulus * s.area * share * (0.5 * (s.top + low) - neutral);
  }, 0);
}

/** Force at which the web is sheared, V = tau EI b / EQ. @param width of all webs at the neutral axis [m] */
export function shearCapacity(
  slabs: readonly Slab[],
  web: { part: PartName; material: Material; width: number },
): Capacity {
  const { EI } = bendingOf(slabs),
    EQ = firstMoment(slabs);
  return {
    way: 'shear',
    part: web.part,
    material: web.material.name,
    at: EQ > 0 ? (designStress(web.material, 'shear') * EI * web.width) / EQ : Infinity,
    by: 'strength',
  };
}

/** The lowest of several ways of failing. */
export function lowest(ways: readonly Capacity[]): Capacity | null {
  return ways.reduce<Capacity | null>((a, w) => (a === null || w.at < a.at ? w : a), null);
}
