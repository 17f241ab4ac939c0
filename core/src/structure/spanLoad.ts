/**
 * What loads one half of a surface: the lift of its strips, the moment of its sections, less its own mass. Everything is
 * linear but what a section cannot lift: loads of a unit of each part are made once for a shape, and a case is their sum.
 *   l_j = q 2 g_j w_j,  g_j = shape_j + alpha a_j + elevator e_j  (strengths of the lattice over V)
 * Torque about the members' own axis, nose-up positive: l (axis - 1/4) c + q cm c2 w.
 */
import { G0 } from '../air';
import { addPoint, operatorOf, spread, type Operator } from './beam';
import type { Bearing } from './bearing';

/** One lattice strip of the half. Lengths [m]. */
export interface SpanStrip {
  readonly inner: number;
  readonly width: number;
  readonly chord: number;
  /** strength over V [m]: with no angle, by one rad of angle and by one of pitch control */ readonly shape: number;
  readonly alpha: number;
  readonly elevator: number;
  /** moment coefficient of its section about the quarter chord */ readonly moment: number;
  /** 1 where an aileron stands in it */ readonly aileron: number;
}

/** How a mass lies along the span: as the chord, as its square, as members, or at one place [m]. */
export type Lies =
  | { readonly kind: 'chord' | 'chord squared' }
  | { readonly kind: 'members'; readonly of: readonly string[] }
  | { readonly kind: 'place'; readonly y: number; readonly aft: number };

/** Shear [N], moment and torque [N m] at the places of the bearing's grid. */
export interface Carried {
  readonly shear: Float64Array;
  readonly moment: Float64Array;
  readonly torque: Float64Array;
}

export const nothing = (n: number): Carried => ({
  shear: new Float64Array(n),
  moment: new Float64Array(n),
  torque: new Float64Array(n),
});

/** Adds so many times a load to another. */
export function addTo(sum: Carried, load: Carried, times: number): void {
  const { shear, moment, torque } = sum;
  for (let p = 0; p < shear.length; p++) {
    shear[p] += times * load.shear[p];
    moment[p] += times * load.moment[p];
    torque[p] += times * load.torque[p];
  }
}

/** Geometry of a half, and loads by a unit of dynamic pressure. */
export interface Span {
  readonly bearing: Bearing;
  readonly strips: readonly SpanStrip[];
  /** members' axis on the chord of each strip */ readonly axis: readonly number[];
  readonly operator: Operator;
  readonly unit: {
    readonly shape: Carried;
    readonly alpha: Carried;
    readonly elevator: Carried;
    /** of the sections’ own moments, and of a rad of aileron, down */ readonly moment: Carried;
    readonly aileron: Carried;
  };
}

/** Where spread masses lie on the chord, as in the mass list. */
const MASS_PLACE = 0.4;

/** What an aileron does to its section's moment: -0.01 a degree of throw (14 CFR 23.349, from memory) [1/rad]. */
const AILERON_MOMENT = -0.01 * (180 / Math.PI);

/** Members' axis on the chord at a distance out. */
function axisAt({ y, axis }: Bearing, at: number): number {
  let p = 0;
  while (p < y.length - 1 && y[p + 1] <= at) p++;
  return axis[p];
}

type Geometry = Pick<Span, 'bearing' | 'strips' | 'axis' | 'operator'>;

/** Load of a force and a torque on every strip. */
function loadOf(g: Geometry, forces: Float64Array, torques: Float64Array): Carried {
  const out = nothing(g.bearing.y.length);
  spread(g.operator.shear, forces, out.shear);
  spread(g.operator.moment, forces, out.moment);
  spread(g.operator.shear, torques, out.torque);
  return out;
}

/** Load of lift forces that act at the quarter chord. */
function liftLoad(g: Geometry, forces: Float64Array): Carried {
  const torques = forces.map((f, j) => f * (g.axis[j] - 0.25) * g.strips[j].chord);
  return loadOf(g, forces, torques);
}

export function spanOf(bearing: Bearing, strips: readonly SpanStrip[]): Span {
  const g: Geometry = {
    bearing,
    strips,
    axis: strips.map((s) => axisAt(bearing, s.inner + s.width / 2)),
    operator: operatorOf(bearing.y, {
      inner: Float64Array.from(strips, (s) => s.inner),
      outer: Float64Array.from(strips, (s) => s.inner + s.width),
    }),
  };
  const none = new Float64Array(strips.length),
    lift = (of: (s: SpanStrip) => number) =>
      liftLoad(
        g,
        Float64Array.from(strips, (s) => 2 * of(s) * s.width),
      ),
    turn = (of: (s: SpanStrip) => number) =>
      loadOf(
        g,
        none,
        Float64Array.from(strips, (s) => of(s) * s.chord ** 2 * s.width),
      );
  return {
    ...g,
    unit: {
      shape: lift((s) => s.shape),
      alpha: lift((s) => s.alpha),
      elevator: lift((s) => s.elevator),
      moment: turn((s) => s.moment),
      aileron: turn((s) => AILERON_MOMENT * s.aileron),
    },
  };
}

function chordNear({ strips }: Geometry, y: number): number {
  return (strips.find((s) => y < s.inner + s.width) ?? strips[strips.length - 1]).chord;
}

/** Shares of a mass by strip; they sum to one. */
function sharesOf({ bearing, strips }: Geometry, lies: Exclude<Lies, { kind: 'place' }>): Float64Array {
  const perLength = (s: SpanStrip): number => {
    if (lies.kind === 'chord') return s.chord;
    if (lies.kind !== 'members') return s.chord ** 2;
    const p = bearing.y.findIndex((y) => y >= s.inner + s.width / 2);
    if (p < 0) return 0;
    return bearing.members
      .filter((m) => lies.of.includes(m.member.id))
      .reduce((sum, m) => sum + (m.sections[p]?.perLength ?? 0), 0);
  };
  const raw = Float64Array.from(strips, (s) => s.width * perLength(s)),
    sum = raw.reduce((s, v) => s + v, 0);
  return sum > 0 ? raw.map((v) => v / sum) : raw;
}

/** Weight of one kilogram of the half at 1 g, pointing down; a weight aft of the axis lifts the nose. */
export function weightOf(g: Geometry, lies: Lies): Carried {
  if (lies.kind === 'place') {
    const out = nothing(g.bearing.y.length),
      arm = (lies.aft - axisAt(g.bearing, lies.y)) * chordNear(g, lies.y);
    addPoint(g.bearing.y, lies.y, -G0, out.shear, out.moment);
    g.bearing.y.forEach((y, p) => (out.torque[p] = lies.y > y ? G0 * arm : 0));
    return out;
  }
  const forces = sharesOf(g, lies).map((share) => -G0 * share);
  const torques = forces.map((f, j) =>
    lies.kind === 'members' ? 0 : -f * (MASS_PLACE - g.axis[j]) * g.strips[j].chord,
  );
  return loadOf(g, forces, torques);
}

/** Trimmed flow, linear in the lift coefficient: angle and pitch control at CL 0, and what one more adds [rad]. */
export interface TrimLine {
  readonly low: { readonly alpha: number; readonly elevator: number };
  readonly rise: { readonly alpha: number; readonly elevator: number };
}

/** Largest and least lift coefficient of every strip's section. */
export interface SectionLimits {
  readonly most: Float64Array;
  readonly least: Float64Array;
}

/** Writes shape, angle and pitch control, each so many times. */
function mix({ shape, alpha, elevator }: Span['unit'], s: number, a: number, e: number, out: Carried): void {
  for (let p = 0; p < out.shear.length; p++) {
    out.shear[p] = s * shape.shear[p] + a * alpha.shear[p] + e * elevator.shear[p];
    out.moment[p] = s * shape.moment[p] + a * alpha.moment[p] + e * elevator.moment[p];
    out.torque[p] = s * shape.torque[p] + a * alpha.torque[p] + e * elevator.torque[p];
  }
}

const ROUNDS = 12,
  SETTLED = 1e-6;

/**
 * Lift coefficients of the strips at a trimmed CL, none past its section's limit: what a capped strip cannot carry the others
 * take, by more angle, until all have what they can.
 * @returns null where no section is at its limit
 */
export function cappedLift(g: Geometry, t: TrimLine, limits: SectionLimits, CL: number): number[] | null {
  const { strips } = g,
    { most, least } = limits,
    n = strips.length,
    low = new Array<number>(n),
    rise = new Array<number>(n);
  let capped = false,
    wanted = 0;
  for (let j = 0; j < n; j++) {
    const s = strips[j],
      k = 2 / s.chord;
    low[j] = k * (s.shape + t.low.alpha * s.alpha + t.low.elevator * s.elevator);
    rise[j] = k * (t.rise.alpha * s.alpha + t.rise.elevator * s.elevator);
    const free = low[j] + CL * rise[j];
    wanted += s.chord * s.width * free;
    capped ||= free > most[j] || free < least[j];
  }
  if (!capped) return null;
  const cl = new Array<number>(n);
  let at = CL;
  for (let k = 0; k < ROUNDS; k++) {
    let found = 0,
      more = 0;
    for (let j = 0; j < n; j++) {
      const area = strips[j].chord * strips[j].width,
        free = low[j] + at * rise[j];
      cl[j] = free > most[j] ? most[j] : free < least[j] ? least[j] : free;
      found += area * cl[j];
      if (cl[j] === free) more += area * rise[j];
    }
    const missing = wanted - found;
    if (!(Math.abs(missing) > SETTLED * Math.abs(wanted)) || !(more > 0)) break;
    at += missing / more;
  }
  return cl;
}

/** Writes the load of lift coefficients that the strips have: `liftLoad` in one pass over the operator. */
function capLoad({ strips, axis, operator }: Span, cl: readonly number[], q: number, out: Carried): void {
  const n = strips.length,
    forces = new Array<number>(n),
    torques = new Array<number>(n);
  for (let j = 0; j < n; j++) {
    const { chord, width } = strips[j];
    forces[j] = q * cl[j] * chord * width;
    torques[j] = forces[j] * (axis[j] - 0.25) * chord;
  }
  for (let p = 0, row = 0; p < out.shear.length; p++, row += n) {
    let shear = 0,
      moment = 0,
      torque = 0;
    for (let j = 0; j < n; j++) {
      const share = operator.shear[row + j];
      shear += share * forces[j];
      moment += operator.moment[row + j] * forces[j];
      torque += share * torques[j];
    }
    out.shear[p] = shear;
    out.moment[p] = moment;
    out.torque[p] = torque;
  }
}

/**
 * Writes the air on a half.
 * @param q dynamic pressure [Pa] @param CL trimmed lift coefficient @param aileron throw, down [rad]
 * @param out owned by the caller: what stood in it goes
 */
export function airLoad(
  span: Span,
  trim: TrimLine,
  limits: SectionLimits,
  of: { q: number; CL: number; aileron?: number },
  out: Carried = nothing(span.bearing.y.length),
): Carried {
  const { q, CL, aileron = 0 } = of,
    { unit } = span,
    cl = cappedLift(span, trim, limits, CL);
  if (cl) capLoad(span, cl, q, out);
  else
    mix(
      unit,
      q,
      q * (trim.low.alpha + CL * trim.rise.alpha),
      q * (trim.low.elevator + CL * trim.rise.elevator),
      out,
    );
  for (let p = 0; p < out.torque.length; p++)
    out.torque[p] += q * (unit.moment.torque[p] + aileron * unit.aileron.torque[p]);
  return out;
}
