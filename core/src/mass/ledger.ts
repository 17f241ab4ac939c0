/**
 * The mass ledger: items, payload rows and states to mass, CG and inertia.
 * Axes as the design: x aft, y right, z up. Payload rows fill from the middle of the bay
 * outward, so that the load's own centre stays near it.
 */
import { type Design, type Item, type State } from '../design';
import { hungMass } from '../drag';
import { bodyFacts, planformOf, stationAt } from '../surface';
import { measuresOf } from './made';
import { memberMass } from '../structure';
import { aboard, followedMass, followsMembers } from './parts';

export interface PointMass {
  id: string;
  mass: number;
  x: number;
  y: number;
  z: number;
  inWing: boolean;
  /** standard uncertainty [kg] */ sigma: number;
  /** about its own centre [kg m2]; a point has none */ own?: { ixx: number; iyy: number; izz: number };
}

export interface MassState {
  mass: number;
  x: number;
  y: number;
  z: number;
  /** about the CG [kg m2] */ ixx: number;
  iyy: number;
  izz: number;
  ixz: number;
  /** standard uncertainty of the mass [kg] and of the CG along x [m], from those of the items */ sigmaMass: number;
  sigmaX: number;
  points: PointMass[];
}

type Planned = Pick<
  Design,
  'surfaces' | 'body' | 'sections' | 'power' | 'drives' | 'thrusters' | 'structure'
>;
type Laden = { payload: Design['payload']; states: readonly Pick<State, 'count'>[] };
/** What masses and places are made of. */
export type MassDesign = Planned & Pick<Design, 'items'> & Laden;
type LadenState = Pick<State, 'count' | 'leaves' | 'moved' | 'absent' | 'towed'>;

/** What a line weighs as far as is known [kg]: the scale's reading, else as planned; nothing for a part that is not aboard. */
export function itemMass(item: Item, design: Planned): number {
  return aboard(design, item) ? (item.weighed ?? plannedItem(item, design).mass) : 0;
}

/**
 * Planned mass [kg] and place of one item; areal items take their surface's plan area and sit at 40 % of its mean
 * chord (common practice); made ones where their volume lies; members of the structure where they are drawn.
 */
export function plannedItem(item: Item, design: Planned): { mass: number; x: number; z: number } {
  const planned = item.planned;
  if (!aboard(design, item)) return { mass: 0, x: item.x, z: item.z };
  if (planned.kind === 'mass') return { mass: planned.mass, x: item.x, z: item.z };
  if (planned.kind === 'part') {
    const at = followsMembers(item) ? memberMass(design, item.part?.of) : null;
    return { mass: followedMass(design, item), x: at?.x ?? item.x, z: at?.z ?? item.z };
  }
  if (planned.kind === 'made') {
    const m = measuresOf(design, planned.part);
    if (!m) return { mass: 0, x: item.x, z: item.z };
    const { skin, core, covering } = planned;
    const mass =
      (skin ? m.wetted * skin.thickness * skin.density : 0) +
      (core
        ? Math.max(0, m.volume - (skin ? m.wetted * skin.thickness : 0)) * core.density * core.infill
        : 0) +
      (covering ? m.wetted * covering.perArea : 0);
    return { mass, x: m.x, z: m.z };
  }
  const surface = design.surfaces.find((s) => s.id === planned.surface);
  if (!surface) return { mass: 0, x: item.x, z: item.z };
  const p = planformOf(surface);
  return { mass: planned.perArea * p.area, x: p.macX + 0.4 * p.mac, z: p.macZ };
}

/** Mean square distance from the middle of a surface's area, along its span [m2]. */
function spanSquare(surface: Design['surfaces'][number]): number {
  const s = surface.stations,
    end = s[s.length - 1].y,
    y0 = surface.y ?? 0,
    N = 16;
  let area = 0,
    sum = 0;
  for (let i = 0; i < N; i++) {
    const y = (end * (i + 0.5)) / N,
      c = stationAt(surface, y).chord;
    area += c;
    sum += c * (y0 + y) ** 2;
  }
  return sum / area;
}

/**
 * Inertia of an item about its own centre: surfaces spread over their span, boxes over their sides, structure that
 * is neither over the body as a shell, what is in the wing at the middle of each half, the rest as a cube of its group's
 * density (common practice): a mass typed at y = z = 0 still has a roll inertia.
 */
function ownInertia(item: Item, mass: number, design: Planned): PointMass['own'] {
  const planned = item.planned;
  const part = planned.kind === 'areal' ? planned.surface : planned.kind === 'made' ? planned.part : null;
  const surface = design.surfaces.find((s) => s.id === part);
  if (surface) {
    const k = mass * spanSquare(surface),
      c = (mass * planformOf(surface).mac ** 2) / 16;
    return surface.role === 'fin' ? { ixx: k / 4, iyy: k / 4 + c, izz: c } : { ixx: k, iyy: c, izz: k + c };
  }
  if (item.box) {
    const { length: l, width: w, height: h } = item.box;
    return {
      ixx: (mass * (w * w + h * h)) / 12,
      iyy: (mass * (l * l + h * h)) / 12,
      izz: (mass * (l * l + w * w)) / 12,
    };
  }
  const members = followsMembers(item) ? memberMass(design, item.part?.of) : null;
  if (members)
    return {
      ixx: mass * members.span,
      iyy: mass * members.chord,
      izz: mass * (members.span + members.chord),
    };
  if (item.inWing) {
    const b = planformOf(design.surfaces.find((s) => s.role === 'wing')!).span;
    const k = mass * (b / 4) ** 2;
    return { ixx: k, iyy: 0, izz: k };
  }
  if (item.group === 'structure') {
    // a thin shell of elliptic section, as long as the body: (w^2 + h^2)/8 about its axis
    const b = bodyFacts(design.body),
      k = (mass * b.length ** 2) / 12;
    return { ixx: (mass * (b.width ** 2 + b.height ** 2)) / 8, iyy: k, izz: k };
  }
  return lump(mass, PACKED[item.group]);
}

/** Mass over the room it takes [kg/m3], for items without a size of their own. Common practice, no source. */
const PACKED: Readonly<Record<Item['group'], number>> = {
  structure: 150,
  propulsion: 3000,
  battery: 1900,
  electronics: 1200,
  gear: 800,
  other: 500,
};
const PAYLOAD_PACKED = 900;

/** A cube of that density: m a^2 / 6 about each axis. */
function lump(mass: number, density: number): { ixx: number; iyy: number; izz: number } {
  const k = (mass * (mass / density) ** (2 / 3)) / 6;
  return { ixx: k, iyy: k, izz: k };
}

/**
 * Items as point masses, where they stand in the design.
 * @param use 'plan' ignores the scale; 'best' takes the weighed mass where there is one
 * @param growth multiplies what is not weighed
 */
export function itemPoints(
  design: Planned & Pick<Design, 'items'>,
  use: 'plan' | 'best',
  growth: number,
): PointMass[] {
  return design.items.map((item) => {
    const plan = plannedItem(item, design);
    const weighed = use === 'best' && aboard(design, item) ? item.weighed : null;
    const mass = weighed ?? plan.mass * growth;
    return {
      id: item.id,
      mass,
      x: plan.x,
      y: item.y,
      z: plan.z,
      inWing: item.inWing,
      sigma: weighed === null ? item.spread * mass : 0.002 * mass,
      own: ownInertia(item, mass, design),
    };
  });
}

/** Items that are aboard in a state, where it has them. */
function inState(items: readonly PointMass[], { absent, moved }: LadenState): PointMass[] {
  return items.flatMap((p) => {
    if (absent?.includes(p.id)) return [];
    const to = moved?.find((m) => m.item === p.id);
    return [to ? { ...p, x: to.x ?? p.x, y: to.y ?? p.y, z: to.z ?? p.z } : p];
  });
}

/** The order in which rows of the bay are filled: those that leave last first. */
function fillOrder(rows: number, leaves: NonNullable<State['leaves']>): number[] {
  const all = Array.from({ length: rows }, (_, i) => i),
    middle = (rows - 1) / 2;
  if (leaves === 'front first') return all.reverse();
  if (leaves === 'rear first') return all;
  return all.sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle) || a - b);
}

/** Units of payload, one point each. By default rows fill from the middle of the bay outward; the last filled leaves first. */
export function payloadPoints(design: Laden, loading: Pick<State, 'count' | 'leaves'>): PointMass[] {
  const p = design.payload;
  const most = Math.max(1, loading.count, ...design.states.map((l) => l.count));
  const rows = Math.ceil(most / p.perRow);
  const order = fillOrder(rows, loading.leaves ?? 'outer first');
  return Array.from({ length: loading.count }, (_, k) => {
    const row = order[Math.floor(k / p.perRow)] ?? (rows - 1) / 2;
    return {
      id: `payload-${k}`,
      mass: p.unitMass,
      x: p.x + row * p.pitch,
      y: 0,
      z: p.z,
      inWing: false,
      sigma: 0.01 * p.unitMass,
      own: lump(p.unitMass, PAYLOAD_PACKED),
    };
  });
}

/** Mass, CG and inertia of point masses. */
export function massState(points: readonly PointMass[]): MassState {
  const mass = points.reduce((s, p) => s + p.mass, 0);
  const mean = (f: (p: PointMass) => number) =>
    points.reduce((s, p) => s + p.mass * f(p), 0) / Math.max(mass, 1e-9);
  const x = mean((p) => p.x),
    y = mean((p) => p.y),
    z = mean((p) => p.z);
  let ixx = 0,
    iyy = 0,
    izz = 0,
    ixz = 0;
  for (const p of points) {
    const dx = p.x - x,
      dy = p.y - y,
      dz = p.z - z;
    ixx += p.mass * (dy * dy + dz * dz) + (p.own?.ixx ?? 0);
    iyy += p.mass * (dx * dx + dz * dz) + (p.own?.iyy ?? 0);
    izz += p.mass * (dx * dx + dy * dy) + (p.own?.izz ?? 0);
    ixz += p.mass * dx * dz;
  }
  const sigmaMass = Math.sqrt(points.reduce((s, p) => s + p.sigma ** 2, 0));
  const sigmaX = Math.sqrt(points.reduce((s, p) => s + (p.sigma * (p.x - x)) ** 2, 0)) / Math.max(mass, 1e-9);
  return { mass, x, y, z, ixx, iyy, izz, ixz, sigmaMass, sigmaX, points: [...points] };
}

/** What is towed bears on its hook, wherever its line hangs. */
function towedPoints(t: State['towed']): PointMass[] {
  if (!t) return [];
  const mass = hungMass(t);
  return [{ id: 'towed', mass, x: t.x, y: 0, z: t.z, inWing: false, sigma: 0.01 * mass }];
}

/** The items of an aircraft in one state with what it carries and tows. */
export function ladenState(items: readonly PointMass[], bay: Laden, state: LadenState): MassState {
  return massState([...inState(items, state), ...payloadPoints(bay, state), ...towedPoints(state.towed)]);
}

/** The aircraft in one state with what it carries and tows. */
export function loadedState(
  design: MassDesign,
  state: LadenState,
  use: 'plan' | 'best',
  growth: number,
): MassState {
  return ladenState(itemPoints(design, use, growth), design, state);
}

/**
 * The design as it stood on the scale: every part of a state weighs its share of what was read, and all of it is shifted to
 * the CG that was found. Payload and what is towed keep their own mass.
 * @param mass all-up in that state [kg] @param cgX where it balanced [m], or null
 */
export function weighedDesign(design: Design, loadingId: string, mass: number, cgX: number | null): Design {
  const loading = design.states.find((l) => l.id === loadingId);
  if (!loading) return design;
  const state = loadedState(design, loading, 'best', 1),
    payload = loading.count * design.payload.unitMass + (loading.towed ? hungMass(loading.towed) : 0),
    share = (mass - payload) / (state.mass - payload);
  if (!(share > 0 && Number.isFinite(share))) return design;
  const own = new Map(state.points.map((p) => [p.id, p.mass]));
  const items = design.items.map((i) => (own.has(i.id) ? { ...i, weighed: share * own.get(i.id)! } : i));
  const there = { ...design, items };
  if (cgX === null) return there;
  const empty = mass - payload,
    shift = ((cgX - loadedState(there, loading, 'best', 1).x) * mass) / empty;
  return { ...there, items: items.map((i) => moved(i, there, shift)) };
}

/** An item set down elsewhere; what is placed by its surface becomes a plain mass there. */
function moved(item: Item, design: Design, shift: number): Item {
  const at = plannedItem(item, design);
  return { ...item, planned: { kind: 'mass', mass: at.mass }, x: at.x + shift, z: at.z };
}

/** Steps of mass [kg] and CG [m] that are small and never nil: one spread of the state where it has one. */
export function massSteps(s: MassState): { mass: number; x: number; z: number } {
  const far = Math.max(...s.points.map((p) => Math.abs(p.x - s.x)), 1e-3);
  const x = Math.max(s.sigmaX, 1e-3 * far);
  return { mass: Math.max(s.sigmaMass, 1e-3 * s.mass, 1e-9), x, z: x };
}

/** The heaviest state that flies; the heaviest of all where only hover is asked. */
export function heaviestState(
  items: readonly PointMass[],
  bay: Pick<Laden, 'payload'> & { states: readonly (LadenState & Pick<State, 'hover'>)[] },
): MassState {
  const flying = bay.states.filter((l) => l.hover !== true);
  return (flying.length > 0 ? flying : bay.states)
    .map((l) => ladenState(items, bay, l))
    .reduce((m, s) => (s.mass > m.mass ? s : m));
}

/** The CG while the payload leaves unit by unit, from full to empty. */
export function cgPath(
  design: Design,
  loading: State,
  growth = 1,
): { count: number; mass: number; x: number; z: number }[] {
  return Array.from({ length: loading.count + 1 }, (_, k) => {
    const count = loading.count - k,
      s = loadedState(design, { ...loading, count }, 'best', growth);
    return { count, mass: s.mass, x: s.x, z: s.z };
  });
}

/** Mass and CG from two or three scales, each reading under a known point. @throws nothing: no mass gives null */
export function cgFromScales(
  readings: readonly { x: number; y: number; mass: number }[],
): { mass: number; x: number; y: number } | null {
  const mass = readings.reduce((s, r) => s + r.mass, 0);
  if (!(mass > 0)) return null;
  return {
    mass,
    x: readings.reduce((s, r) => s + r.mass * r.x, 0) / mass,
    y: readings.reduce((s, r) => s + r.mass * r.y, 0) / mass,
  };
}
