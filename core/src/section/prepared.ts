/** What the coupled solution works on: a contour made ready once, the options of a flow, and the state of a point. */
import { contourPerMass, type InviscidBasis, type WakeFlow } from './panels';

export interface FlowOptions {
  /** waves at transition; 9 a quiet tunnel or still air, 4 to 6 turbulent air or rough skin */
  nCrit: number;
  /** transition at the latest here, share of the chord, upper and lower face; 1 = free */
  tripUpper: number;
  tripLower: number;
}
export const FREE: FlowOptions = { nCrit: 9, tripUpper: 1, tripLower: 1 };

/** A contour made ready once: panels, their response to displacement, and room to work in. */
export interface PreparedSection {
  readonly basis: InviscidBasis;
  /** d gamma_i / d M_j on the contour, n rows of n */
  readonly perMass: Float64Array;
  /** nodes on the contour, in the wake, and together */
  readonly n: number;
  readonly nw: number;
  readonly N: number;
  readonly work: { E: Float64Array; matrix: Float64Array; Pc: Float64Array; Pt: Float64Array };
}

export function prepareSection(basis: InviscidBasis): PreparedSection {
  const n = basis.arc.length,
    nw = Math.ceil(n / 8) + 2,
    N = n + nw;
  const square = () => new Float64Array(N * N);
  return {
    basis,
    perMass: contourPerMass(basis),
    n,
    nw,
    N,
    work: { E: square(), matrix: square(), Pc: square(), Pt: square() },
  };
}

/** One point of the flow: node values in contour order, then the wake's. */
export interface FlowState {
  readonly alpha: number;
  /** first node of the lower face */
  stagnation: number;
  /** arc length of the stagnation point */
  stagnationArc: number;
  readonly theta: Float64Array;
  readonly dstar: Float64Array;
  readonly ue: Float64Array;
  readonly c: Float64Array;
  /** 1 where turbulent */
  readonly turbulent: Uint8Array;
  /** arc length of transition from the stagnation point, upper and lower */
  readonly transition: [number, number];
  wake: WakeFlow | null;
  iterations: number;
  converged: boolean;
}

/** Arc length on a face where the contour passes x / c = share; `dir` -1 runs from the nose to the upper edge. */
export function tripArc(basis: InviscidBasis, share: number, upper: boolean): number {
  const { xy } = basis.contour;
  const n = basis.arc.length;
  let nose = 0;
  for (let i = 1; i < n; i++) if (xy[2 * i] < xy[2 * nose]) nose = i;
  const step = upper ? -1 : 1;
  for (let i = nose; upper ? i > 0 : i < n - 1; i += step) {
    const a = xy[2 * i],
      b = xy[2 * (i + step)];
    if (b >= share) return basis.arc[i] + ((share - a) / (b - a)) * (basis.arc[i + step] - basis.arc[i]);
  }
  return upper ? basis.arc[0] : basis.arc[n - 1];
}
