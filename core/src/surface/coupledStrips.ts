/**
 * Strips coupled to section polars: each strip's angle is changed (decambered) until the lift that the lattice gives
 * it is the lift that its section gives at the angle it meets. Source: Mukherjee and Gopalarathnam, Poststall
 * prediction of multiple-lifting-surface configurations using a decambering approach, Journal of Aircraft 43(3), 2006;
 * one variable a strip (lift only), solved by damped Newton. Past the stall the strips' angles are smoothed a little
 * along the span, as the flow there has more than one answer (Chattot; Gallay and Laurendeau 2015, from memory).
 */
import { luInPlace, luSolveInPlace } from '../numeric';
import type { PolarSet } from '../section';
import type { Design } from '../design';
import { strengths, type Motion } from './forces';
import { inducedDrag, stripSums, type LatticeSolution } from './lattice';
import { liftTable, tableAt, type LiftTable } from './liftTable';
import { flapEffect } from './hinge';

/** What coupling needs of a lattice, made once: how an angle on one strip loads another. */
export interface CoupledStrips {
  readonly sol: LatticeSolution;
  /** indices of the lifting strips among all strips */ readonly at: readonly number[];
  /** k x k, row i strip i: strength by one rad on strip j, symmetric and antisymmetric */ readonly symmetric: Float64Array;
  readonly antisymmetric: Float64Array;
  /** strips of one surface that are neighbours: index of the next outer one, or -1 */ readonly next: Int32Array;
}

export function coupleStrips(sol: LatticeSolution): CoupledStrips {
  const { model, strips } = sol;
  const at = strips.flatMap((s, i) => (s.mirrored && s.role !== 'fin' ? [i] : []));
  const k = at.length,
    place = new Map(at.map((s, i) => [s, i]));
  // row i, column j: what an angle on strip j makes of strip i
  const columns = (n: number, solve: (wash: Float64Array) => Float64Array): Float64Array => {
    const out = new Float64Array(k * k);
    at.forEach((s, j) => {
      const g = solve(Float64Array.from({ length: n }, (_, i) => (model.panels[i].strip === s ? 1 : 0)));
      const sums = stripSums(model, strips.length, g);
      at.forEach((r, i) => (out[i * k + j] = sums[r]));
    });
    return out;
  };
  const next = Int32Array.from(at, (s) =>
    strips[s + 1]?.surface === strips[s].surface ? place.get(s + 1)! : -1,
  );
  let uneven: Float64Array | null = null;
  return {
    sol,
    at,
    symmetric: columns(model.pairs, model.solveSymmetric),
    get antisymmetric() {
      return (uneven ??= columns(model.panels.length, model.solveAntisymmetric));
    },
    next,
  };
}

/** Sections of the strips at the Reynolds numbers of one speed. */
export interface StripSections {
  readonly tables: readonly LiftTable[];
  /** angle of no lift as the lattice sees the camber line [rad] */ readonly zero: Float64Array;
}

export function stripSections(
  c: CoupledStrips,
  polars: ReadonlyMap<string, PolarSet>,
  reynoldsOf: (chord: number) => number,
  factor = 1,
): StripSections {
  const known = new Map<string, LiftTable>();
  const tables = c.at.map((s) => {
    const { section, chord } = c.sol.strips[s];
    // within 3 % in Reynolds number the same table serves
    const re = Math.exp(Math.round(Math.log(reynoldsOf(chord)) / 0.03) * 0.03),
      key = `${section}:${re}`;
    let t = known.get(key);
    if (!t) {
      t = liftTable(polars.get(section)!, re, factor);
      known.set(key, t);
    }
    return t;
  });
  return { tables, zero: Float64Array.from(c.at, (s) => latticeZero(c.sol, s)) };
}

/**
 * Angle at which the strip alone, in two dimensions, carries nothing in the lattice: its own camber slopes weighted as its
 * rows are.
 */
function latticeZero(sol: LatticeSolution, strip: number): number {
  const own = sol.model.panels.filter((p) => p.strip === strip),
    n = own.length;
  // two-dimensional lattice: vortices at quarter, control points at three quarters of n equal rows; chord 1
  const a = new Float64Array(n * n),
    b = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < n; j++) a[i * n + j] = -1 / (2 * Math.PI * ((i + 0.75 - j - 0.25) / n));
    b[i] = -(own[i].slope - sol.strips[strip].angle);
  }
  const order = luInPlace(a, n);
  luSolveInPlace(a, order, b);
  return -b.reduce((s, g) => s + g, 0) / Math.PI;
}

export type StripState = 'attached' | 'near' | 'stalled';

export interface StripFlow {
  surface: string;
  side: 'left' | 'right';
  /** fraction of the half span */ eta: number;
  y: number;
  /** across, on its own side [m] */ from: number;
  to: number;
  cl: number;
  /** local lift over the section's largest */ ratio: number;
  /** angle met [rad] */ angle: number;
  /** section's stall angle less the angle met [rad] */ margin: number;
  state: StripState;
}

export interface CoupledFlow {
  alpha: number;
  CL: number;
  CDi: number;
  CDprofile: number;
  Cm: number;
  /** rolling moment, right wing down positive */ Cl: number;
  status: 'settled' | 'not-settled';
  residual: number;
  iterations: number;
  /** added angle per strip [rad]: right side, then left; a start for the next angle */ added: Float64Array;
  strips: StripFlow[];
}

/** Within this of its stall angle a section is said to be near it (buffet; the trailing edge has begun to let go). */
const NEAR = (2 * Math.PI) / 180;
const LIMIT = 60;

interface Base {
  strength: Float64Array;
  speed: Float64Array;
  lift: Float64Array;
}

/** Attached strengths per strip, right then left, with the speed each meets and the lift that a flap adds at the same angle. */
function baseOf(c: CoupledStrips, m: Motion, design: Pick<Design, 'surfaces'>): Base {
  const { sol, at } = c,
    k = at.length;
  const g = strengths(sol, m);
  const s = stripSums(sol.model, sol.strips.length, g.symmetric),
    a = stripSums(sol.model, sol.strips.length, g.antisymmetric);
  const strength = new Float64Array(2 * k),
    speed = new Float64Array(2 * k),
    lift = new Float64Array(2 * k);
  at.forEach((i, n) => {
    const strip = sol.strips[i];
    strength[n] = s[i] + a[i];
    strength[n + k] = s[i] - a[i];
    speed[n] = 1 - (m.r ?? 0) * strip.yQuarter;
    speed[n + k] = 1 + (m.r ?? 0) * strip.yQuarter;
    const f = flapEffect(design.surfaces, strip, m);
    lift[n] = 2 * Math.PI * f.right;
    lift[n + k] = 2 * Math.PI * f.left;
  });
  return { strength, speed, lift };
}

/**
 * Share of a flap's lift that raises the section's largest lift; the rest brings the stall to a smaller angle (common practice
 * for plain flaps, from memory).
 */
const FLAP_RAISES = 0.5;

/**
 * Flow of a motion with strips at their sections' lift.
 * @param start `added` of a neighbouring flow
 * @param twist built-in angle beyond the drawing, one per lifting strip, both sides alike [rad]
 */
export function solveCoupled(
  c: CoupledStrips,
  sections: StripSections,
  m: Motion,
  design: Pick<Design, 'surfaces'>,
  start?: Float64Array,
  twist?: Float64Array,
): CoupledFlow {
  const { sol, at } = c,
    k = at.length,
    n = 2 * k;
  const base = baseOf(c, m, design);
  if (twist)
    for (let i = 0; i < k; i++) {
      let g = 0;
      for (let j = 0; j < k; j++) g += c.symmetric[i * k + j] * twist[j];
      base.strength[i] += g;
      base.strength[i + k] += g;
    }
  const chord = Float64Array.from({ length: n }, (_, i) => sol.strips[at[i % k]].chord);
  const influence = (i: number, j: number) => {
    const s = c.symmetric[(i % k) * k + (j % k)],
      a = c.antisymmetric[(i % k) * k + (j % k)];
    return i < k === j < k ? 0.5 * (s + a) : 0.5 * (s - a);
  };
  const even =
    Math.abs(m.beta ?? 0) +
      Math.abs(m.p ?? 0) +
      Math.abs(m.r ?? 0) +
      Math.abs(m.aileron ?? 0) +
      Math.abs(m.rudder ?? 0) <
    1e-12;
  const size = even ? k : n;
  const M = new Float64Array(size * size);
  for (let i = 0; i < size; i++)
    for (let j = 0; j < size; j++) M[i * size + j] = even ? c.symmetric[i * k + j] : influence(i, j);
  const added = new Float64Array(size);
  if (start) added.set(start.subarray(0, size));
  const cl = new Float64Array(size),
    angle = new Float64Array(size),
    F = new Float64Array(size),
    dF = new Float64Array(size),
    R = new Float64Array(size);
  const smooth = { on: false };
  const evaluate = (d: Float64Array): number => {
    for (let i = 0; i < size; i++) {
      let g = base.strength[i];
      for (let j = 0, row = i * size; j < size; j++) g += M[row + j] * d[j];
      cl[i] = (2 * g) / (chord[i] * base.speed[i]);
      angle[i] = cl[i] / (2 * Math.PI) + sections.zero[i % k] - d[i];
    }
    let worst = 0;
    for (let i = 0; i < size; i++) {
      const up = FLAP_RAISES * base.lift[i];
      const t = tableAt(sections.tables[i % k].cl, angle[i] - up / (2 * Math.PI));
      F[i] = t.value + up;
      dF[i] = t.slope;
      R[i] = F[i] - cl[i] + (smooth.on ? smoothing(i, d) : 0);
      worst = Math.max(worst, Math.abs(R[i]));
    }
    return worst;
  };
  const side = (i: number) => (i < k ? 0 : k);
  const neighbours = (i: number): [number, number] => {
    const o = c.next[i % k],
      s = side(i);
    let inn = -1;
    if (i % k > 0 && c.next[(i % k) - 1] === i % k) inn = i - 1;
    return [inn, o < 0 ? -1 : o + s];
  };
  const smoothing = (i: number, d: Float64Array): number => {
    const [a, b] = neighbours(i);
    return SMOOTH * ((a >= 0 ? d[a] - d[i] : 0) + (b >= 0 ? d[b] - d[i] : 0));
  };
  const J = new Float64Array(size * size),
    trial = new Float64Array(size);
  let worst = evaluate(added),
    it = 0;
  for (; it < LIMIT && worst > 1e-5; it++) {
    if (!smooth.on && angle.some((a, i) => a > sections.tables[i % k].alphaStall)) {
      smooth.on = true;
      worst = evaluate(added);
    }
    for (let i = 0; i < size; i++) {
      const f = 2 / (chord[i] * base.speed[i]);
      for (let j = 0; j < size; j++) J[i * size + j] = (dF[i] / (2 * Math.PI) - 1) * f * M[i * size + j];
      J[i * size + i] -= dF[i];
      if (smooth.on) {
        const [a, b] = neighbours(i);
        if (a >= 0) {
          J[i * size + a] += SMOOTH;
          J[i * size + i] -= SMOOTH;
        }
        if (b >= 0) {
          J[i * size + b] += SMOOTH;
          J[i * size + i] -= SMOOTH;
        }
      }
    }
    const step = R.map((r) => -r);
    luSolveInPlace(J, luInPlace(J, size), step);
    const most = step.reduce((s, v) => Math.max(s, Math.abs(v)), 0);
    let share = Math.min(1, 0.08 / Math.max(most, 1e-12)),
      better = Infinity;
    for (let tries = 0; tries < 5; tries++, share *= 0.5) {
      for (let i = 0; i < size; i++) trial[i] = added[i] + share * step[i];
      better = evaluate(trial);
      if (better < worst || tries === 4) break;
    }
    added.set(trial);
    worst = better;
  }
  return report(c, sections, m, { added, cl, angle, even, base, worst, it });
}

/**
 * Smoothing of the added angles [lift coefficient per rad]: least that settled on the layouts tried; 0.5 left saw-teeth, 5
 * blurred the spread.
 */
const SMOOTH = 1.5;

function report(
  c: CoupledStrips,
  sections: StripSections,
  m: Motion,
  r: {
    added: Float64Array;
    cl: Float64Array;
    angle: Float64Array;
    even: boolean;
    base: Base;
    worst: number;
    it: number;
  },
): CoupledFlow {
  const { sol, at } = c,
    k = at.length;
  const sides = r.even ? 1 : 2;
  const strips: StripFlow[] = [];
  const halfSpan = new Map<string, number>();
  for (const s of sol.strips)
    halfSpan.set(s.surface, Math.max(halfSpan.get(s.surface) ?? 0, s.inner + s.width));
  let lift = 0,
    profile = 0,
    roll = 0,
    moment = 0;
  const g = new Float64Array(sol.strips.length);
  for (let side = 0; side < sides; side++) {
    at.forEach((i, n) => {
      const s = sol.strips[i],
        q = side * k + n,
        t = sections.tables[n];
      const strength = 0.5 * r.cl[q] * s.chord * r.base.speed[q];
      const cut = t.alphaStall + (FLAP_RAISES * r.base.lift[q]) / (2 * Math.PI);
      const margin = cut - r.angle[q];
      strips.push({
        surface: s.surface,
        side: side === 0 ? 'right' : 'left',
        eta: s.y / halfSpan.get(s.surface)!,
        y: s.yQuarter,
        from: s.y0,
        to: s.y0 + s.dy,
        cl: r.cl[q],
        ratio: r.cl[q] / (t.clMax + FLAP_RAISES * r.base.lift[q]),
        angle: r.angle[q],
        margin,
        state: margin < 0 ? 'stalled' : margin < NEAR ? 'near' : 'attached',
      });
      const w = r.even ? 2 : 1,
        area = (s.width * s.chord * w) / sol.refArea,
        speed2 = r.base.speed[q] ** 2;
      const part = (2 * strength * s.dy * r.base.speed[q] * w) / sol.refArea;
      lift += part;
      profile += area * speed2 * tableAt(t.cd, r.angle[q]).value;
      roll -= ((side === 0 ? 1 : -1) * (r.even ? 0 : part * s.yQuarter)) / sol.refSpan;
      moment -=
        part * ((s.xQuarter - m.x) / sol.refChord) -
        (area * speed2 * s.chord * tableAt(t.cm, r.angle[q]).value) / sol.refChord;
      g[i] += strength / sides;
    });
  }
  const full = new Float64Array(2 * k);
  full.set(r.added);
  if (r.even) full.set(r.added, k);
  return {
    alpha: m.alpha,
    CL: lift,
    CDi: inducedDrag(sol, g),
    CDprofile: profile,
    Cm: moment,
    Cl: roll,
    status: r.worst < 2e-3 ? 'settled' : 'not-settled',
    residual: r.worst,
    iterations: r.it,
    added: full,
    strips,
  };
}
