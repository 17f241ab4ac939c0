/**
 * Vortex lattice of any number of surfaces: horseshoes on the quarter line of each panel, flow tangent at three
 * quarters, wake straight aft. Every layout here is alike on both sides, so that the flow falls into a symmetric and an
 * antisymmetric part with a system each; sideslip, rates and ailerons are answered by the second. Linear in
 * angle of attack, sideslip, rates, built-in shape and controls. Induced drag in the Trefftz plane.
 * Source: Katz and Plotkin, Low-Speed Aerodynamics, 2nd ed., 12.1 and 12.2. Stream along +x, unit speed;
 * strengths are divided by V [m]. Ground effect by an image below the ground.
 */
import { DomainError } from '../numeric';
import type { Contour } from '../section';
import type { Design, Surface } from '../design';
import { boundWash, normalWash, solver, turnedWake, type Flow } from './influence';
import { gridOf, type Panel, type Strip } from './panels';
import { referencePlanform } from './planform';
import { symmetricMix, antisymmetricMix, type Mix } from './controls';
import { trefftz } from './trefftz';

/** Names of the columns: what one unit of each does to the strengths. */
export type SymmetricColumn = 'shape' | 'alpha' | 'q' | 'elevator' | 'flap' | 'droop';
export type AntisymmetricColumn = 'beta' | 'p' | 'r' | 'aileron' | 'rudder';

/** The solved lattice; strengths per panel of the right half, mirrored panels first, then those in the middle. */
export interface LatticeModel {
  readonly panels: readonly Panel[];
  /** mirrored panels; the rest stands in the middle */ readonly pairs: number;
  readonly symmetric: Record<SymmetricColumn, Float64Array>;
  readonly antisymmetric: Record<AntisymmetricColumn, Float64Array>;
  /** antisymmetric strengths per rad of sideslip and unit of a symmetric column: its wake goes with the wind */
  readonly turned: Record<SymmetricColumn, Float64Array>;
  /**
   * velocity [1/m] at the middle of bound vortex i by strength j, row i: x, y, z of the symmetric (pairs x pairs)
   * and the antisymmetric flow (n x n); each made when forces of it are first asked for
   */
  readonly boundWash: Readonly<Record<Flow, readonly Float64Array[]>>;
  readonly solveSymmetric: (wash: Float64Array) => Float64Array;
  readonly solveAntisymmetric: (wash: Float64Array) => Float64Array;
}

export interface LatticeSolution {
  readonly strips: readonly Strip[];
  readonly refArea: number;
  readonly refChord: number;
  readonly refSpan: number;
  /** quarter chord of the mean chord: moment point of the solution [m] */
  readonly refX: number;
  /** height of the mean chord [m] */ readonly refZ: number;
  /** strength/V of each strip [m] for: shape (alpha 0), one rad of alpha, one rad of elevator */
  readonly shape: Float64Array;
  readonly alpha: Float64Array;
  readonly elevator: Float64Array;
  readonly coefficients: {
    cl0: number;
    clAlpha: number;
    clElevator: number;
  };
  /** what the elevator column moves: a hinged or mixed control, the whole stabiliser, or nothing */
  readonly pitchControl: 'control' | 'incidence' | 'none';
  /** Trefftz-plane drag: cdi = sum over pairs of w_ij g_i g_j, g strengths [m] */
  readonly wake: readonly Float64Array[];
  readonly model: LatticeModel;
}

const hinged = (p: Panel, mix: Mix): number =>
  p.hinge.reduce((s, h) => s + h.share * (mix.get(h.control) ?? 0), 0);

/** Columns made when they are first asked for: numbers of level flight need none of the antisymmetric flow. */
function whenAsked<K extends string>(make: Readonly<Record<K, () => Float64Array>>): Record<K, Float64Array> {
  const known: Partial<Record<K, Float64Array>> = {},
    out = {};
  for (const k of Object.keys(make) as K[])
    Object.defineProperty(out, k, { enumerable: true, get: () => (known[k] ??= make[k]()) });
  return out as Record<K, Float64Array>;
}

/** Both flows at the bound vortices, each made when it is first asked for. */
function boundFlows(make: (flow: Flow) => readonly Float64Array[]): LatticeModel['boundWash'] {
  const known: Partial<Record<Flow, readonly Float64Array[]>> = {};
  return {
    get symmetric() {
      return (known.symmetric ??= make('symmetric'));
    },
    get antisymmetric() {
      return (known.antisymmetric ??= make('antisymmetric'));
    },
  };
}

/** Panels that have one like them on the other side come first. */
function pairsFirst(all: readonly Panel[]): { panels: Panel[]; pairs: number } {
  const mirrored = all.filter((p) => p.mirrored);
  return { panels: [...mirrored, ...all.filter((p) => !p.mirrored)], pairs: mirrored.length };
}

/** The surface that is turned whole for want of an elevator (-1 where none is), and which way nose-up turns it. */
function stabiliserOf(surfaces: readonly Surface[], elevators: Mix): { stabiliser: number; lead: 1 | -1 } {
  const stabiliser =
    elevators.size === 0 ? surfaces.findIndex((s) => s.role === 'tail' || s.role === 'canard') : -1;
  return { stabiliser, lead: stabiliser >= 0 && surfaces[stabiliser].role === 'canard' ? -1 : 1 };
}

/** Strengths of a flow by strip, and the lift coefficient that they come to. */
function liftOf(model: LatticeModel, strips: number, g: Float64Array, area: number) {
  const { panels, pairs } = model;
  let cl = 0;
  for (let i = 0; i < pairs; i++) cl += (4 * g[i] * (panels[i].yb - panels[i].ya)) / area;
  return { strip: stripSums(model, strips, g), cl };
}

/** Every symmetric flow with its wake turned, made when it is first asked for. */
function turnedFlows(
  symmetric: LatticeModel['symmetric'],
  turned: (g: Float64Array) => Float64Array,
): LatticeModel['turned'] {
  return whenAsked({
    shape: () => turned(symmetric.shape),
    alpha: () => turned(symmetric.alpha),
    q: () => turned(symmetric.q),
    elevator: () => turned(symmetric.elevator),
    flap: () => turned(symmetric.flap),
    droop: () => turned(symmetric.droop),
  });
}

/**
 * Solves the lattice of a design.
 * @param refine multiplies strips and rows (1 for work, 2 or 3 for convergence checks)
 * @param ground height of the design's z = 0 above the ground [m]; null in free air
 * @throws DomainError `singular` when two surfaces lie in each other
 */
export function solveLattice(
  design: Pick<Design, 'surfaces'>,
  contours: ReadonlyMap<string, Contour>,
  refine = 1,
  ground: number | null = null,
): LatticeSolution {
  const grid = gridOf(design.surfaces, contours, refine);
  const { panels, pairs } = pairsFirst(grid.panels);
  const { strips } = grid;
  const main = design.surfaces.find((s) => s.role === 'wing');
  if (!main) throw new DomainError('bad-shape', 'there is no wing');
  const wing = referencePlanform(design.surfaces);
  const refX = wing.macX + 0.25 * wing.mac;
  const washed = (flow: Flow) => normalWash(flow, panels, pairs, ground, grid.matched);
  const solveSymmetric = solver(washed('symmetric'), pairs);
  let solves: ((wash: Float64Array) => Float64Array) | null = null;
  const solveAntisymmetric = (wash: Float64Array) =>
    (solves ??= solver(washed('antisymmetric'), panels.length))(wash);
  const elevatorMix = symmetricMix(design.surfaces, 'elevator'),
    flapMix = symmetricMix(design.surfaces, 'flap');
  const aileronMix = antisymmetricMix(design.surfaces, 'aileron'),
    rudderMix = antisymmetricMix(design.surfaces, 'rudder');
  const { stabiliser, lead } = stabiliserOf(design.surfaces, elevatorMix);
  const sym = (f: (p: Panel) => number) =>
    solveSymmetric(Float64Array.from({ length: pairs }, (_, i) => f(panels[i])));
  const anti = (f: (p: Panel) => number) => solveAntisymmetric(Float64Array.from(panels, f));
  const symmetric: LatticeModel['symmetric'] = {
    shape: sym((p) => p.slope),
    alpha: sym((p) => p.nz),
    q: sym((p) => (p.xc - refX) * p.nz),
    elevator: sym((p) => (stabiliser >= 0 ? (p.surface === stabiliser ? lead : 0) : hinged(p, elevatorMix))),
    flap: sym((p) => hinged(p, flapMix)),
    // both ailerons down together: what a differential adds to a stroke
    droop: sym((p) => hinged(p, aileronMix)),
  };
  const model: LatticeModel = {
    panels,
    pairs,
    boundWash: boundFlows((flow) => boundWash(flow, panels, pairs, ground, grid.matched)),
    solveSymmetric,
    solveAntisymmetric,
    symmetric,
    turned: turnedFlows(symmetric, (g) => solveAntisymmetric(turnedWake(panels, pairs, g))),
    antisymmetric: whenAsked({
      beta: () => anti((p) => -p.ny),
      p: () => anti((p) => p.yc * p.nz - p.zc * p.ny),
      r: () => anti((p) => (p.xc - refX) * p.ny - p.yc * p.slope),
      aileron: () => anti((p) => -hinged(p, aileronMix)),
      // nose right: more load on the right half of a V that opens upward, and towards the left on a fin
      rudder: () => anti((p) => (p.ny > 0 ? -1 : 1) * hinged(p, rudderMix)),
    }),
  };
  const [s0, sa, se] = (['shape', 'alpha', 'elevator'] as const).map((k) =>
    liftOf(model, strips.length, symmetric[k], wing.area),
  );
  const place = new Map(design.surfaces.map((s, i) => [s.id, i]));
  return {
    strips,
    refArea: wing.area,
    refChord: wing.mac,
    refSpan: wing.span,
    refX,
    refZ: wing.macZ,
    shape: s0.strip,
    alpha: sa.strip,
    elevator: se.strip,
    coefficients: { cl0: s0.cl, clAlpha: sa.cl, clElevator: se.cl },
    pitchControl: elevatorMix.size > 0 ? 'control' : stabiliser >= 0 ? 'incidence' : 'none',
    wake: trefftz(
      strips,
      wing.area,
      ground,
      (a, b) => grid.matched[place.get(a.surface)!][place.get(b.surface)!],
    ),
    model,
  };
}

/** Panel strengths of the right half (and the middle) gathered by strip [m]. */
export function stripSums(model: LatticeModel, strips: number, g: Float64Array): Float64Array {
  const out = new Float64Array(strips);
  for (let i = 0; i < g.length; i++) out[model.panels[i].strip] += g[i];
  return out;
}

/** Strip strengths/V [m] at an angle of attack and elevator deflection [rad]. */
export function stripStrengths(sol: LatticeSolution, alpha: number, elevator: number): Float64Array {
  return sol.shape.map((s, i) => s + alpha * sol.alpha[i] + elevator * sol.elevator[i]);
}

/** Induced drag coefficient of the whole system for given strengths. */
export function inducedDrag(sol: LatticeSolution, g: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < g.length; i++) {
    const row = sol.wake[i];
    let w = 0;
    for (let j = 0; j < g.length; j++) w += row[j] * g[j];
    sum += g[i] * w;
  }
  return sum;
}
