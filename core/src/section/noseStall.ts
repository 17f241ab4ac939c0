/**
 * Stall that begins at the nose of a thin section, where the layer cannot climb from the suction peak to the trailing
 * edge's pressure. The coupled equations let the nose bubble close at any peak, so the bound is a measured one: at largest
 * lift the pressure difference between the peak and the trailing edge, in the flow without layers, is one curve over
 * Reynolds number. Source: Valarezo and Chin, Journal of Aircraft 31(1), 1994, curve for Mach 0.15 to 0.2 (from memory,
 * perhaps 1 either way: 4 % in lift). It begins at 1e6; below, its first value is held, where the coupled solution's own
 * nose bubble bursts first on every rounded section tried.
 */
import { interpolateLinear } from '../numeric';
import type { FlowPoint } from './flowPoint';
import { inviscidAt, type InviscidBasis } from './panels';
import { beyondStall } from './stall';

const LOG_RE = [1e6, 2e6, 3e6, 5e6, 7e6, 1e7, 2e7].map(Math.log);
const DIFFERENCE = [7.5, 9.5, 10.8, 12.3, 13, 13.4, 13.8];
export const NOSE_STALL =
  'Lift ends at the nose, by the suction peak that a nose is known to bear: expect a sharp stall.';
/** The peak is sought here; a flap's knee is not a nose. */
const NOSE_CHORD = 0.15;
const STEEPEST = 0.6;

/** Largest difference of pressure coefficients that a nose bears. @param reynolds of the chord */
export function bearableDifference(reynolds: number): number {
  return interpolateLinear(LOG_RE, DIFFERENCE, Math.log(reynolds));
}

/** Suction peak of the nose less the trailing edge's pressure, without layers, on the face that an angle loads. */
function differenceAt(basis: InviscidBasis, alpha: number): number {
  const { at0, at90, contour } = basis,
    c = Math.cos(alpha),
    s = Math.sin(alpha);
  const edge = c * at0[0] + s * at90[0];
  let peak = 0;
  for (let i = 0; i < at0.length; i++)
    if (contour.xy[2 * i] < NOSE_CHORD) peak = Math.max(peak, Math.abs(c * at0[i] + s * at90[i]));
  return peak * peak - edge * edge;
}

/**
 * Lift coefficient at which the nose gives way.
 * @param side 1 up, -1 down
 * @returns of that side's sign; infinite where no angle up to 34 degrees reaches the bound
 */
export function noseLimit(basis: InviscidBasis, reynolds: number, side: 1 | -1): number {
  const bound = bearableDifference(reynolds);
  let lo = 0,
    hi = STEEPEST;
  if (differenceAt(basis, side * hi) < bound) return side * Infinity;
  for (let i = 0; i < 40; i++) {
    const mid = 0.5 * (lo + hi);
    if (differenceAt(basis, side * mid) > bound) hi = mid;
    else lo = mid;
  }
  return inviscidAt(basis, side * lo).cl;
}

/** Between two neighbours at a share of the way; what is not a number is the nearer one's. */
function between(a: FlowPoint, b: FlowPoint, t: number): FlowPoint {
  const mix = (x: number, y: number) => x * (1 - t) + y * t;
  return {
    alpha: mix(a.alpha, b.alpha),
    cl: mix(a.cl, b.cl),
    cd: mix(a.cd, b.cd),
    cm: mix(a.cm, b.cm),
    transitionUpper: mix(a.transitionUpper, b.transitionUpper),
    transitionLower: mix(a.transitionLower, b.transitionLower),
    separationUpper: mix(a.separationUpper, b.separationUpper),
    separationLower: mix(a.separationLower, b.separationLower),
    bubble: t < 0.5 ? a.bubble : b.bubble,
  };
}

/** Points up to a lift that the nose bears, the last one at it; all of them where none passes it. */
function upTo(points: readonly FlowPoint[], limit: number, side: 1 | -1): FlowPoint[] {
  const over = points.findIndex((p) => side * p.cl > side * limit);
  if (over < 0) return [...points];
  if (over === 0) return [points[0]];
  const a = points[over - 1],
    b = points[over];
  return [...points.slice(0, over), between(a, b, (limit - a.cl) / (b.cl - a.cl))];
}

export interface NoseCut {
  /** ascending in angle */ points: FlowPoint[];
  /** the nose ends the lift upwards */ up: boolean;
  down: boolean;
}

/**
 * A polar's points without those whose nose would have given way.
 * @param points solved, ascending in angle; the walk's middle is kept whatever the bound
 * @param middle index of the point the walk began at
 */
export function cutAtNose(
  points: readonly FlowPoint[],
  middle: number,
  basis: InviscidBasis,
  reynolds: number,
): NoseCut {
  const above = points.slice(middle),
    below = points.slice(0, middle + 1).reverse();
  const up = upTo(above, noseLimit(basis, reynolds, 1), 1),
    down = upTo(below, noseLimit(basis, reynolds, -1), -1);
  const cut = (kept: FlowPoint[], all: readonly FlowPoint[]) => kept[kept.length - 1] !== all[all.length - 1];
  return { points: [...down.slice(1).reverse(), ...up], up: cut(up, above), down: cut(down, below) };
}

/**
 * Points at asked angles, those past the nose's stall upwards by the flat-plate law from there on.
 * @param points ascending in angle, null where none settled
 */
export function heldAtNose(
  points: readonly (FlowPoint | null)[],
  basis: InviscidBasis,
  reynolds: number,
): { points: (FlowPoint | null)[]; stall: FlowPoint | null } {
  const solved = points.flatMap((p) => (p ? [p] : []));
  const kept = upTo(solved, noseLimit(basis, reynolds, 1), 1),
    stall = kept[kept.length - 1];
  if (stall === undefined || stall === solved[solved.length - 1]) return { points: [...points], stall: null };
  const past = (p: FlowPoint): FlowPoint => ({ ...p, ...beyondStall(p.alpha, stall), bubble: null });
  return { points: points.map((p) => (p && p.alpha > stall.alpha ? past(p) : p)), stall };
}
