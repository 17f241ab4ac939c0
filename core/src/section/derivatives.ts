/**
 * Derivatives of an interval's equations by differences. Closure records are made once a station and carried
 * downstream, since they are most of the cost.
 */
import { LAMINAR, WIDTH, type Regime } from './closure';
import { close, closedResidual, stagnationResidual, transitionResidual, type Station } from './layer';

const KEYS = ['c', 'theta', 'dstar', 'ue'] as const;
const fiveRecords = () => Array.from({ length: 5 }, () => new Float64Array(WIDTH));
/** Step for a difference in the v-th number of a station. */
const increment = (value: number, v: number): number => 1e-6 * Math.max(Math.abs(value), v === 0 ? 1e-2 : 0);
const r = new Float64Array(3);

/** Residuals and derivatives of one interval after another; `P` and `Q` are filled by the caller before each. */
export class IntervalDerivatives {
  readonly P: Station = { c: 0, theta: 0, dstar: 0, ue: 0, x: 0 };
  readonly Q: Station = { c: 0, theta: 0, dstar: 0, ue: 0, x: 0 };
  /** the three residuals */ readonly base = new Float64Array(3);
  /** by c, theta, dstar, ue of P and of Q, three rows of four */ readonly a = new Float64Array(12);
  readonly b = new Float64Array(12);
  /** by the stagnation point's shift */ readonly xd = new Float64Array(3);
  private recordsP = fiveRecords();
  private recordsQ = fiveRecords();

  constructor(
    private readonly re: number,
    private readonly nCrit: number,
  ) {}

  /** Derivatives of an interval's residuals by plain differences: a of P, b of Q, xd of the stagnation point's shift. */
  any(kind: 'stagnation' | 'turning', forced: number, head: boolean, afterHead: boolean, away: 1 | -1): void {
    const { P, Q, a, b, xd, base: rBase } = this;
    let limit = forced;
    const evaluate = (out: Float64Array) => {
      if (kind === 'stagnation') stagnationResidual(Q, this.re, out);
      else transitionResidual(P, Q, this.re, this.nCrit, limit, out);
    };
    evaluate(rBase);
    const differ = (who: Station, to: Float64Array) => {
      for (let v = 0; v < 4; v++) {
        const key = KEYS[v],
          keep = who[key],
          h = increment(keep, v);
        who[key] = keep + h;
        evaluate(r);
        who[key] = keep;
        for (let k = 0; k < 3; k++) to[4 * k + v] = (r[k] - rBase[k]) / h;
      }
    };
    differ(Q, b);
    if (kind === 'turning') differ(P, a);
    else a.fill(0);
    const hx = 1e-6 * Q.x;
    if (!afterHead) P.x += hx;
    if (!head) Q.x += hx;
    limit += hx;
    evaluate(r);
    for (let k = 0; k < 3; k++) xd[k] = (away * (r[k] - rBase[k])) / hx;
  }

  /** The same for an interval in one regime: closure records are made once a station and carried downstream. */
  closed(regime: Regime, held: number, afterHead: boolean, away: 1 | -1): void {
    const { P, Q, a, b, xd, base: rBase } = this;
    if (held === regime) {
      const t = this.recordsP;
      this.recordsP = this.recordsQ;
      this.recordsQ = t;
    } else this.records(regime, P, this.recordsP);
    const { recordsP, recordsQ } = this;
    this.records(regime, Q, recordsQ);
    closedResidual(regime, recordsP[4], recordsQ[4], P, Q, rBase);
    for (let v = 0; v < 4; v++) {
      const key = KEYS[v];
      const keepQ = Q[key],
        hq = increment(keepQ, v);
      Q[key] = keepQ + hq;
      closedResidual(regime, recordsP[4], recordsQ[v], P, Q, r);
      Q[key] = keepQ;
      for (let k = 0; k < 3; k++) b[4 * k + v] = (r[k] - rBase[k]) / hq;
      const keepP = P[key],
        hp = increment(keepP, v);
      P[key] = keepP + hp;
      closedResidual(regime, recordsP[v], recordsQ[4], P, Q, r);
      P[key] = keepP;
      for (let k = 0; k < 3; k++) a[4 * k + v] = (r[k] - rBase[k]) / hp;
    }
    const hx = 1e-6 * Q.x;
    if (!afterHead) P.x += hx;
    Q.x += hx;
    closedResidual(regime, recordsP[4], recordsQ[4], P, Q, r);
    for (let k = 0; k < 3; k++) xd[k] = (away * (r[k] - rBase[k])) / hx;
  }

  /** Closure of a station as it is ([4]) and with each of its four numbers stepped. */
  private records(regime: Regime, q: Station, out: Float64Array[]): void {
    close(regime, q, this.re, out[4]);
    for (let v = 0; v < 4; v++) {
      if (v === 0 && regime === LAMINAR) {
        out[0].set(out[4]);
        continue;
      }
      const key = KEYS[v],
        keep = q[key];
      q[key] = keep + increment(keep, v);
      close(regime, q, this.re, out[v]);
      q[key] = keep;
    }
  }
}
