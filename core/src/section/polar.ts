/**
 * Lift, drag and moment of a section at one Reynolds number: inviscid panels plus a one-way
 * boundary layer. The layer's displacement at the trailing edge turns the effective angle, and a
 * separated tail lowers lift by Kirchhoff's free-streamline factor ((1 + sqrt f) / 2)^2
 * (Thwaites (ed.), Incompressible Aerodynamics, 1960). Drag by Squire and Young, ARC R&M 1838, 1937.
 * Range: Re 3e4 to 1e7 and thickness 5 to 20 %; outside, and past the stall, points say so.
 */
import { clamp, interpolateLinear, requireInRange } from '../numeric';
import { marchLayer, type LayerEnd } from './boundaryLayer';
import { inviscidAt, solveInviscid, type InviscidBasis } from './panels';
import type { Contour } from './contour';

export interface PolarPoint {
  /** [rad] */ alpha: number;
  cl: number;
  cd: number;
  /** about the quarter chord */ cm: number;
  /** transition on the upper face, fraction of its arc */ transitionUpper: number;
  /** attached share of the upper face */ attached: number;
  bubble: number;
  /** past the largest lift: estimate only */ stalled: boolean;
}

export interface Polar {
  readonly reynolds: number;
  readonly points: readonly PolarPoint[];
  readonly clMax: number;
  readonly clMin: number;
  readonly alphaStall: number;
  readonly warnings: readonly string[];
  /** lift and drag of the points that are not stalled, lift ascending: the lookup tables */
  readonly attachedCl: readonly number[];
  readonly attachedCd: readonly number[];
}

const DEG = Math.PI / 180;

/** Surface speed split at the stagnation point: [upper, lower], each from the stagnation point aft. */
function splitAtStagnation(basis: InviscidBasis, speed: Float64Array): { s: Float64Array; u: Float64Array }[] {
  const n = speed.length;
  let k = 1;
  while (k < n - 1 && speed[k] * speed[0] > 0) k++;
  const sZero = basis.arc[k - 1] + ((basis.arc[k] - basis.arc[k - 1]) * speed[k - 1]) / (speed[k - 1] - speed[k]);
  const side = (idx: number[]) => {
    const s = new Float64Array(idx.length + 1), u = new Float64Array(idx.length + 1);
    idx.forEach((i, j) => { s[j + 1] = Math.max(Math.abs(basis.arc[i] - sZero), s[j] + 1e-7); u[j + 1] = Math.max(1e-4, Math.abs(speed[i])); });
    return { s, u };
  };
  return [side(Array.from({ length: k }, (_, j) => k - 1 - j)), side(Array.from({ length: n - k }, (_, j) => k + j))];
}

/** Squire and Young: drag of one face from its end state. */
function faceDrag(end: LayerEnd): number {
  const H = Math.min(end.shape, 2.4);
  return 2 * end.theta * end.edgeSpeed ** ((H + 5) / 2);
}

interface Attached { alpha: number; up: LayerEnd; lo: LayerEnd; /** turning of the flow by the layers [rad] */ turn: number }

function layersAt(basis: InviscidBasis, alpha: number, reynolds: number): Attached {
  const [up, lo] = splitAtStagnation(basis, inviscidAt(basis, alpha).speed).map((f) => marchLayer(f.s, f.u, reynolds));
  return { alpha, up, lo, turn: clamp(up.deltaStar - lo.deltaStar, -0.04, 0.04) };
}

/** Lift, drag and moment once the layers and their turning are known. */
function pointFrom(basis: InviscidBasis, { alpha, up, lo, turn }: Attached): PolarPoint {
  const eff = inviscidAt(basis, alpha - turn);
  const f = clamp(eff.cl >= 0 ? up.separation : lo.separation, 0.02, 1);
  const loss = ((1 + Math.sqrt(f)) / 2) ** 2;
  const opened = 1 - f;
  return {
    alpha,
    cl: eff.cl * loss,
    cd: faceDrag(up) + faceDrag(lo) + opened * opened * (0.02 + 1.6 * Math.sin(alpha) ** 2),
    cm: eff.cm - 0.12 * eff.cl * (1 - loss),
    transitionUpper: up.transition,
    attached: f,
    bubble: Math.max(up.bubble, lo.bubble),
    stalled: false,
  };
}

/** The turning, smoothed over neighbouring angles: where a bubble reaches the edge the one-way layer jumps, the real flow does not. */
function smoothTurn(list: readonly Attached[]): Attached[] {
  let turns = list.map((p) => p.turn);
  for (let pass = 0; pass < 3; pass++) turns = turns.map((t, i) => 0.25 * turns[Math.max(0, i - 1)] + 0.5 * t + 0.25 * turns[Math.min(turns.length - 1, i + 1)]);
  return list.map((p, i) => ({ ...p, turn: turns[i] }));
}

/**
 * Polar of a contour at one Reynolds number, -10 to 18 degrees by one.
 * @param reynolds 1e4 to 2e7
 * @throws DomainError `out-of-range`
 */
export function polarOf(contour: Contour, reynolds: number, basis = solveInviscid(contour)): Polar {
  requireInRange('Reynolds number', reynolds, 1e4, 2e7);
  const layers = Array.from({ length: 29 }, (_, i) => layersAt(basis, (i - 10) * DEG, reynolds));
  const raw = smoothTurn(layers).map((p) => pointFrom(basis, p));
  const zero = raw.findIndex((p) => p.cl > 0);
  const firstPeak = (dir: 1 | -1, from: number) => {
    let i = from;
    while (raw[i + dir] && dir * raw[i + dir].cl > dir * raw[i].cl) i += dir;
    return i;
  };
  const top = firstPeak(1, Math.max(0, zero)), bottom = firstPeak(-1, Math.max(0, zero));
  const warnings: string[] = [];
  if (reynolds < 6e4) warnings.push('Below a Reynolds number of 60 000 laminar bubbles decide; this estimate is rough there.');
  const attached = raw.slice(bottom, top + 1);
  return {
    reynolds,
    attachedCl: attached.map((p) => p.cl),
    attachedCd: attached.map((p) => p.cd),
    points: raw.map((p, i) => ({ ...p, stalled: i > top || i < bottom })),
    clMax: raw[top].cl,
    clMin: raw[bottom].cl,
    alphaStall: raw[top].alpha,
    warnings,
  };
}

/** A section's polars over Reynolds numbers, ascending; linear in log Re and in cl on the attached range. */
export interface PolarSet { readonly polars: readonly Polar[]; readonly zeroLift: number; readonly moment: number }

export function polarSet(contour: Contour, reynolds: readonly number[]): PolarSet {
  const basis = solveInviscid(contour);
  const zero = inviscidAt(basis, 0);
  const slope = inviscidAt(basis, 0.05).cl - zero.cl;
  return { polars: reynolds.map((re) => polarOf(contour, re, basis)), zeroLift: (-0.05 * zero.cl) / slope, moment: zero.cm };
}

function blend(set: PolarSet, reynolds: number, of: (p: Polar) => number): number {
  const { polars } = set;
  let i = 0;
  while (i < polars.length - 2 && polars[i + 1].reynolds < reynolds) i++;
  if (polars.length === 1) return of(polars[0]);
  const t = clamp(Math.log(reynolds / polars[i].reynolds) / Math.log(polars[i + 1].reynolds / polars[i].reynolds), 0, 1);
  return of(polars[i]) * (1 - t) + of(polars[i + 1]) * t;
}

function dragOf(p: Polar, cl: number): number {
  const xs = p.attachedCl, ys = p.attachedCd;
  const last = xs.length - 1;
  const over = cl > xs[last] ? cl - xs[last] : cl < xs[0] ? xs[0] - cl : 0;
  if (over > 0) return (cl > xs[last] ? ys[last] : ys[0]) + 0.5 * over * over + 0.05 * over;
  return interpolateLinear(xs, ys, cl);
}

/** Profile drag coefficient at a lift coefficient and Reynolds number; past the stall it rises steeply. */
export function profileDrag(set: PolarSet, cl: number, reynolds: number): number {
  return blend(set, reynolds, (p) => dragOf(p, cl));
}

/** Largest lift coefficient at a Reynolds number; ends of the computed range are held. */
export function sectionClMax(set: PolarSet, reynolds: number): number {
  return blend(set, reynolds, (p) => p.clMax);
}
