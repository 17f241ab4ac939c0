/**
 * A section's flow with its boundary layers: panels and layers solved together by Newton's method.
 * Unknowns at every station: c (waves or stress), momentum thickness theta and mass defect m = ue dstar. Edge
 * speeds are linear in all mass defects, so c and theta are eliminated station by station down each layer, and
 * one dense system in m is left (n + wake, about 180). Derivatives of a station's equations are taken by differences.
 * Source: Drela and Giles, AIAA Journal 25(10), 1987.
 */
import { luInPlace, luSolveInPlace } from '../numeric';
import { LAMINAR, TURBULENT, WAKE, type Regime } from './closure';
import { IntervalDerivatives } from './derivatives';
import { equilibriumStress, transitionShare, wavesAfter, type Station } from './layer';
import { marchLayer, marchWake } from './march';
import { wakeFlow, type WakeFlow } from './panels';
import { tripArc, type FlowOptions, type FlowState, type PreparedSection } from './prepared';

interface Chain {
  nodes: number[];
  regimes: Regime[];
  turning: number;
  forced: number;
}

/** rms change at which a full step ends the iteration: the next one would be its square */
const SETTLED = 4e-4;
const ENERGY_BELOW = 3.2;
const LEAST_SPEED = 1e-5,
  LEAST_H = 1.02,
  LEAST_WAKE_H = 1.0005;

/** Newton on one point of the polar. Mutable while it runs; `solveFlow` gives out its state. */
class PointSolver {
  private readonly s: FlowState;
  private readonly gammaFree: Float64Array;
  private readonly mass: Float64Array;
  private readonly miss: Float64Array;
  private readonly x: Float64Array;
  private readonly g: Int8Array;
  private readonly wake: WakeFlow;
  private readonly pc: Float64Array;
  private readonly pt: Float64Array;
  private readonly rhs: Float64Array;
  private readonly dStag: Float64Array;
  /** linear rows of momentum's first equation and of a node's own, N long */ private readonly rowFirst: Float64Array;
  private readonly rowOwn: Float64Array;
  private readonly interval: IntervalDerivatives;
  private flips = 0;
  private missStag = 0;
  /** stands in for the first node of a face, which may lie anywhere between stagnation point and one panel aft */
  private headX = 0;
  private headMiss = 0;
  private readonly headRow: Float64Array;
  private fStag: [number, number] = [0, 0];
  private chains: [Chain, Chain];
  private readonly trips: [number, number];

  constructor(
    private readonly prep: PreparedSection,
    private readonly re: number,
    private readonly opt: FlowOptions,
    alpha: number,
    from: FlowState | null,
    before: FlowState | null,
  ) {
    const { basis, n, nw, N } = prep;
    this.interval = new IntervalDerivatives(re, opt.nCrit);
    const make = () => new Float64Array(N);
    this.gammaFree = make();
    this.mass = make();
    this.miss = make();
    this.x = make();
    this.pc = make();
    this.pt = make();
    this.rhs = make();
    this.dStag = make();
    this.rowFirst = make();
    this.rowOwn = make();
    this.headRow = make();
    this.g = new Int8Array(N).fill(1);
    const c = Math.cos(alpha),
      s = Math.sin(alpha);
    for (let i = 0; i < n; i++) this.gammaFree[i] = c * basis.at0[i] + s * basis.at90[i];
    this.wake = wakeFlow(basis, alpha, prep.perMass, nw - 1);
    for (let i = 0; i < nw; i++) this.gammaFree[n + i] = this.wake.speed[i];
    this.trips = [tripArc(basis, opt.tripUpper, true), tripArc(basis, opt.tripLower, false)];
    this.s = {
      alpha,
      stagnation: 0,
      stagnationArc: 0,
      theta: make(),
      dstar: make(),
      ue: make(),
      c: make(),
      turbulent: new Uint8Array(N),
      transition: [1, 1],
      wake: this.wake,
      iterations: 0,
      converged: false,
    };
    this.chains = [
      { nodes: [], regimes: [], turning: -1, forced: 0 },
      { nodes: [], regimes: [], turning: -1, forced: 0 },
    ];
    if (from) this.warm(from, before);
    else this.cold();
  }

  /** E and faces for the stagnation point between nodes k - 1 and k. */
  private split(k: number): void {
    const { n, nw, N, perMass, work } = this.prep;
    for (let i = 0; i < n; i++) this.g[i] = i < k ? 1 : -1;
    const { onContour, response } = this.wake;
    for (let i = 0; i < n; i++) {
      const gi = this.g[i],
        row = i * N;
      for (let j = 0; j < n; j++) work.E[row + j] = -gi * this.g[j] * perMass[i * n + j];
      for (let j = 0; j < nw; j++) work.E[row + n + j] = gi * onContour[i * nw + j];
    }
    for (let i = 0; i < nw; i++) {
      const row = (n + i) * N;
      for (let j = 0; j < n; j++) work.E[row + j] = -this.g[j] * response[i * N + j];
      for (let j = 0; j < nw; j++) work.E[row + n + j] = response[i * N + n + j];
    }
    this.s.stagnation = k;
    const up: number[] = [],
      low: number[] = [];
    for (let i = k - 1; i >= 0; i--) up.push(i);
    for (let i = k; i < n; i++) low.push(i);
    this.chains[0].nodes = up;
    this.chains[1].nodes = low;
  }

  /** Edge speeds that the mass defects give, less those the layers stand at: goes to zero as Newton settles. */
  private mismatch(): void {
    const { N, work } = this.prep;
    const { s, mass, miss } = this;
    for (let i = 0; i < N; i++) mass[i] = s.dstar[i] * s.ue[i];
    for (let i = 0; i < N; i++) {
      let v = this.g[i] * this.gammaFree[i];
      for (let j = 0, row = i * N; j < N; j++) v += work.E[row + j] * mass[j];
      miss[i] = v - s.ue[i];
    }
  }

  /** First node of the lower face by the sign of the surface speed, nearest to where it was. */
  private findStagnation(near: number): number {
    const { n } = this.prep;
    const gamma = (i: number) => this.g[i] * this.s.ue[i];
    let best = -1;
    for (let i = 1; i < n; i++)
      if (gamma(i - 1) > 0 && gamma(i) <= 0 && (best < 0 || Math.abs(i - near) < Math.abs(best - near)))
        best = i;
    return best < 0 ? near : Math.min(Math.max(best, 3), n - 3);
  }

  /** Arc lengths from the stagnation point, its sensitivity, and the trips. */
  private distances(): void {
    const { n, nw, basis } = this.prep;
    const k = this.s.stagnation,
      { ue } = this.s;
    const d = basis.arc[k] - basis.arc[k - 1];
    const a = Math.max(ue[k - 1], LEAST_SPEED),
      b = Math.max(ue[k], LEAST_SPEED);
    const at = (this.s.stagnationArc = basis.arc[k - 1] + (d * a) / (a + b));
    const fa = (d * b) / (a + b) ** 2,
      fb = (-d * a) / (a + b) ** 2;
    this.headX = 0.5 * d;
    this.fStag = [fa, fb];
    for (let i = 0; i < n; i++) this.x[i] = Math.abs(basis.arc[i] - at);
    for (let i = 0; i < nw; i++) this.x[n + i] = this.x[0] + this.wake.arc[i];
    // at the trailing edge the wake begins, which is turbulent
    this.chains[0].forced = Math.min(Math.max(at - this.trips[0], 1e-4), this.edgeLimit(0));
    this.chains[1].forced = Math.min(Math.max(this.trips[1] - at, 1e-4), this.edgeLimit(1));
  }
  /** How the stagnation point moves with every mass defect. */
  private stagnationShift(): void {
    const { N, work } = this.prep;
    const k = this.s.stagnation,
      [fa, fb] = this.fStag;
    this.missStag = fa * this.miss[k - 1] + fb * this.miss[k];
    this.headMiss = 0.5 * (this.miss[k - 1] + this.miss[k]);
    for (let j = 0; j < N; j++) this.headRow[j] = 0.5 * (work.E[(k - 1) * N + j] + work.E[k * N + j]);
    for (let j = 0; j < N; j++) this.dStag[j] = fa * work.E[(k - 1) * N + j] + fb * work.E[k * N + j];
  }
  private edgeLimit(face: 0 | 1): number {
    const { nodes } = this.chains[face];
    const last = this.x[nodes[nodes.length - 1]],
      before = this.x[nodes[nodes.length - 2]];
    return last - 0.02 * (last - before);
  }

  private cold(): void {
    const { n, nw, basis } = this.prep;
    const { s } = this;
    for (let i = 0; i < n; i++) s.ue[i] = this.gammaFree[i];
    let nose = 0;
    for (let i = 0; i < n; i++) if (basis.contour.xy[2 * i] < basis.contour.xy[2 * nose]) nose = i;
    this.split(this.findStagnation(nose));
    for (let i = 0; i < n; i++) s.ue[i] = Math.max(this.g[i] * this.gammaFree[i], 1e-3);
    for (let i = 0; i < nw; i++) s.ue[n + i] = Math.max(this.gammaFree[n + i], 0.1);
    this.distances();
    const ends: Station[] = [];
    for (const chain of this.chains) {
      const { nodes } = chain;
      const x = Float64Array.from(nodes, (i) => this.x[i]),
        u = Float64Array.from(nodes, (i) => s.ue[i]);
      const m = marchLayer(x, u, this.re, this.opt.nCrit, chain.forced);
      nodes.forEach((i, j) => this.take(i, m.stations[j], j >= m.turbulentFrom));
      ends.push(m.stations[nodes.length - 1]);
    }
    const [a, b] = ends;
    const theta = a.theta + b.theta;
    const first: Station = {
      theta,
      dstar: a.dstar + b.dstar,
      ue: s.ue[n],
      x: this.x[n],
      c: Math.min(0.3, Math.max(0.01, (a.c * a.theta + b.c * b.theta) / theta)),
    };
    const list = marchWake(first, this.x.subarray(n), s.ue.subarray(n), this.re);
    for (let i = 0; i < nw; i++) this.take(n + i, list[i], true);
  }

  private take(i: number, q: Station, turbulent: boolean): void {
    const { s } = this;
    s.theta[i] = q.theta;
    s.dstar[i] = q.dstar;
    s.c[i] = q.c;
    s.ue[i] = q.ue;
    s.turbulent[i] = turbulent ? 1 : 0;
  }

  /** Carries the trend of the last two points on, where a node stayed on its face and in its regime. */
  private foresee(from: FlowState, before: FlowState): void {
    const { s } = this;
    const f = Math.min((s.alpha - from.alpha) / (from.alpha - before.alpha), 1.5);
    if (!(f > 0)) return;
    for (let i = 0; i < this.prep.N; i++) {
      const sameFace = i >= this.prep.n || i < from.stagnation === i < before.stagnation;
      if (!sameFace || from.turbulent[i] !== before.turbulent[i]) continue;
      const carry = (a: number, b: number) => a * Math.min(1.3, Math.max(0.75, (a / b) ** f));
      s.theta[i] = carry(from.theta[i], before.theta[i]);
      s.dstar[i] = carry(from.dstar[i], before.dstar[i]);
      if (s.turbulent[i]) s.c[i] = carry(from.c[i], before.c[i]);
    }
  }

  private warm(from: FlowState, before: FlowState | null): void {
    const { N } = this.prep;
    const { s } = this;
    s.theta.set(from.theta);
    s.dstar.set(from.dstar);
    s.c.set(from.c);
    s.turbulent.set(from.turbulent);
    s.ue.set(from.ue);
    this.split(from.stagnation);
    if (before && before.alpha !== from.alpha) this.foresee(from, before);
    // the old thicknesses under the speeds of the new angle
    this.mismatch();
    for (let i = 0; i < N; i++) s.ue[i] += this.miss[i];
    this.restagnate();
    for (let i = 0; i < N; i++) s.ue[i] = Math.max(s.ue[i], LEAST_SPEED);
  }

  /** Moves nodes that changed face; they take the thickness of their new neighbour. */
  private restagnate(): void {
    const { s } = this;
    const old = s.stagnation,
      k = this.findStagnation(old);
    // a stagnation point that lies on a node would change its face at every step: after a few it stays
    if (k === old || (Math.abs(k - old) === 1 && ++this.flips > 6)) return;
    const donor = k > old ? old - 1 : old;
    for (let i = Math.min(old, k); i < Math.max(old, k); i++) {
      s.theta[i] = s.theta[donor];
      s.dstar[i] = Math.min(s.dstar[donor], 2.3 * s.theta[donor]);
      s.c[i] = 0;
      s.turbulent[i] = 0;
      s.ue[i] = Math.max(LEAST_SPEED, -s.ue[i]);
    }
    this.split(k);
  }

  private read(i: number, to: Station): void {
    const { s } = this;
    to.c = s.c[i];
    to.theta = s.theta[i];
    to.dstar = s.dstar[i];
    to.ue = s.ue[i];
    to.x = this.x[i];
    const k = s.stagnation;
    if (i === k || i === k - 1) {
      to.x = this.headX;
      to.ue = 0.5 * (s.ue[k - 1] + s.ue[k]);
    }
  }

  /** Waves from the present thicknesses; says at which interval each face turns turbulent. */
  private classify(): void {
    const { s } = this;
    const { P, Q } = this.interval;
    this.chains.forEach((chain, face) => {
      const { nodes } = chain;
      const forced = chain.forced;
      chain.regimes = nodes.map(() => TURBULENT as Regime);
      s.c[nodes[0]] = 0;
      chain.regimes[0] = LAMINAR;
      s.turbulent[nodes[0]] = 0;
      let j = 1;
      for (; j < nodes.length; j++) {
        this.read(nodes[j - 1], P);
        this.read(nodes[j], Q);
        const n = wavesAfter(P, Q, this.re);
        if (n >= this.opt.nCrit || forced < Q.x) break;
        if (s.turbulent[nodes[j]] && Q.dstar * P.theta < 0.7 * P.dstar * Q.theta) {
          // laminar again: its thin turbulent shape would send Newton astray, so it takes its neighbour's
          s.theta[nodes[j]] = P.theta * (1 + 0.5 * Math.log(Q.x / P.x));
          s.dstar[nodes[j]] = (P.dstar / P.theta) * s.theta[nodes[j]];
        }
        s.c[nodes[j]] = n;
        s.turbulent[nodes[j]] = 0;
        chain.regimes[j] = LAMINAR;
      }
      chain.turning = j;
      s.transition[face] = P.x + transitionShare(P, Q, this.re, this.opt.nCrit, forced) * (Q.x - P.x);
      for (; j < nodes.length; j++) {
        const i = nodes[j];
        if (!s.turbulent[i]) {
          this.read(i, Q);
          s.c[i] = equilibriumStress(TURBULENT, Q, this.re);
          s.turbulent[i] = 1;
        }
      }
    });
  }

  /** One face or the wake: eliminates c and theta of each node, leaving its energy equation in m. */
  private eliminate(
    nodes: readonly number[],
    kinds: (j: number) => 'stagnation' | 'turning' | Regime,
    forced: number,
    away: 1 | -1,
    first: number,
  ): void {
    const { N, work } = this.prep;
    const { E, Pc, Pt, matrix } = work;
    const { pc, pt, dStag, headRow, s, miss } = this;
    const { P, Q, a, b, xd, base: rBase } = this.interval;
    const { rowFirst: V0, rowOwn: V1 } = this;
    let held = -1;
    for (let j = first; j < nodes.length; j++) {
      const i = nodes[j],
        kind = kinds(j);
      const hasPrev = kind !== 'stagnation';
      const p = hasPrev ? nodes[j - 1] : i;
      this.read(p, P);
      this.read(i, Q);
      const head = first === 0 && j === 0,
        afterHead = first === 0 && j === 1;
      if (kind === 'stagnation' || kind === 'turning') this.interval.any(kind, forced, head, afterHead, away);
      else this.interval.closed(kind, held, afterHead, away);
      held = kind === 'stagnation' || kind === 'turning' ? -1 : kind;

      const up = s.ue[p],
        ui = s.ue[i];
      const row = (k: number, V: Float64Array, at: number): number => {
        const cp = a[4 * k],
          tp = a[4 * k + 1],
          dp = a[4 * k + 2],
          dq = b[4 * k + 2],
          xk = xd[k];
        let pe = -(dp * s.dstar[p]) / up,
          qe = -(dq * s.dstar[i]) / ui,
          he = 0;
        if (head) he = b[4 * k + 3];
        else qe += b[4 * k + 3];
        if (afterHead) he = a[4 * k + 3];
        else pe += a[4 * k + 3];
        const rp = p * N,
          ri = i * N;
        if (hasPrev && cp === 0)
          for (let q = 0; q < N; q++)
            V[at + q] = tp * Pt[rp + q] + pe * E[rp + q] + qe * E[ri + q] + xk * dStag[q];
        else if (hasPrev)
          for (let q = 0; q < N; q++)
            V[at + q] = cp * Pc[rp + q] + tp * Pt[rp + q] + pe * E[rp + q] + qe * E[ri + q] + xk * dStag[q];
        else for (let q = 0; q < N; q++) V[at + q] = qe * E[ri + q] + xk * dStag[q];
        if (he !== 0) for (let q = 0; q < N; q++) V[at + q] += he * headRow[q];
        if (hasPrev) V[at + p] += dp / up;
        V[at + i] += dq / ui;
        return (
          rBase[k] +
          qe * miss[i] +
          xk * this.missStag +
          he * this.headMiss +
          (hasPrev ? cp * pc[p] + tp * pt[p] + pe * miss[p] : 0)
        );
      };
      // theta is taken from the equation whose errors die out downstream at given m: energy while a laminar layer
      // is well attached, momentum elsewhere; the other one is left for the dense system
      const own = (kind === LAMINAR || kind === 'stagnation') && Q.dstar < ENERGY_BELOW * Q.theta ? 2 : 1,
        left = 3 - own;
      const c0 = row(0, V0, 0),
        c1 = row(own, V1, 0),
        c2 = row(left, matrix, i * N);
      this.close(i, own, c0, c1, c2);
    }
  }

  /**
   * Takes c and theta of node i from momentum and its own equation, and puts them into the one that is left.
   * @param own 1 momentum, 2 energy; their rows stand in `rowFirst` and `rowOwn` @param c0, c1, c2 right sides
   */
  private close(i: number, own: number, c0: number, c1: number, c2: number): void {
    const { N, work } = this.prep;
    const { Pc, Pt, matrix } = work;
    const { pc, pt, rhs, rowFirst: V0, rowOwn: V1 } = this;
    const { b } = this.interval,
      left = 3 - own;
    const b0 = 4 * own,
      bl = 4 * left;
    const det = b[0] * b[b0 + 1] - b[1] * b[b0];
    const i00 = b[b0 + 1] / det,
      i01 = -b[1] / det,
      i10 = -b[b0] / det,
      i11 = b[0] / det;
    const ri = i * N,
      e0 = b[bl],
      e1 = b[bl + 1];
    for (let q = 0; q < N; q++) {
      const dc = -(i00 * V0[q] + i01 * V1[q]),
        dt = -(i10 * V0[q] + i11 * V1[q]);
      Pc[ri + q] = dc;
      Pt[ri + q] = dt;
      matrix[ri + q] += e0 * dc + e1 * dt;
    }
    pc[i] = -(i00 * c0 + i01 * c1);
    pt[i] = -(i10 * c0 + i11 * c1);
    rhs[i] = -(c2 + e0 * pc[i] + e1 * pt[i]);
  }

  private joinWake(): void {
    const { N, n, work } = this.prep;
    const { Pc, Pt, matrix } = work;
    const { pc, pt, rhs, s, mass } = this;
    const w = n,
      u = 0,
      l = n - 1;
    const sum = s.theta[u] + s.theta[l];
    const cw = (s.c[u] * s.theta[u] + s.c[l] * s.theta[l]) / sum;
    const fu = s.theta[u] / sum,
      fl = s.theta[l] / sum,
      gu = (s.c[u] - cw) / sum,
      gl = (s.c[l] - cw) / sum;
    for (let q = 0; q < N; q++) {
      Pt[w * N + q] = Pt[u * N + q] + Pt[l * N + q];
      Pc[w * N + q] = fu * Pc[u * N + q] + fl * Pc[l * N + q] + gu * Pt[u * N + q] + gl * Pt[l * N + q];
      matrix[w * N + q] = 0;
    }
    pt[w] = pt[u] + pt[l] - (s.theta[w] - sum);
    pc[w] = fu * pc[u] + fl * pc[l] + gu * pt[u] + gl * pt[l] - (s.c[w] - cw);
    matrix[w * N + w] = 1;
    matrix[w * N + u] = -1;
    matrix[w * N + l] = -1;
    rhs[w] = -(mass[w] - mass[u] - mass[l]);
  }

  /** One Newton step; returns the rms change it asked for and the share of it that was taken. */
  private step(): { change: number; relax: number } {
    const { N, n, nw, work } = this.prep;
    const { s, rhs } = this;
    this.chains.forEach((chain, face) =>
      this.eliminate(
        chain.nodes,
        (j) => (j === 0 ? 'stagnation' : j === chain.turning ? 'turning' : chain.regimes[j]),
        chain.forced,
        face === 0 ? 1 : -1,
        0,
      ),
    );
    this.joinWake();
    this.eliminate(
      Array.from({ length: nw }, (_, i) => n + i),
      () => WAKE,
      Infinity,
      1,
      1,
    );
    const order = luInPlace(work.matrix, N);
    luSolveInPlace(work.matrix, order, rhs);
    const dm = rhs,
      dc = this.pc,
      dt = this.pt;
    let relax = 1,
      sum = 0;
    const hold = (f: number, up: number, down: number) => {
      if (f * relax > up) relax = up / f;
      else if (f * relax < -down) relax = -down / f;
    };
    const dd = new Float64Array(N),
      du = new Float64Array(N);
    for (let i = 0; i < N; i++) {
      let c = dc[i],
        t = dt[i],
        u = this.miss[i];
      for (let j = 0, row = i * N; j < N; j++) {
        const m = dm[j];
        c += work.Pc[row + j] * m;
        t += work.Pt[row + j] * m;
        u += work.E[row + j] * m;
      }
      dc[i] = c;
      dt[i] = t;
      du[i] = u;
      dd[i] = (dm[i] - s.dstar[i] * u) / s.ue[i];
      const ft = t / s.theta[i],
        fd = dd[i] / s.dstar[i];
      if (!Number.isFinite(ft + fd + c)) return { change: Infinity, relax: 0 };
      sum += ft * ft + fd * fd;
      hold(ft, 1.5, 0.5);
      hold(fd, 1.5, 0.5);
      const h = s.dstar[i] / s.theta[i];
      hold((h * (fd - ft)) / (h - 1), 2, 4);
      if (s.turbulent[i] || i >= n) {
        const fc = c / s.c[i];
        sum += fc * fc;
        hold(fc, 1.5, 0.5);
      }
    }
    for (let i = 0; i < N; i++) {
      s.ue[i] += relax * du[i];
      const least = 1 + 0.4 * (s.dstar[i] / s.theta[i] - 1);
      s.dstar[i] += relax * dd[i];
      s.theta[i] = Math.max(s.theta[i] + relax * dt[i], 1e-9);
      // one station whose shape would collapse is held back by itself, not the whole step with it
      s.dstar[i] = Math.max(s.dstar[i], least * s.theta[i]);
      if (s.turbulent[i] || i >= n) s.c[i] = Math.min(Math.max(s.c[i] + relax * dc[i], 1e-5), 0.4);
    }
    return { change: Math.sqrt(sum / (3 * N)), relax };
  }

  private refresh(): void {
    const { N, n } = this.prep;
    const { s } = this;
    this.restagnate();
    for (let i = 0; i < N; i++) {
      if (!(s.ue[i] > LEAST_SPEED)) s.ue[i] = LEAST_SPEED;
      const least = (i < n ? LEAST_H : LEAST_WAKE_H) * s.theta[i];
      if (!(s.dstar[i] > least)) s.dstar[i] = least;
    }
    this.distances();
    this.mismatch();
    this.stagnationShift();
    this.classify();
  }

  run(limit: number): FlowState {
    const { s } = this;
    let stuck = 0;
    for (let k = 1; k <= limit; k++) {
      s.iterations = k;
      this.refresh();
      let out;
      try {
        out = this.step();
      } catch {
        break;
      }
      if (!(out.change < 1e6)) break;
      stuck = out.relax < 0.03 ? stuck + 1 : 0;
      if (stuck > 3) break;
      if (out.relax === 1 && out.change < SETTLED) {
        s.converged = true;
        break;
      }
    }
    this.refresh();
    return s;
  }
}

/** Where a point is begun from. */
export interface Start {
  /** a neighbouring point, or null */ readonly from: FlowState | null;
  /** the one before that */ readonly before?: FlowState | null;
  /** steps of Newton at most */ readonly limit?: number;
}

/**
 * One point.
 * @param alpha [rad]
 * @returns the state, `converged` false when Newton did not settle within `limit` steps
 */
export function solveFlow(
  prep: PreparedSection,
  re: number,
  opt: FlowOptions,
  alpha: number,
  { from, before = null, limit = 36 }: Start,
): FlowState {
  let s: FlowState | null = null,
    spent = 0;
  const attempt = (a: FlowState | null, b: FlowState | null, steps: number): boolean => {
    s = new PointSolver(prep, re, opt, alpha, a, b).run(steps);
    spent += s.iterations;
    s.iterations = spent;
    return s.converged;
  };
  if (from && before && attempt(from, before, limit >> 1)) return s!;
  attempt(from, null, limit);
  return s!;
}
