/**
 * Strips coupled to section polars: each strip's angle is changed (decambered) until the lift that the lattice gives
 * it is the lift that its section gives at the angle it meets. Source: Mukherjee and Gopalarathnam, Poststall
 * prediction of multiple-lifting-surface configurations using a decambering approach, Journal of Aircraft 43(3), 2006;
 * one variable a strip (lift only), solved by damped Newton. Past the stall the strips' angles are smoothed a little
 * along the span, as the flow there has more than one answer (Chattot; Gallay and Laurendeau 2015, from memory).
 */
import { luInPlace, luSolveInPlace } from '../numeric';
import type { CoupledStrips, StripSections } from './coupledStrips';
import { strengths, type Motion } from './forces';
import { flapEffect } from './hinge';
import { inducedDrag, stripSums } from './lattice';
import { tableAt, tableInto } from './liftTable';

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
/** Most rounds of Newton, and the lift coefficient by which the worst strip may be missed. */
const ROUNDS = 60,
  MISSED = 1e-5;
/** Most that a round may change an angle [rad]. */
const STRIDE = 0.08;
/** Tries of half the change before where a round leads is taken for what it is. */
const HALVINGS = 5;
/** Rounds without the worst strip coming nearer by a tenth: a flow that goes round in circles is left at its best. */
const PATIENCE = 20,
  NEARER = 0.9;
/** A strip that is missed by more than this, in lift coefficient, has not settled. */
const SETTLED = 2e-3;

/**
 * Share of a flap's lift that raises the section's largest lift; the rest brings the stall to a smaller angle (common practice
 * for plain flaps, from memory).
 */
const FLAP_RAISES = 0.5;

/**
 * Smoothing of the added angles [lift coefficient per rad]: least that settled on the layouts tried; 0.5 left saw-teeth, 5
 * blurred the spread.
 */
const SMOOTH = 1.5;

/** Of every strip, right then left. */
interface Base {
  /** attached */ strength: Float64Array;
  /** that it meets */ speed: Float64Array;
  /** that a flap adds at the same angle */ lift: Float64Array;
}

/** @param twist built-in angle beyond the drawing, one per lifting strip, both sides alike [rad] */
function baseOf(c: CoupledStrips, m: Motion, twist?: Float64Array): Base {
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
    let turned = 0;
    if (twist) for (let j = 0; j < k; j++) turned += c.symmetric[n * k + j] * twist[j];
    strength[n] = s[i] + a[i] + turned;
    strength[n + k] = s[i] - a[i] + turned;
    speed[n] = 1 - (m.r ?? 0) * strip.yQuarter;
    speed[n + k] = 1 + (m.r ?? 0) * strip.yQuarter;
    const f = flapEffect(strip.flaps, m);
    lift[n] = 2 * Math.PI * f.right;
    lift[n + k] = 2 * Math.PI * f.left;
  });
  return { strength, speed, lift };
}

/** Both sides alike: one of them is solved. */
const isEven = (m: Motion): boolean =>
  [m.beta, m.p, m.r, m.aileron, m.rudder].reduce<number>((s, v) => s + Math.abs(v ?? 0), 0) < 1e-12;

/** Strength of strip i by one rad on strip j, right then left. */
function influenceOf(c: CoupledStrips, even: boolean): Float64Array {
  if (even) return c.symmetric;
  const k = c.at.length,
    n = 2 * k,
    out = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      const s = c.symmetric[(i % k) * k + (j % k)],
        a = c.antisymmetric[(i % k) * k + (j % k)];
      out[i * n + j] = i < k === j < k ? 0.5 * (s + a) : 0.5 * (s - a);
    }
  return out;
}

/** Indices of each strip's neighbours on its surface and side, inner then outer; -1 where there is none. */
function neighboursOf({ next }: CoupledStrips, size: number): Int32Array {
  const k = next.length,
    out = new Int32Array(2 * size).fill(-1);
  for (let i = 0; i < size; i++) {
    const n = i % k;
    if (n > 0 && next[n - 1] === n) out[2 * i] = i - 1;
    if (next[n] >= 0) out[2 * i + 1] = next[n] + i - n;
  }
  return out;
}

/** Lift of the lattice against lift of the section on every strip, by the angles that are added to them. */
class Equations {
  readonly cl: Float64Array;
  /** met [rad] */ readonly angle: Float64Array;
  /** section's lift less the lattice's */ readonly missed: Float64Array;
  private readonly slope: Float64Array;
  /** chord times speed: strength by half the lift coefficient */ private readonly scale: Float64Array;
  private readonly neighbours: Int32Array;
  /** lift of the section over its angle */ private readonly columns: readonly Float64Array[];
  /** angle of no lift [rad] */ private readonly zero: Float64Array;
  /** what a flap raises the lift by */ private readonly raised: Float64Array;
  /** value and slope that were read last */ private readonly read = new Float64Array(2);
  private smooth = false;

  constructor(
    c: CoupledStrips,
    private readonly sections: StripSections,
    private readonly base: Base,
    private readonly influence: Float64Array,
    readonly size: number,
  ) {
    this.cl = new Float64Array(size);
    this.angle = new Float64Array(size);
    this.missed = new Float64Array(size);
    this.slope = new Float64Array(size);
    const { sol, at } = c;
    this.scale = Float64Array.from(
      { length: size },
      (_, i) => sol.strips[at[i % at.length]].chord * base.speed[i],
    );
    this.neighbours = neighboursOf(c, size);
    const k = at.length;
    this.columns = Array.from({ length: size }, (_, i) => sections.tables[i % k].cl);
    this.zero = Float64Array.from({ length: size }, (_, i) => sections.zero[i % k]);
    this.raised = Float64Array.from({ length: size }, (_, i) => FLAP_RAISES * base.lift[i]);
  }

  /** @returns by how much the worst strip is missed */
  at(added: Float64Array): number {
    const { size, influence, cl, angle, missed, slope, scale, columns, zero, raised, smooth } = this,
      { strength } = this.base,
      read = this.read;
    let worst = 0;
    for (let i = 0; i < size; i++) {
      let g = strength[i];
      for (let j = 0, row = i * size; j < size; j++) g += influence[row + j] * added[j];
      const lift = (2 * g) / scale[i],
        met = lift / (2 * Math.PI) + zero[i] - added[i],
        up = raised[i];
      tableInto(columns[i], met - up / (2 * Math.PI), read);
      cl[i] = lift;
      angle[i] = met;
      slope[i] = read[1];
      const miss = read[0] + up - lift + (smooth ? this.smoothing(i, added) : 0);
      missed[i] = miss;
      worst = Math.max(worst, Math.abs(miss));
    }
    return worst;
  }

  private smoothing(i: number, added: Float64Array): number {
    const a = this.neighbours[2 * i],
      b = this.neighbours[2 * i + 1];
    return SMOOTH * ((a >= 0 ? added[a] - added[i] : 0) + (b >= 0 ? added[b] - added[i] : 0));
  }

  /** Once a strip is past its stall the added angles are smoothed. @returns it begins now */
  smoothes(): boolean {
    const { tables } = this.sections;
    if (this.smooth || !this.angle.some((a, i) => a > tables[i % tables.length].alphaStall)) return false;
    this.smooth = true;
    return true;
  }

  /** Change of every angle that a round of Newton's asks for, where they stand now. */
  change(J: Float64Array): Float64Array {
    const { size, influence, slope, scale } = this;
    for (let i = 0; i < size; i++) {
      const row = i * size,
        f = (slope[i] / (2 * Math.PI) - 1) * (2 / scale[i]);
      for (let j = 0; j < size; j++) J[row + j] = f * influence[row + j];
      J[row + i] -= slope[i];
      if (!this.smooth) continue;
      for (const n of [this.neighbours[2 * i], this.neighbours[2 * i + 1]]) {
        if (n < 0) continue;
        J[row + n] += SMOOTH;
        J[row + i] -= SMOOTH;
      }
    }
    const step = this.missed.map((r) => -r);
    luSolveInPlace(J, luInPlace(J, size), step);
    return step;
  }
}

interface Answer {
  added: Float64Array;
  worst: number;
  rounds: number;
}

/** One round: the change that Newton asks for, or so much of it that the worst strip comes nearer. */
function advance(eq: Equations, added: Float64Array, J: Float64Array, worst: number): number {
  const step = eq.change(J),
    from = added.slice(),
    most = step.reduce((s, v) => Math.max(s, Math.abs(v)), 0);
  let share = Math.min(1, STRIDE / Math.max(most, 1e-12)),
    now = Infinity;
  for (let tries = 0; tries < HALVINGS; tries++, share *= 0.5) {
    for (let i = 0; i < step.length; i++) added[i] = from[i] + share * step[i];
    now = eq.at(added);
    if (now < worst) break;
  }
  return now;
}

function settle(eq: Equations, start?: Float64Array): Answer {
  const added = new Float64Array(eq.size),
    J = new Float64Array(eq.size ** 2);
  if (start) added.set(start.subarray(0, eq.size));
  let worst = eq.at(added),
    rounds = 0,
    best = { added: added.slice(), worst },
    idle = 0;
  for (; rounds < ROUNDS && worst > MISSED && idle < PATIENCE; rounds++) {
    if (eq.smoothes()) {
      worst = eq.at(added);
      best = { added: added.slice(), worst };
    }
    worst = advance(eq, added, J, worst);
    idle = worst < NEARER * best.worst ? 0 : idle + 1;
    if (worst < best.worst) best = { added: added.slice(), worst };
  }
  return { ...best, worst: worst > best.worst ? eq.at(best.added) : worst, rounds };
}

/**
 * Flow of a motion with strips at their sections' lift.
 * @param start `added` of a neighbouring flow
 * @param twist built-in angle beyond the drawing, one per lifting strip, both sides alike [rad]
 */
export function solveCoupled(
  c: CoupledStrips,
  sections: StripSections,
  m: Motion,
  start?: Float64Array,
  twist?: Float64Array,
): CoupledFlow {
  const even = isEven(m),
    base = baseOf(c, m, twist),
    size = even ? c.at.length : 2 * c.at.length;
  const eq = new Equations(c, sections, base, influenceOf(c, even), size),
    answer = settle(eq, start);
  return report({ c, sections, m, base, eq, even }, answer);
}

interface Solved {
  c: CoupledStrips;
  sections: StripSections;
  m: Motion;
  base: Base;
  eq: Equations;
  even: boolean;
}

/** Flow of strip n of its side; q counts both sides. */
function stripFlow({ c, sections, base, eq }: Solved, n: number, side: 0 | 1, half: number): StripFlow {
  const q = side * c.at.length + n,
    s = c.sol.strips[c.at[n]],
    t = sections.tables[n];
  const margin = t.alphaStall + (FLAP_RAISES * base.lift[q]) / (2 * Math.PI) - eq.angle[q];
  return {
    surface: s.surface,
    side: side === 0 ? 'right' : 'left',
    eta: s.y / half,
    y: s.yQuarter,
    from: s.y0,
    to: s.y0 + s.dy,
    cl: eq.cl[q],
    ratio: eq.cl[q] / (t.clMax + FLAP_RAISES * base.lift[q]),
    angle: eq.angle[q],
    margin,
    state: margin < 0 ? 'stalled' : margin < NEAR ? 'near' : 'attached',
  };
}

/** Half span of every surface, along it. */
function halfSpans(c: CoupledStrips): ReadonlyMap<string, number> {
  const out = new Map<string, number>();
  for (const s of c.sol.strips) out.set(s.surface, Math.max(out.get(s.surface) ?? 0, s.inner + s.width));
  return out;
}

function report(solved: Solved, { added, worst, rounds }: Answer): CoupledFlow {
  const { c, sections, m, base, eq, even } = solved,
    { sol, at } = c,
    k = at.length;
  const strips: StripFlow[] = [],
    half = halfSpans(c),
    g = new Float64Array(sol.strips.length);
  const sum = { lift: 0, profile: 0, roll: 0, moment: 0 };
  const sides = even ? 1 : 2,
    both = even ? 2 : 1;
  for (const side of even ? ([0] as const) : ([0, 1] as const))
    for (let n = 0; n < k; n++) {
      const s = sol.strips[at[n]],
        q = side * k + n,
        t = sections.tables[n],
        speed = base.speed[q];
      strips.push(stripFlow(solved, n, side, half.get(s.surface)!));
      const strength = 0.5 * eq.cl[q] * s.chord * speed,
        area = ((s.width * s.chord * both) / sol.refArea) * speed ** 2,
        part = (2 * strength * s.dy * speed * both) / sol.refArea;
      sum.lift += part;
      sum.profile += area * tableAt(t.cd, eq.angle[q]).value;
      sum.roll -= ((side === 0 ? 1 : -1) * (even ? 0 : part * s.yQuarter)) / sol.refSpan;
      sum.moment -=
        part * ((s.xQuarter - m.x) / sol.refChord) -
        (area * s.chord * tableAt(t.cm, eq.angle[q]).value) / sol.refChord;
      g[at[n]] += strength / sides;
    }
  const full = new Float64Array(2 * k);
  full.set(added);
  if (even) full.set(added, k);
  return {
    alpha: m.alpha,
    CL: sum.lift,
    CDi: inducedDrag(sol, g),
    CDprofile: sum.profile,
    Cm: sum.moment,
    Cl: sum.roll,
    status: worst < SETTLED ? 'settled' : 'not-settled',
    residual: worst,
    iterations: rounds,
    added: full,
    strips,
  };
}
