/** Shares of the weight on the rotors, and level flight on them. */
import { G0 } from '../air';
import { hasWing, hovers, liftingPlaces, siteSpread, windGrowth, type Design } from '../design';
import { hoverShare, type HoverShare, type Lifter } from '../layout';
import {
  balancedThrust,
  operate,
  rotorFlight as flyOnRotors,
  rotorPoint,
  standingTable,
  type FrameDrag,
  type RotorFlight,
  type StandingTable,
} from '../power';
import { siteGust } from '../structure';
import { air, asked } from './air';
import { balance, heaviest } from './balance';
import { drives, energy } from './drive';
import { curvesOf, part, quantitiesOf, remark } from './quantity';
import { NOTHING, step } from './step';

export interface Shares extends HoverShare {
  /** thrust over weight that still balances with the worst rotor lost; null for fewer than five */ readonly without:
    number | null;
  readonly hovers: boolean;
}

/** null: fewer than two rotors stand anywhere, or nobody knows what they give. */
export const shares = step({
  id: 'rotor shares',
  scope: 'state',
  needs: { balance, drives },
  slice: ({ design }, state) => ({
    places: liftingPlaces(design),
    hovers: hovers(design, state),
  }),
  run: ({ balance: { state }, drives: { lifting } }, { places, hovers }): Shares | null => {
    const each = lifting && operate(lifting, 1, 0).thrust / lifting.count,
      rotors = places.flatMap((p): Lifter[] => {
        const most = each ?? p.maxThrust;
        return most === null ? [] : [{ ...p, most }];
      });
    const share = hoverShare(rotors, state);
    if (!share) return null;
    const arms = rotors.map((r) => ({ x: r.x - state.x, y: r.y - state.y, most: r.most })),
      lost = arms.map((_, k) => balancedThrust(arms.map((r, i) => (i === k ? { ...r, most: 0 } : r))));
    // fewer than five cannot lose one and stay level: where they just could it hangs on a millimetre
    const without = arms.length > 4 ? Math.min(...lost) / (state.mass * G0) : null;
    return { ...share, without, hovers };
  },
});

/** What its lifting drive takes standing still, over the throttle. */
export const standing = step({
  id: 'lift drive over throttle',
  scope: 'all',
  needs: { drives },
  slice: NOTHING,
  run: ({ drives: { lifting } }): { table: StandingTable | null } => ({
    table: lifting && standingTable(lifting),
  }),
});

/** Drag coefficient of an unfaired box, on its faces. Hoerner, Fluid-Dynamic Drag, 3 (from memory). */
const BOX = 1.05;
const LARGEST_LEAN = 35 * (Math.PI / 180);

/** As typed; else a box as large as the body. With a wing it is not known. */
export function frameDragOf(
  d: Pick<Design, 'frameDrag' | 'body' | 'surfaces' | 'dragItems'>,
): (FrameDrag & { typed: boolean }) | null {
  const more = d.dragItems.reduce((s, i) => s + i.dragArea, 0);
  if (d.frameDrag)
    return {
      front: d.frameDrag.front + more,
      side: d.frameDrag.side + more,
      top: d.frameDrag.top + more,
      typed: true,
    };
  if (hasWing(d)) return null;
  const length = Math.max(...d.body.map((b) => b.x)) - Math.min(...d.body.map((b) => b.x)),
    width = Math.max(...d.body.map((b) => b.width)),
    height = Math.max(...d.body.map((b) => b.height)),
    of = (a: number, b: number) => BOX * a * b + more;
  return { front: of(width, height), side: of(length, height), top: of(length, width), typed: false };
}

/** Speeds that its flight on rotors is drawn at: they do not move with what is uncertain. */
const rotorNodes = step({
  id: 'rotor speeds',
  scope: 'all',
  needs: { asked, heaviest, drives, standing },
  still: true,
  byContent: true,
  slice: (source) => ({ frame: frameDragOf(source.design), lean: leanOf(source.design) }),
  run: ({ asked, heaviest, drives: { lifting }, standing: { table } }, { frame, lean }) => {
    if (!lifting || !table || !frame) return { at: [] as readonly number[] };
    const craft = { drive: lifting, table, weight: heaviest.mass * G0, frame, density: asked.density },
      top = flyOnRotors(craft, lean).fastest?.speed ?? 0,
      last = Math.max(4, Math.ceil(1.15 * top));
    return { at: Array.from({ length: 33 }, (_, i) => (last * i) / 32) as readonly number[] };
  },
});

const leanOf = (d: Pick<Design, 'flight'>) => d.flight.lean ?? LARGEST_LEAN;

interface OnRotors extends RotorFlight {
  readonly wind: number;
  readonly gust: number;
  /** of what may be used, less the reserve [A s] */ readonly charge: number;
  readonly chart: { x: readonly number[]; power: readonly number[]; climb: readonly number[] };
  readonly guessed: boolean;
}

/** null: it does not hang in this state, nothing lifts it, or what the air holds against it is not known. */
export const rotorFlight = step({
  id: 'flight on rotors',
  scope: 'state',
  needs: { air, balance, drives, energy, standing, rotorNodes },
  causes: ['wind', 'dragArea'],
  slice: ({ brief: { site }, design }, state) => ({
    frame: hovers(design, state) ? frameDragOf(design) : null,
    added: state.addedDrag ?? 0,
    lean: leanOf(design),
    wind: site.wind,
    gust: siteGust(site),
    spread: siteSpread(site).wind,
    growth: windGrowth(site),
    reserve: design.flight.reserve,
  }),
  run: (r, s, f): OnRotors | null => {
    const {
      drives: { lifting },
      standing: { table },
    } = r;
    if (!s.frame || !lifting || !table) return null;
    const of = (area: number) => f.dragArea * (area + s.added),
      frame = { front: of(s.frame.front), side: of(s.frame.side), top: of(s.frame.top) };
    const craft = {
      drive: lifting,
      table,
      weight: r.balance.state.mass * G0,
      frame,
      density: r.air.density,
    };
    const x = r.rotorNodes.at,
      points = x.map((v) => rotorPoint(craft, v));
    return {
      ...flyOnRotors(craft, s.lean),
      wind: s.growth * Math.max(0, s.wind + f.wind * s.spread),
      gust: s.gust,
      charge: (1 - s.reserve) * r.energy.lifting,
      chart: { x, power: points.map((p) => p.power), climb: points.map((p) => (p.held ? p.climb : NaN)) },
      guessed: !s.frame.typed,
    };
  },
});

const LEISHMAN =
  'Glauert’s induced flow times 1.15, profile power by 1 + 4.65 μ² (Leishman, Principles of Helicopter Aerodynamics, from memory), standing still by blade elements';
const SHARE = 'Least squares over the places of the rotors: the mixer’s own answer where they are alike';

const guessed = (r: OnRotors | null) => remark(r?.guessed === true, 'frame-drag-guessed', {});

const SHARES = quantitiesOf(shares, {
  rotorLoad: {
    name: 'Most loaded rotor',
    kind: 'percent',
    station: 'power',
    formula: 'largest of its share of {mass} · g over its full thrust, CG at {cgX}',
    method: SHARE,
    better: 'less',
    read: (r) => (r?.hovers && !r.beside ? Math.max(...r.rotors.map((t) => t.load)) : undefined),
  },
  rotorOut: {
    name: 'Thrust to weight, worst rotor lost',
    kind: 'ratio',
    station: 'power',
    formula: 'most thrust without a moment about {cgX} while one gives none / ({mass} · g)',
    method: 'Linear programme over the rotors’ places; yaw let go',
    better: 'more',
    read: (r) => (r?.hovers && !r.beside ? (r.without ?? undefined) : undefined),
  },
});

const FLIGHT = quantitiesOf(rotorFlight, {
  rotorTopSpeed: {
    name: 'Top speed on rotors',
    kind: 'speed',
    station: 'flight',
    formula: 'greatest V with the lean inside its largest and the shaft power inside full throttle’s',
    method: LEISHMAN,
    better: 'more',
    read: (r) => r?.fastest?.speed,
    remarks: guessed,
  },
  windMargin: {
    name: 'Wind it holds beyond the day’s',
    kind: 'speed',
    station: 'flight',
    formula: '{rotorTopSpeed} − wind − gust',
    method: 'Airspeed against the wind',
    better: 'more',
    read: (r) => (r?.fastest ? r.fastest.speed - r.wind - r.gust : undefined),
    remarks: guessed,
  },
  longestTime: {
    name: 'Longest in the air',
    kind: 'duration',
    station: 'flight',
    formula: '(1 − reserve) · usable charge / current at {longestSpeed}',
    method: LEISHMAN,
    better: 'more',
    read: (r) => (r?.longest ? r.charge / r.longest.current : undefined),
  },
  longestSpeed: {
    name: 'Speed that lasts longest',
    kind: 'speed',
    station: 'flight',
    formula: 'V of least pack power',
    method: LEISHMAN,
    read: (r) => r?.longest?.speed,
  },
  farthestWay: {
    name: 'Farthest way',
    kind: 'distance',
    station: 'flight',
    formula: '{farthestSpeed} · (1 − reserve) · usable charge / current, no wind',
    method: LEISHMAN,
    better: 'more',
    read: (r) => (r?.farthest ? (r.charge / r.farthest.current) * r.farthest.speed : undefined),
    remarks: guessed,
  },
  farthestSpeed: {
    name: 'Speed that goes farthest',
    kind: 'speed',
    station: 'flight',
    formula: 'V of least pack power / V',
    method: LEISHMAN,
    read: (r) => r?.farthest?.speed,
  },
  riseRate: {
    name: 'Climb straight up',
    kind: 'climbRate',
    station: 'flight',
    formula: 'speed along the shaft at which full throttle carries {mass} · g and the drag from above',
    method: 'Blade elements, axial flow',
    better: 'more',
    read: (r) => r?.rise,
  },
  ringDescent: {
    name: 'Descend no faster than',
    kind: 'climbRate',
    station: 'flight',
    formula:
      'half of √({mass} · g / (2 · {airDensity} · disc area)); from there the rotors stir their own wash',
    method: 'Vortex ring from 0.5 to 1.5 of the induced velocity (Leishman, from memory)',
    better: 'more',
    read: (r) => r?.ring[0],
  },
});

const CURVES = curvesOf(rotorFlight, {
  rotorPower: { xKind: 'speed', yKind: 'power', read: (r) => r && { x: r.chart.x, y: r.chart.power } },
  rotorClimb: { xKind: 'speed', yKind: 'climbRate', read: (r) => r && { x: r.chart.x, y: r.chart.climb } },
});

/** What only a state that hangs on its rotors has. */
export const ON_ROTORS_IDS = [...Object.keys(SHARES), ...Object.keys(FLIGHT)];

export const ROTORS_PART = part(
  [shares, standing, rotorNodes, rotorFlight],
  { ...SHARES, ...FLIGHT },
  CURVES,
);
