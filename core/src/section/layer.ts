/**
 * The boundary-layer equations over one interval between two stations, as three residuals:
 * [0] waves (laminar) or lagged stress (turbulent), [1] momentum, [2] kinetic energy.
 * Source: as `closure.ts`. Logarithmic differences, so that the layer begins at a stagnation point as it should.
 *
 * A station is eight numbers: c (n or sqrt C_tau), theta, dstar, ue, x; lengths in chords, ue over the stream.
 */
import {
  AMP,
  CF,
  closure,
  DELTA,
  DI,
  equilibriumGradient,
  H,
  HS,
  lagRate,
  LAMINAR,
  RT,
  SEQ,
  startingStress,
  TURBULENT,
  US,
  WAKE,
  WAKE_LENGTH,
  WIDTH,
  type Regime,
} from './closure';

export interface Station {
  c: number;
  theta: number;
  dstar: number;
  ue: number;
  x: number;
}

/** Weight of the downstream end: one half where the layer changes slowly, one where it jumps. */
function upwind(regime: Regime, h1: number, h2: number): number {
  const hs = (regime === WAKE ? 1 : 5) / (h2 * h2);
  const d = Math.log(Math.abs((h2 - 1) / (h1 - 1)));
  return 1 - 0.5 * Math.exp(-Math.min(d * d, 15) * hs);
}

const A = new Float64Array(WIDTH),
  B = new Float64Array(WIDTH),
  T = new Float64Array(WIDTH),
  U = new Float64Array(WIDTH);

/** Momentum and energy residuals, added to r[1], r[2]; ends already closed in a and b. */
function addFlow(
  regime: Regime,
  a: Float64Array,
  b: Float64Array,
  p: Station,
  q: Station,
  r: Float64Array,
): void {
  const lx = Math.log(q.x / p.x),
    lu = Math.log(q.ue / p.ue),
    lt = Math.log(q.theta / p.theta);
  const w = upwind(regime, a[H], b[H]);
  const ha = 0.5 * (a[H] + b[H]);
  const xa = p.x / p.theta,
    xb = q.x / q.theta;
  r[1] += lt + (ha + 2) * lu - 0.25 * (a[CF] * xa + b[CF] * xb) * lx;
  const cfx = (1 - w) * a[CF] * xa + w * b[CF] * xb,
    dix = (1 - w) * a[DI] * xa + w * b[DI] * xb;
  r[2] += Math.log(b[HS] / a[HS]) + (1 - ha) * lu + (0.5 * cfx - dix) * lx;
}

function lagResidual(regime: Regime, a: Float64Array, b: Float64Array, p: Station, q: Station): number {
  const w = upwind(regime, a[H], b[H]);
  const sa = (1 - w) * p.c + w * q.c,
    seq = (1 - w) * a[SEQ] + w * b[SEQ];
  const ha = 0.5 * (a[H] + b[H]),
    cfa = (1 - w) * a[CF] + w * b[CF];
  const da = 0.5 * (p.dstar + q.dstar),
    de = 0.5 * (a[DELTA] + b[DELTA]),
    rt = 0.5 * (a[RT] + b[RT]),
    us = 0.5 * (a[US] + b[US]);
  const dx = q.x - p.x;
  const gradient = equilibriumGradient(regime, ha, cfa, rt, da) * dx - Math.log(q.ue / p.ue);
  const grow = (lagRate(us) * (seq - (regime === WAKE ? WAKE_LENGTH : 1) * sa) * dx) / (2 * de);
  return Math.log(q.c / p.c) - grow - gradient;
}

function growth(a: Float64Array, b: Float64Array): number {
  return Math.sqrt(0.5 * (a[AMP] * a[AMP] + b[AMP] * b[AMP]));
}

/** Closure record of a station. */
export function close(regime: Regime, q: Station, re: number, out: Float64Array): void {
  closure(regime, q.theta, q.dstar, q.ue, q.c, re, out, 0);
}

/** An interval wholly in one regime, from the closure records of its two ends. */
export function closedResidual(
  regime: Regime,
  a: Float64Array,
  b: Float64Array,
  p: Station,
  q: Station,
  r: Float64Array,
): void {
  r[1] = 0;
  r[2] = 0;
  r[0] = regime === LAMINAR ? q.c - p.c - growth(a, b) * (q.x - p.x) : lagResidual(regime, a, b, p, q);
  addFlow(regime, a, b, p, q, r);
}

/** An interval wholly in one regime. */
export function intervalResidual(regime: Regime, p: Station, q: Station, re: number, r: Float64Array): void {
  close(regime, p, re, A);
  close(regime, q, re, B);
  closedResidual(regime, A, B, p, q, r);
}

/** The first station after a stagnation point: ue proportional to x, theta and H constant. */
export function stagnationResidual(q: Station, re: number, r: Float64Array): void {
  closure(LAMINAR, q.theta, q.dstar, q.ue, 0, re, B, 0);
  const xt = q.x / q.theta;
  r[0] = q.c;
  r[1] = B[H] + 2 - 0.5 * B[CF] * xt;
  r[2] = 1 - B[H] + (0.5 * B[CF] - B[DI]) * xt;
}

/** Laminar waves at the downstream end, from those at the upstream end. */
export function wavesAfter(p: Station, q: Station, re: number): number {
  closure(LAMINAR, p.theta, p.dstar, p.ue, 0, re, A, 0);
  closure(LAMINAR, q.theta, q.dstar, q.ue, 0, re, B, 0);
  return p.c + growth(A, B) * (q.x - p.x);
}

const between = (p: Station, q: Station, t: number): Station => ({
  c: 0,
  theta: p.theta + t * (q.theta - p.theta),
  dstar: p.dstar + t * (q.dstar - p.dstar),
  ue: p.ue + t * (q.ue - p.ue),
  x: p.x + t * (q.x - p.x),
});

/** Where in [p, q] the waves reach nCrit, as a share of the interval; never after `forced`. */
export function transitionShare(p: Station, q: Station, re: number, nCrit: number, forced: number): number {
  const limit = Math.min(1, Math.max(0, (forced - p.x) / (q.x - p.x)));
  closure(LAMINAR, p.theta, p.dstar, p.ue, 0, re, A, 0);
  const n = (t: number): number => {
    const m = between(p, q, t);
    closure(LAMINAR, m.theta, m.dstar, m.ue, 0, re, T, 0);
    return p.c + growth(A, T) * (m.x - p.x) - nCrit;
  };
  let lo = 0,
    hi = 1,
    flo = p.c - nCrit,
    fhi = n(1);
  if (fhi <= 0) return limit;
  if (flo >= 0) return 0;
  let t = 0.5;
  for (let k = 0; k < 60 && hi - lo > 1e-13; k++) {
    const guess = lo - (flo * (hi - lo)) / (fhi - flo);
    t = k % 3 === 2 ? 0.5 * (lo + hi) : guess;
    const f = n(t);
    if (Math.abs(f) < 1e-12) break;
    if (f < 0) {
      lo = t;
      flo = f;
    } else {
      hi = t;
      fhi = f;
    }
  }
  return Math.min(t, limit);
}

/** An interval that begins laminar and ends turbulent. */
export function transitionResidual(
  p: Station,
  q: Station,
  re: number,
  nCrit: number,
  forced: number,
  r: Float64Array,
): void {
  const t = Math.min(Math.max(transitionShare(p, q, re, nCrit, forced), 1e-6), 1 - 1e-6);
  const m = between(p, q, t);
  closure(LAMINAR, p.theta, p.dstar, p.ue, 0, re, A, 0);
  closure(LAMINAR, m.theta, m.dstar, m.ue, 0, re, T, 0);
  r[1] = 0;
  r[2] = 0;
  addFlow(LAMINAR, A, T, p, m, r);
  closure(TURBULENT, m.theta, m.dstar, m.ue, 0.03, re, U, 0);
  m.c = startingStress(U[H], U[SEQ]);
  closure(TURBULENT, m.theta, m.dstar, m.ue, m.c, re, U, 0);
  closure(TURBULENT, q.theta, q.dstar, q.ue, q.c, re, B, 0);
  addFlow(TURBULENT, U, B, m, q, r);
  r[0] = lagResidual(TURBULENT, U, B, m, q);
}

/** Equilibrium stress of a turbulent station: a start for one that has just turned turbulent. */
export function equilibriumStress(regime: Regime, q: Station, re: number): number {
  closure(regime, q.theta, q.dstar, q.ue, 0.03, re, T, 0);
  return Math.min(0.3, Math.max(1e-3, T[SEQ]));
}

/** Friction and shape of a station for display. */
export function stationFacts(regime: Regime, q: Station, re: number): { cf: number; h: number } {
  closure(regime, q.theta, q.dstar, q.ue, q.c, re, T, 0);
  return { cf: T[CF], h: T[H] };
}
