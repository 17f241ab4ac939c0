/**
 * What loads one half of a surface: the lift of its strips, the moment of its sections, less its own mass.
 * Strips carry F_j = q (A_j + CL B_j), linear in the trimmed lift coefficient and capped by what their section can lift; torque
 * about the members' own axis is nose-up positive.
 */
import { G0 } from '../air';
import { addPoint, operatorOf, spread, type Operator } from './beam';
import type { Bearing } from './bearing';

/** One lattice strip of the half. Lengths [m]. */
export interface LoadStrip {
  readonly inner: number;
  readonly width: number;
  readonly chord: number;
  /** local lift coefficient, trimmed: at CL 0, and what one more adds */ readonly low: number;
  readonly rise: number;
  /** largest and least that its section lifts */ readonly most: number;
  readonly least: number;
  /** moment coefficient of its section about the quarter chord */ readonly moment: number;
  /** share of an aileron's throw in it, down positive [1/rad]; 0 beside it */ readonly aileron: number;
}

/** Masses on one half, one newton of weight each way of lying. */
export interface OwnMass {
  /** [kg] */ readonly mass: number;
  /** along the span: as the chord, as its square, as a member, or at one place [m] */ readonly lies:
    | { readonly kind: 'chord' | 'chord squared' }
    | { readonly kind: 'members'; readonly of: readonly string[] }
    | { readonly kind: 'place'; readonly y: number; readonly aft: number };
}

/** Shear [N], moment and torque [N m] at the places of the bearing's grid. */
export interface Carried {
  readonly shear: Float64Array;
  readonly moment: Float64Array;
  readonly torque: Float64Array;
}

/** Where spread masses lie on the chord, as in the mass list. */
const MASS_PLACE = 0.4;

export const nothing = (n: number): Carried => ({
  shear: new Float64Array(n),
  moment: new Float64Array(n),
  torque: new Float64Array(n),
});

/** Members' axis on the chord at a distance out. */
function axisAt({ y, axis }: Bearing, at: number): number {
  let p = 0;
  while (p < y.length - 1 && y[p + 1] <= at) p++;
  return axis[p];
}

/** Geometry of a half, the same for all that loads it. */
export interface Span {
  readonly bearing: Bearing;
  readonly inner: readonly number[];
  readonly width: readonly number[];
  readonly chord: readonly number[];
  readonly axis: readonly number[];
  readonly operator: Operator;
}

export function spanOf(
  bearing: Bearing,
  strips: readonly Pick<LoadStrip, 'inner' | 'width' | 'chord'>[],
): Span {
  return {
    bearing,
    inner: strips.map((s) => s.inner),
    width: strips.map((s) => s.width),
    chord: strips.map((s) => s.chord),
    axis: strips.map((s) => axisAt(bearing, s.inner + s.width / 2)),
    operator: operatorOf(bearing.y, {
      inner: Float64Array.from(strips, (s) => s.inner),
      outer: Float64Array.from(strips, (s) => s.inner + s.width),
    }),
  };
}

/** Adds forces of the strips with the torque of each about the axis. */
function add({ operator }: Span, forces: Float64Array, torques: Float64Array, to: Carried, times = 1): void {
  spread(operator.shear, forces, to.shear, times);
  spread(operator.moment, forces, to.moment, times);
  spread(operator.shear, torques, to.torque, times);
}

/** Weight of the half's own masses at 1 g, pointing down. */
export function ownWeight(span: Span, masses: readonly OwnMass[]): Carried {
  const { bearing, width, chord, axis } = span,
    out = nothing(bearing.y.length),
    n = width.length;
  for (const { mass, lies } of masses) {
    if (lies.kind === 'place') {
      const at = axisAt(bearing, lies.y);
      addPoint(bearing.y, lies.y, -mass * G0, out.shear, out.moment);
      // a weight aft of the axis lifts the nose, as lift ahead of it does
      for (let p = 0; p < bearing.y.length; p++)
        if (lies.y > bearing.y[p]) out.torque[p] += mass * G0 * (lies.aft - at) * chordNear(span, lies.y);
      continue;
    }
    const share = sharesOf(span, lies),
      forces = Float64Array.from({ length: n }, (_, j) => -mass * G0 * share[j]);
    const torques = forces.map((f, j) =>
      lies.kind === 'members' ? 0 : -f * (MASS_PLACE - axis[j]) * chord[j],
    );
    add(span, forces, torques, out);
  }
  return out;
}

function chordNear({ inner, width, chord }: Span, y: number): number {
  const j = inner.findIndex((a, k) => y < a + width[k]);
  return chord[j < 0 ? chord.length - 1 : j];
}

/** Shares of a mass by strip; they sum to one. */
function sharesOf({ bearing, inner, width, chord }: Span, lies: OwnMass['lies']): number[] {
  const perLength = (j: number): number => {
    if (lies.kind === 'chord') return chord[j];
    if (lies.kind !== 'members') return chord[j] ** 2;
    const at = inner[j] + width[j] / 2,
      p = bearing.y.findIndex((y) => y >= at);
    if (p < 0) return 0;
    return bearing.members
      .filter((m) => lies.of.includes(m.member.id))
      .reduce((s, m) => s + (m.sections[p]?.perLength ?? 0), 0);
  };
  const raw = width.map((w, j) => w * perLength(j)),
    sum = raw.reduce((s, v) => s + v, 0);
  return sum > 0 ? raw.map((v) => v / sum) : raw;
}

const ROUNDS = 12,
  SETTLED = 1e-6;

/**
 * Lift coefficients of the strips at a trimmed CL, none past its section's limit: what a capped strip cannot carry the others
 * take, by more angle, until all have what they can.
 */
export function cappedLift(strips: readonly LoadStrip[], CL: number): { cl: Float64Array; capped: number } {
  const cl = new Float64Array(strips.length),
    area = strips.map((s) => s.chord * s.width);
  let wanted = 0;
  strips.forEach((s, j) => (wanted += area[j] * (s.low + CL * s.rise)));
  let at = CL,
    capped = 0;
  for (let k = 0; k < ROUNDS; k++) {
    let found = 0,
      more = 0;
    capped = 0;
    strips.forEach((s, j) => {
      const free = s.low + at * s.rise;
      cl[j] = Math.min(s.most, Math.max(s.least, free));
      found += area[j] * cl[j];
      if (cl[j] === free) more += area[j] * s.rise;
      else capped++;
    });
    const missing = wanted - found;
    if (capped === 0 || !(Math.abs(missing) > SETTLED * Math.abs(wanted)) || !(more > 0)) break;
    at += missing / more;
  }
  return { cl, capped };
}

/** What an aileron does to its section's moment: -0.01 a degree of throw (14 CFR 23.349, from memory) [1/rad]. */
const AILERON_MOMENT = -0.01 * (180 / Math.PI);

/**
 * Air on a half.
 * @param q dynamic pressure [Pa] @param CL trimmed lift coefficient @param throw_ of the ailerons, down [rad]
 */
export function airLoad(
  span: Span,
  strips: readonly LoadStrip[],
  q: number,
  CL: number,
  throw_ = 0,
): Carried {
  const out = nothing(span.bearing.y.length),
    { cl } = cappedLift(strips, CL),
    n = strips.length,
    forces = new Float64Array(n),
    torques = new Float64Array(n);
  for (let j = 0; j < n; j++) {
    const s = strips[j],
      cm = s.moment + AILERON_MOMENT * throw_ * s.aileron;
    forces[j] = q * cl[j] * s.chord * s.width;
    torques[j] = forces[j] * (span.axis[j] - 0.25) * s.chord + q * cm * s.chord ** 2 * s.width;
  }
  add(span, forces, torques, out);
  return out;
}

/** a + n b, each in its place. */
export function plus(a: Carried, b: Carried, n: number): Carried {
  const sum = (p: Float64Array, q: Float64Array) => p.map((v, i) => v + n * q[i]);
  return {
    shear: sum(a.shear, b.shear),
    moment: sum(a.moment, b.moment),
    torque: sum(a.torque, b.torque),
  };
}
