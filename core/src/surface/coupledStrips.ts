/**
 * What the coupling of strips to section polars (`coupledFlow.ts`) needs of a lattice and of the sections, each made
 * once: how an angle on one strip loads another, and tables of the sections at the Reynolds numbers of one speed.
 */
import { luInPlace, luSolveInPlace } from '../numeric';
import type { PolarSet } from '../section';
import { stripSums, type LatticeSolution } from './lattice';
import { liftTable, type LiftTable } from './liftTable';

/** What coupling needs of a lattice, made once: how an angle on one strip loads another. */
export interface CoupledStrips {
  readonly sol: LatticeSolution;
  /** indices of the lifting strips among all strips */ readonly at: readonly number[];
  /** k x k, row i strip i: strength by one rad on strip j, symmetric and antisymmetric */ readonly symmetric: Float64Array;
  readonly antisymmetric: Float64Array;
  /** strips of one surface that are neighbours: index of the next outer one, or -1 */ readonly next: Int32Array;
  /** angle of no lift of each strip as the lattice sees its camber line [rad] */ readonly zero: Float64Array;
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
    zero: zeroAngles(sol, at),
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
  const tables = c.at.map((s) => {
    const { section, chord } = c.sol.strips[s];
    return tableNear(polars.get(section)!, Math.round(Math.log(reynoldsOf(chord)) / APART), factor);
  });
  return { tables, zero: c.zero };
}

/** Logarithm of the ratio of Reynolds numbers for which one table serves: 3 %. */
const APART = 0.03;
/** Tables kept of one set of polars: a dozen nodes of a dozen chords. */
const TABLES = 200;
/** Made for the same few Reynolds numbers by every sweep and every edit of a shape. */
const tablesOf = new WeakMap<PolarSet, Map<string, LiftTable>>();

/** @param nth whole multiple of APART in log Reynolds number */
function tableNear(set: PolarSet, nth: number, factor: number): LiftTable {
  let known = tablesOf.get(set);
  if (!known || known.size > TABLES) tablesOf.set(set, (known = new Map()));
  const key = `${nth}:${factor}`;
  let table = known.get(key);
  if (!table) known.set(key, (table = liftTable(set, Math.exp(nth * APART), factor)));
  return table;
}

function zeroAngles(sol: LatticeSolution, at: readonly number[]): Float64Array {
  const slopes = sol.strips.map((): number[] => []);
  for (const p of sol.model.panels) slopes[p.strip].push(p.slope);
  return Float64Array.from(at, (s) => latticeZero(slopes[s], sol.strips[s].angle));
}

/**
 * Angle at which the strip alone, in two dimensions, carries nothing in the lattice: its own camber slopes weighted as its
 * rows are.
 */
function latticeZero(own: readonly number[], built: number): number {
  const n = own.length;
  // two-dimensional lattice: vortices at quarter, control points at three quarters of n equal rows; chord 1
  const a = new Float64Array(n * n),
    b = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < n; j++) a[i * n + j] = -1 / (2 * Math.PI * ((i + 0.75 - j - 0.25) / n));
    b[i] = -(own[i] - built);
  }
  const order = luInPlace(a, n);
  luSolveInPlace(a, order, b);
  return -b.reduce((s, g) => s + g, 0) / Math.PI;
}
