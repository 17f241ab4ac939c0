/**
 * One face's boundary layer marched downstream on a given edge speed. Where the layer would separate, the speed
 * is let go and a shape parameter is prescribed instead, so that the march always ends. It starts the coupled
 * solution, and stands alone for plates.
 */
import { LAMINAR, TURBULENT, WAKE, type Regime } from './closure';
import {
  equilibriumStress,
  intervalResidual,
  stagnationResidual,
  transitionResidual,
  wavesAfter,
  type Station,
} from './layer';

export interface Marched {
  readonly stations: readonly Station[];
  /** index of the first turbulent station; length of the list when there is none */
  readonly turbulentFrom: number;
}

const r = new Float64Array(3),
  r0 = new Float64Array(3);

type Residual = (q: Station, out: Float64Array) => void;

/** Newton on (c, theta, dstar, ue); the fourth equation holds the speed or the shape. False when it does not settle. */
function settle(q: Station, residual: Residual, hold: { ue: number } | { shape: number }): boolean {
  const keys = ['c', 'theta', 'dstar', 'ue'] as const;
  const fourth = () => ('ue' in hold ? (q.ue - hold.ue) / hold.ue : q.dstar / q.theta / hold.shape - 1);
  for (let k = 0; k < 40; k++) {
    residual(q, r0);
    const base = [r0[0], r0[1], r0[2], fourth()];
    const a: number[][] = [[], [], [], []];
    for (let v = 0; v < 4; v++) {
      const key = keys[v],
        keep = q[key],
        h = 1e-6 * Math.max(Math.abs(keep), v === 0 ? 1e-3 : 0);
      q[key] = keep + h;
      residual(q, r);
      a[0][v] = (r[0] - base[0]) / h;
      a[1][v] = (r[1] - base[1]) / h;
      a[2][v] = (r[2] - base[2]) / h;
      a[3][v] = (fourth() - base[3]) / h;
      q[key] = keep;
    }
    const d = solveSmall(
      a,
      base.map((x) => -x),
    );
    if (!d) return false;
    let relax = 1;
    for (let v = 1; v < 4; v++) {
      const f = d[v] / q[keys[v]];
      if (f * relax > 0.6) relax = 0.6 / f;
      if (f * relax < -0.4) relax = -0.4 / f;
    }
    if (q.c > 0 && q.c < 0.4 && d[0] * relax < -0.6 * q.c) relax = Math.min(relax, (-0.6 * q.c) / d[0]);
    for (let v = 0; v < 4; v++) q[keys[v]] += relax * d[v];
    if (relax === 1 && Math.max(Math.abs(d[1] / q.theta), Math.abs(d[2] / q.dstar), Math.abs(d[3])) < 1e-8)
      return q.theta > 0 && q.dstar > q.theta;
  }
  return false;
}

/** Gauss with pivoting for the 4 by 4 of one station; null when singular. */
function solveSmall(a: number[][], b: number[]): number[] | null {
  const n = b.length;
  for (let k = 0; k < n; k++) {
    let p = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(a[i][k]) > Math.abs(a[p][k])) p = i;
    if (!(Math.abs(a[p][k]) > 1e-300)) return null;
    [a[k], a[p]] = [a[p], a[k]];
    [b[k], b[p]] = [b[p], b[k]];
    for (let i = k + 1; i < n; i++) {
      const f = a[i][k] / a[k][k];
      for (let j = k; j < n; j++) a[i][j] -= f * a[k][j];
      b[i] -= f * b[k];
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let j = i + 1; j < n; j++) b[i] -= a[i][j] * b[j];
    b[i] /= a[i][i];
  }
  return b.every(Number.isFinite) ? b : null;
}

const LAMINAR_H = 3.8,
  TURBULENT_H = 2.5;

/** Shape the layer is given at the next station when the speed cannot be kept. */
function shapeAhead(regime: Regime, p: Station, dx: number): number {
  const h = p.dstar / p.theta,
    d = dx / p.theta;
  if (regime === LAMINAR) return h + 0.03 * d;
  if (regime === TURBULENT) return Math.max(h - 0.15 * d, TURBULENT_H);
  return 1.01 + (h - 1.01) / (1 + 0.15 * d); // the wake fills
}

function step(regime: Regime, p: Station, q: Station, residual: Residual, ue: number): void {
  const limit = regime === LAMINAR ? LAMINAR_H : TURBULENT_H;
  const start = { ...q };
  if (settle(q, residual, { ue }) && q.dstar / q.theta < limit) return;
  Object.assign(q, start);
  const shape = Math.max(
    shapeAhead(regime, p, q.x - p.x),
    regime === WAKE ? 1.01 : Math.min(limit, p.dstar / p.theta),
  );
  q.dstar = shape * q.theta;
  if (settle(q, residual, { shape }) && q.ue > 0.02) return;
  // held: grows as a plate, to be mended by the coupled solution
  Object.assign(q, start, { theta: p.theta * Math.sqrt(q.x / p.x), ue });
  q.dstar = shape * q.theta;
}

/**
 * @param x distance from the stagnation point or leading edge, ascending, above 0 [chord]
 * @param ue edge speed at x, above 0 [stream]
 * @param re Reynolds number on chord
 * @param nCrit waves at which the layer turns turbulent (9: quiet wind tunnel)
 * @param forced x at which it is made turbulent at the latest
 * @param sharp begins at a sharp edge in uniform flow (a plate) instead of at a stagnation point
 */
export function marchLayer(
  x: Float64Array,
  ue: Float64Array,
  re: number,
  nCrit = 9,
  forced = Infinity,
  sharp = false,
): Marched {
  const stations: Station[] = [];
  let turbulentFrom = x.length;
  for (let i = 0; i < x.length; i++) {
    const q: Station = {
      c: 0,
      theta: Math.sqrt((0.45 / 6) * (x[i] / Math.max(ue[i], 1e-3) / re)),
      dstar: 0,
      ue: ue[i],
      x: x[i],
    };
    if (i === 0) {
      if (sharp) q.theta = 0.664 * Math.sqrt(x[0] / re / ue[0]);
      q.dstar = (sharp ? 2.59 : 2.2) * q.theta;
      if (!sharp) settle(q, (s, out) => stagnationResidual(s, re, out), { ue: ue[0] });
      stations.push(q);
      continue;
    }
    const p = stations[i - 1];
    q.theta = p.theta;
    q.dstar = p.dstar;
    if (turbulentFrom > i) {
      q.c = p.c;
      step(LAMINAR, p, q, (s, out) => intervalResidual(LAMINAR, p, s, re, out), ue[i]);
      q.c = wavesAfter(p, q, re);
      if (q.c >= nCrit || forced < q.x) {
        turbulentFrom = i;
        q.dstar = Math.min(q.dstar, 3 * q.theta);
        q.c = equilibriumStress(TURBULENT, q, re);
        step(TURBULENT, p, q, (s, out) => transitionResidual(p, s, re, nCrit, forced, out), ue[i]);
      }
    } else {
      q.c = p.c;
      step(TURBULENT, p, q, (s, out) => intervalResidual(TURBULENT, p, s, re, out), ue[i]);
    }
    if (turbulentFrom <= i) q.c = Math.min(Math.max(q.c, 1e-3), 0.3);
    stations.push(q);
  }
  return { stations, turbulentFrom };
}

/** The wake behind two faces, from the sum of their layers. */
export function marchWake(first: Station, x: Float64Array, ue: Float64Array, re: number): Station[] {
  const out: Station[] = [{ ...first }];
  for (let i = 1; i < x.length; i++) {
    const p = out[i - 1],
      q: Station = { ...p, x: x[i], ue: ue[i] };
    step(WAKE, p, q, (s, r3) => intervalResidual(WAKE, p, s, re, r3), ue[i]);
    q.c = Math.min(Math.max(q.c, 1e-3), 0.3);
    out.push(q);
  }
  return out;
}
