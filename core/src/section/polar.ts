/**
 * Polars of a section: the coupled solution walked over angles, largest lift and stall angle, what happens beyond,
 * and tables over Reynolds numbers.
 * Range: Re 2e4 to 2e7. Points that did not settle are marked and carry no invented numbers: they are left out of
 * every table, and beyond the stall the flat-plate extension of `stall.ts` takes over, marked as such.
 */
import { clamp, contentKey, interpolateLinear, requireInRange } from '../numeric';
import { repanel, type Contour } from './contour';
import { solveFlow } from './coupled';
import { FREE, prepareSection, type FlowOptions, type FlowState, type PreparedSection } from './prepared';
import { pointOf, type FlowPoint } from './flowPoint';
import { cutAtNose, NOSE_STALL } from './noseStall';
import { inviscidAt, solveInviscid, type InviscidBasis } from './panels';
import { beyondStall } from './stall';

const DEG = Math.PI / 180;

export interface PolarPoint extends FlowPoint {
  /** past the largest lift of its side */ stalled: boolean;
  /** solved: the coupled flow; extended: flat-plate law beyond the stall; table: measurements and theory */
  how: 'solved' | 'extended' | 'table';
}

export interface Polar {
  readonly reynolds: number;
  readonly points: readonly PolarPoint[];
  readonly clMax: number;
  /** largest lift of the layer alone, where the nose gives way before it does */ readonly layerClMax?: number;
  readonly clMin: number;
  /** [rad] */ readonly alphaStall: number;
  /** asked for and not settled [rad] */ readonly missed: readonly number[];
  readonly confidence: 'good' | 'fair' | 'low';
  readonly warnings: readonly string[];
  /** lift and drag of the points that are not stalled, lift ascending: the lookup tables */
  readonly attachedCl: readonly number[];
  readonly attachedCd: readonly number[];
}

export interface SweepHooks {
  /** called after every point; return false to stop */ onPoint?: (
    done: number,
    point: FlowPoint | null,
  ) => boolean;
}

/** A contour ready for any number of polars. */
export function prepareContour(contour: Contour): PreparedSection {
  return prepareSection(solveInviscid(contour));
}

/** Angle where the flow without layers has this lift [rad]. */
function angleOfLift(basis: InviscidBasis, cl: number): number {
  const a = inviscidAt(basis, 0).cl,
    b = inviscidAt(basis, 0.05).cl;
  return (0.05 * (cl - a)) / (b - a);
}

/** A settled flow and the panels it was settled on. */
export interface Settled {
  readonly state: FlowState;
  readonly prep: PreparedSection;
}

/** Panels of the second try. */
const COARSE = 100;
/** Tries on the fine panels that may fail in a row before only the coarse ones are asked. */
const PATIENCE = 2;

/** Walks from angle to angle, keeping the last good points to start from. */
class Walker {
  good: FlowState | null = null;
  before: FlowState | null = null;
  private failed = 0;
  private second: Walker | null = null;
  constructor(
    private readonly prep: PreparedSection,
    private readonly re: number,
    private readonly opt: FlowOptions,
  ) {}

  /** Back to a point to walk the other way. */
  from(s: Settled): void {
    this.failed = 0;
    this.second = null;
    this.before = null;
    this.good = s.prep === this.prep ? s.state : null;
  }

  private solve(alpha: number, afresh = false): FlowState | null {
    const start = afresh ? { from: null } : { from: this.good, before: this.before };
    const s = solveFlow(this.prep, this.re, this.opt, alpha, start);
    if (!s.converged) return null;
    const p = pointOf(this.prep, s, this.re);
    // a settled point that jumps out of the section's possibilities is no solution
    if (!(Math.abs(p.cl) < 4 && p.cd > 0 && p.cd < 1)) return null;
    this.before = this.good;
    this.good = s;
    return s;
  }

  /** From its neighbours, by way of a point in between, or from nothing; null when it never settles. */
  private try(alpha: number): FlowState | null {
    const s = this.solve(alpha);
    if (s) return s;
    if (
      this.good &&
      Math.abs(alpha - this.good.alpha) > 0.3 * DEG &&
      this.solve(0.5 * (this.good.alpha + alpha))
    ) {
      const again = this.solve(alpha);
      if (again) return again;
    }
    return this.solve(alpha, true);
  }

  /** A point on these panels, or on coarser ones when it does not settle here; null when on neither. */
  to(alpha: number): Settled | null {
    const s = this.failed < PATIENCE ? this.try(alpha) : null;
    if (s) {
      this.failed = 0;
      return { state: s, prep: this.prep };
    }
    this.failed++;
    if (this.prep.n <= COARSE + 1) return null;
    this.second ??= new Walker(coarseOf(this.prep), this.re, this.opt);
    const t = this.second;
    // it has to come to the angle from somewhere near
    if (!t.good && this.good) t.begin(this.good.alpha);
    return t.to(alpha);
  }

  /** A first point at or near an angle. */
  begin(alpha: number): Settled | null {
    for (const d of [0, 1, -1, 2.5, -2.5, 4]) {
      this.good = null;
      this.before = null;
      const s = this.solve(alpha + d * DEG);
      if (s) return { state: s, prep: this.prep };
    }
    return null;
  }
}

const coarser = new WeakMap<PreparedSection, PreparedSection>();
function coarseOf(prep: PreparedSection): PreparedSection {
  let c = coarser.get(prep);
  if (!c) {
    const { xy } = prep.basis.contour;
    c = prepareContour(
      repanel(
        Array.from({ length: xy.length / 2 }, (_, i) => [xy[2 * i], xy[2 * i + 1]] as const),
        COARSE,
      ),
    );
    coarser.set(prep, c);
  }
  return c;
}

/**
 * The flow at given angles, in the order given back ascending.
 * @param alphas [rad], any order
 * @returns a point an angle; null where it did not settle
 * @throws DomainError `out-of-range` for a Reynolds number outside 1e4 to 2e7
 */
export function analyseAngles(
  prep: PreparedSection,
  reynolds: number,
  alphas: readonly number[],
  options: FlowOptions = FREE,
  hooks: SweepHooks = {},
): { alpha: number; settled: Settled | null; point: FlowPoint | null }[] {
  requireInRange('Reynolds number', reynolds, 1e4, 2e7);
  const sorted = [...alphas].sort((a, b) => a - b);
  const out = sorted.map((alpha) => ({
    alpha,
    settled: null as Settled | null,
    point: null as FlowPoint | null,
  }));
  const walker = new Walker(prep, reynolds, options);
  // always from the same easy angle outwards, so that a point does not depend on which others were asked for
  const seed = out.length === 0 ? null : walker.begin(angleOfLift(prep.basis, 0.5));
  if (!seed) return out;
  const above = sorted.findIndex((a) => a >= seed.state.alpha - 1e-9),
    first = above < 0 ? sorted.length : above;
  let done = 0,
    going = true;
  const run = (from: number, step: 1 | -1) => {
    walker.from(seed);
    let lost = 0,
      at = seed.state.alpha;
    for (let i = from; going && i >= 0 && i < out.length && lost < 4; i += step) {
      // long steps are taken in short ones
      const target = out[i].alpha,
        legs = Math.min(12, Math.max(1, Math.ceil((Math.abs(target - at) - 1e-9) / (2 * DEG))));
      let s: Settled | null = null;
      for (let k = 1; k <= legs; k++) {
        const a = at + ((target - at) * k) / legs;
        s = Math.abs(a - seed.state.alpha) < 1e-9 ? seed : walker.to(a);
      }
      lost = s ? 0 : lost + 1;
      if (s) at = target;
      out[i].settled = s;
      out[i].point = s && pointOf(s.prep, s.state, reynolds);
      going = hooks.onPoint?.(++done, out[i].point) ?? true;
    }
  };
  run(first, 1);
  if (going) run(first - 1, -1);
  return out;
}

/** Largest of a peaked list by a parabola through its top and its neighbours; never beyond twice the rise. */
function peak(points: readonly FlowPoint[], sign: 1 | -1): { cl: number; alpha: number; at: number } {
  let at = 0;
  points.forEach((p, i) => {
    if (sign * p.cl > sign * points[at].cl) at = i;
  });
  const b = points[at],
    a = points[at - 1],
    c = points[at + 1];
  if (!a || !c) return { cl: b.cl, alpha: b.alpha, at };
  const h1 = b.alpha - a.alpha,
    h2 = c.alpha - b.alpha,
    d1 = (b.cl - a.cl) / h1,
    d2 = (c.cl - b.cl) / h2;
  const curve = (d2 - d1) / (h1 + h2),
    slope = d1 + curve * h1;
  const shift = curve === 0 ? 0 : clamp(-slope / (2 * curve), -h1 / 2, h2 / 2);
  return { cl: b.cl + slope * shift + curve * shift * shift, alpha: b.alpha + shift, at };
}

/**
 * Largest lift of a list of points, ascending in angle, and its angle [rad]; null for an empty list. `inside` is false
 * when it lies at the end.
 */
export function largestLift(
  points: readonly FlowPoint[],
): { cl: number; alpha: number; inside: boolean } | null {
  if (points.length === 0) return null;
  const p = peak(points, 1);
  return { cl: p.cl, alpha: p.alpha, inside: p.at < points.length - 1 };
}

export interface PolarOptions extends FlowOptions {
  /** [rad] */ step: number;
}
const STEP: PolarOptions = { ...FREE, step: 1.5 * DEG };
const LOWEST = -12 * DEG,
  HIGHEST = 22 * DEG,
  SHOWN_TO = 24 * DEG;

/** What is told of a walk while it goes on. */
interface Told {
  /** angles that did not settle [rad] */ readonly missed: number[];
  readonly hooks: SweepHooks;
  /** points settled so far */ readonly count: { done: number };
}

/** Walks one way until lift has clearly fallen, or the end of the range. */
function walkOut(walker: Walker, re: number, from: number, step: number, told: Told): FlowPoint[] {
  const { missed, hooks, count } = told;
  const out: FlowPoint[] = [];
  const sign = Math.sign(step);
  let alpha = from,
    best = -Infinity,
    falls = 0,
    lost = 0;
  for (;;) {
    // shorter steps where the aft flow begins to let go, so that the top is met
    const last = out[out.length - 1];
    const near = last !== undefined && (sign > 0 ? last.separationUpper : last.separationLower) < 0.97;
    alpha += near ? 0.67 * step : step;
    if (alpha > HIGHEST || alpha < LOWEST) break;
    const s = walker.to(alpha);
    if (!s) {
      missed.push(alpha);
      if (++lost > 1 || sign < 0) break;
      continue;
    }
    lost = 0;
    const p = pointOf(s.prep, s.state, re);
    out.push(p);
    if (hooks.onPoint && !hooks.onPoint(++count.done, p)) break;
    if (sign * p.cl > best + 1e-4) {
      best = sign * p.cl;
      falls = 0;
    } else if (++falls >= 2) break;
  }
  return out;
}

/** Polar of a prepared contour at one Reynolds number; see `polarOf`. */
export function polarOfPrepared(
  prep: PreparedSection,
  reynolds: number,
  options: PolarOptions = STEP,
  hooks: SweepHooks = {},
): Polar {
  requireInRange('Reynolds number', reynolds, 1e4, 2e7);
  const walker = new Walker(prep, reynolds, options);
  const missed: number[] = [],
    count = { done: 0 };
  const begun = walker.begin(Math.round(angleOfLift(prep.basis, 0.5) / options.step) * options.step);
  if (!begun) return nothing(reynolds);
  const middle = pointOf(prep, begun.state, reynolds);
  const up = walkOut(walker, reynolds, begun.state.alpha, options.step, { missed, hooks, count });
  walker.from(begun);
  const down = walkOut(walker, reynolds, begun.state.alpha, -options.step, { missed, hooks, count });
  const free = [...down.reverse(), middle, ...up];
  const { points: raw, up: nose } = cutAtNose(free, down.length, prep.basis, reynolds);
  const top = peak(raw, 1),
    bottom = peak(raw, -1);
  const open = !nose && top.at === raw.length - 1;
  const solved = raw.map((p, i): PolarPoint => ({
    ...p,
    how: 'solved',
    stalled: i > top.at || i < bottom.at,
  }));
  const points = [...solved, ...extension(solved, options.step)];
  const attached = points.filter((p) => !p.stalled).sort((a, b) => a.cl - b.cl);
  return {
    reynolds,
    points,
    clMax: top.cl,
    ...(nose ? { layerClMax: peak(free, 1).cl } : {}),
    clMin: bottom.cl,
    alphaStall: top.alpha,
    missed,
    warnings: polarWarnings(reynolds, missed.length, open, nose),
    confidence:
      reynolds < 3e4 || missed.length > raw.length / 6
        ? 'low'
        : reynolds < 6e4 || open || (nose && reynolds < 1e6)
          ? 'fair'
          : 'good',
    attachedCl: attached.map((p) => p.cl),
    attachedCd: attached.map((p) => p.cd),
  };
}

function polarWarnings(reynolds: number, missed: number, open: boolean, nose: boolean): string[] {
  const out: string[] = [];
  if (reynolds < 3e4)
    out.push('Below a Reynolds number of 30 000 the method is outside its range: an order of size.');
  if (missed > 0)
    out.push(
      `${missed} ${missed === 1 ? 'angle' : 'angles'} did not settle and ${missed === 1 ? 'is' : 'are'} left out.`,
    );
  if (open) out.push('The largest lift lies at the last angle that settled; the real one may be higher.');
  if (nose) out.push(NOSE_STALL);
  return out;
}

function nothing(reynolds: number): Polar {
  return {
    reynolds,
    points: [],
    clMax: 0,
    clMin: 0,
    alphaStall: 0,
    missed: [0],
    confidence: 'low',
    warnings: ['No angle settled: the shape is outside what the method can do.'],
    attachedCl: [],
    attachedCd: [],
  };
}

/** Points past the last settled one, by the flat-plate law. */
function extension(points: readonly PolarPoint[], step: number): PolarPoint[] {
  const last = points[points.length - 1];
  if (!(last && last.alpha > 0.05 && last.cl > 0)) return [];
  const out: PolarPoint[] = [];
  for (let a = last.alpha + 2 * step; a <= SHOWN_TO + 1e-9; a += 2 * step) {
    const e = beyondStall(a, last);
    out.push({ ...last, alpha: a, cl: e.cl, cd: e.cd, stalled: true, how: 'extended', bubble: null });
  }
  return out;
}

const memory = new Map<string, Polar>();
const MEMORY_LIMIT = 400;

/** Key of a polar by the content of everything it depends on. */
export function polarKey(
  contour: Contour,
  reynolds: number,
  options: PolarOptions & { /** the low-Reynolds method, whatever it found */ low?: true } = STEP,
): string {
  return contentKey([
    Array.from(contour.xy, (v) => Math.round(v * 1e7)),
    Math.round(reynolds),
    options,
    'coupled-2',
  ]);
}
/** Puts a polar computed elsewhere (another worker, the database) where `polarOf` finds it. */
export function rememberPolar(key: string, polar: Polar): void {
  if (memory.size >= MEMORY_LIMIT) memory.delete(memory.keys().next().value!);
  memory.set(key, polar);
}
export function recallPolar(key: string): Polar | undefined {
  return memory.get(key);
}

/**
 * Polar of a contour at one Reynolds number: from the middle outwards to both stalls.
 * Kept by content, so that the same section is computed once.
 * @param reynolds 1e4 to 2e7
 * @throws DomainError `out-of-range`, or `singular` for a contour that cannot be panelled
 */
export function polarOf(
  contour: Contour,
  reynolds: number,
  options: PolarOptions = STEP,
  prep?: PreparedSection,
): Polar {
  const key = polarKey(contour, reynolds, options);
  const known = memory.get(key);
  if (known) return known;
  const polar = polarOfPrepared(prep ?? prepareContour(contour), reynolds, options);
  rememberPolar(key, polar);
  return polar;
}

/** A section's polars over Reynolds numbers, ascending; linear in log Re and in cl on the attached range. */
export interface PolarSet {
  readonly polars: readonly Polar[];
  readonly zeroLift: number;
  readonly moment: number;
}

/** Angle of no lift and moment there of the flow without layers. */
export function freeMoments(basis: InviscidBasis): { zeroLift: number; moment: number } {
  const zero = inviscidAt(basis, 0),
    slope = inviscidAt(basis, 0.05).cl - zero.cl;
  return { zeroLift: (-0.05 * zero.cl) / slope, moment: zero.cm };
}

export function polarSet(
  contour: Contour,
  reynolds: readonly number[],
  options: PolarOptions = STEP,
): PolarSet {
  let prep: PreparedSection | undefined;
  const polars = reynolds.map(
    (re) =>
      recallPolar(polarKey(contour, re, options)) ??
      polarOf(contour, re, options, (prep ??= prepareContour(contour))),
  );
  return {
    polars: polars.filter((p) => p.attachedCl.length > 1),
    ...freeMoments(prep?.basis ?? solveInviscid(contour)),
  };
}

function blend(set: PolarSet, reynolds: number, of: (p: Polar) => number): number {
  const { polars } = set;
  if (polars.length === 0) return NaN;
  let i = 0;
  while (i < polars.length - 2 && polars[i + 1].reynolds < reynolds) i++;
  if (polars.length === 1) return of(polars[0]);
  const t = clamp(
    Math.log(reynolds / polars[i].reynolds) / Math.log(polars[i + 1].reynolds / polars[i].reynolds),
    0,
    1,
  );
  return of(polars[i]) * (1 - t) + of(polars[i + 1]) * t;
}

function dragOf(p: Polar, cl: number): number {
  const xs = p.attachedCl,
    ys = p.attachedCd;
  const last = xs.length - 1;
  const over = cl > xs[last] ? cl - xs[last] : cl < xs[0] ? xs[0] - cl : 0;
  if (over > 0) return (cl > xs[last] ? ys[last] : ys[0]) + 0.5 * over * over + 0.05 * over;
  return interpolateLinear(xs, ys, cl);
}

/** Profile drag coefficient at a lift coefficient and Reynolds number; past the stall it rises steeply. */
export function profileDrag(set: PolarSet, cl: number, reynolds: number): number {
  return blend(set, reynolds, (p) => dragOf(p, cl));
}

/** The polar nearest to a Reynolds number in log; null for an empty set. What it warns of holds for numbers read there. */
export function nearestPolar(set: PolarSet, reynolds: number): Polar | null {
  return set.polars.reduce<Polar | null>(
    (best, p) =>
      best === null ||
      Math.abs(Math.log(p.reynolds / reynolds)) < Math.abs(Math.log(best.reynolds / reynolds))
        ? p
        : best,
    null,
  );
}

/** Largest lift coefficient at a Reynolds number; ends of the computed range are held. */
export function sectionClMax(set: PolarSet, reynolds: number): number {
  return blend(set, reynolds, (p) => p.clMax);
}

/** The least, on its back: below nil for what lifts both ways. */
export function sectionClMin(set: PolarSet, reynolds: number): number {
  return blend(set, reynolds, (p) => p.clMin);
}
