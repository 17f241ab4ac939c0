/**
 * Trim, neutral point, drag due to lift and largest lift of a lattice solution.
 * Trim: CL and Cm about the CG by two linear equations in angle of attack and elevator.
 */
import { profileDrag, sectionClMax, type PolarSet } from '../section';
import { forcesOf, type Forces } from './forces';
import { inducedDrag, stripStrengths, type LatticeSolution } from './lattice';

/** Pitching moment of the surfaces alone about (refX, z): without angle and elevator, per rad of each. */
export interface NearMoments {
  zero: number;
  alpha: number;
  elevator: number;
}

/** Lift coefficient about which moments are taken as linear: what small aircraft mostly fly at. */
const USUAL_LIFT = 0.5;

/**
 * Moments by the near-field forces, linear about the usual lift. Every neutral point, trim and derivative comes from these:
 * moments of lift alone leave out what dihedral, sweep and height make of the pull along the chord (up to 0.015 of the chord).
 * @param z height of the moment point: that of the CG [m]
 * @param lines of the same lattice, where they are at hand
 */
export function nearMoments(sol: LatticeSolution, z: number, lines = momentLines(sol)): NearMoments {
  const at = (k: keyof NearMoments) => lines.level[k] + z * lines.height[k];
  return { zero: at('zero'), alpha: at('alpha'), elevator: at('elevator') };
}

/** Moments about the height z = 0, and what a metre more takes: a force along x has its arm there. */
export interface MomentLines {
  level: NearMoments;
  /** [1/m] */ height: NearMoments;
}

export function momentLines(sol: LatticeSolution): MomentLines {
  const c = sol.coefficients,
    at = (USUAL_LIFT - c.cl0) / c.clAlpha,
    H = 1e-3;
  const f = (alpha: number, elevator: number) => forcesOf(sol, { alpha, elevator, x: sol.refX, z: 0 });
  const [mid, up, down, pull, push] = [f(at, 0), f(at + H, 0), f(at - H, 0), f(at, H), f(at, -H)];
  const line = (of: (g: Forces) => number): NearMoments => {
    const alpha = (of(up) - of(down)) / (2 * H);
    return { alpha, zero: of(mid) - alpha * at, elevator: (of(pull) - of(push)) / (2 * H) };
  };
  return { level: line((g) => g.Cm), height: line((g) => -g.CX / sol.refChord) };
}

/** Everything linear about the aircraft, with the body's moment and the calibrated neutral-point shift inside. */
export interface LinearAero {
  readonly sol: LatticeSolution;
  readonly near: NearMoments;
  /** Cm slope about refX incl. body and shift, per rad */
  readonly cmAlpha: number;
  /** neutral point x [m] */
  readonly neutralX: number;
}

/**
 * @param shift neutral-point shift aft [mean chords]
 * @param near moments about the height of the CG; about that of the mean chord where left out
 */
export function linearAero(
  sol: LatticeSolution,
  bodySlope: number,
  shift: number,
  near = nearMoments(sol, sol.refZ),
): LinearAero {
  const { clAlpha } = sol.coefficients;
  const cmAlpha = near.alpha + bodySlope - shift * clAlpha;
  return { sol, near, cmAlpha, neutralX: sol.refX - (cmAlpha / clAlpha) * sol.refChord };
}

/**
 * Moment about a CG at cgX [m] with the controls in line: at no angle of attack, per rad of it, and per rad of
 * pitch control.
 */
export function momentAbout(aero: LinearAero, cgX: number): { zero: number; slope: number; control: number } {
  const c = aero.sol.coefficients,
    arm = (cgX - aero.sol.refX) / aero.sol.refChord;
  return {
    zero: aero.near.zero + arm * c.cl0,
    slope: aero.cmAlpha + arm * c.clAlpha,
    control: aero.near.elevator + arm * c.clElevator,
  };
}

export interface TrimState {
  alpha: number;
  elevator: number;
  status: 'trimmed' | 'no-control';
}

/** Angle of attack and elevator [rad] for lift coefficient cl with the CG at cgX [m], thrust moment cmThrust. */
export function solveTrim(aero: LinearAero, cl: number, cgX: number, cmThrust = 0): TrimState {
  const c = aero.sol.coefficients,
    m = momentAbout(aero, cgX);
  const a11 = c.clAlpha,
    a12 = c.clElevator,
    a21 = m.slope,
    a22 = m.control;
  const b1 = cl - c.cl0,
    b2 = -m.zero - cmThrust;
  const det = a11 * a22 - a12 * a21;
  if (!(Math.abs(det) > 1e-6)) return { alpha: b1 / a11, elevator: 0, status: 'no-control' };
  return { alpha: (b1 * a22 - a12 * b2) / det, elevator: (a11 * b2 - b1 * a21) / det, status: 'trimmed' };
}

/** Local lift coefficient of each strip. */
export function stripLift(sol: LatticeSolution, g: Float64Array): Float64Array {
  return g.map((v, i) => (2 * v) / sol.strips[i].chord);
}

export interface LiftLimit {
  /** trimmed lift coefficient when the first strip reaches its section's limit */ clMax: number;
  alpha: number;
  /** by surface that lifts: trimmed lift coefficient when its own first strip reaches its limit */ bySurface: ReadonlyMap<
    string,
    number
  >;
  /** span fraction of the first strip, and of its width */ eta: number;
  width: number;
  /** local lift over section limit along the wing at that angle, root first */ ratios: () => {
    eta: number;
    ratio: number;
  }[];
}

/**
 * Critical-section method: raise the trimmed lift until one strip of any lifting surface reaches its section's clmax at its
 * own Reynolds number. Conservative by a few per cent, since lift still grows a little past that point.
 * @param reynoldsOf Reynolds number of a strip from its chord
 */
export function findLiftLimit(
  aero: LinearAero,
  cgX: number,
  polars: ReadonlyMap<string, PolarSet>,
  reynoldsOf: (chord: number) => number,
  factor: number,
): LiftLimit {
  const { strips } = aero.sol;
  const limits = sectionLimits(aero, polars, reynoldsOf, factor);
  const { low, rise } = trimmedLoads(aero, cgX);
  const bySurface = new Map<string, number>();
  let clMax = Infinity,
    first = 0;
  for (let i = 0; i < strips.length; i++) {
    // whatever lifts may be the first: wing, foreplane, a tandem's rear wing
    if (strips[i].role === 'fin' || !(rise[i] > 0)) continue;
    const cl = (limits[i] - low[i]) / rise[i],
      { surface } = strips[i];
    if (cl < (bySurface.get(surface) ?? Infinity)) bySurface.set(surface, cl);
    if (cl < clMax) {
      clMax = cl;
      first = i;
    }
  }
  const end = (id: string) =>
    strips.reduce((m, s) => (s.surface === id ? Math.max(m, s.inner + s.width) : m), 0);
  return {
    clMax,
    bySurface,
    alpha: solveTrim(aero, clMax, cgX).alpha,
    eta: strips[first].y / end(strips[first].surface),
    width: strips[first].width / end(strips[first].surface),
    ratios: () => {
      const half = end(strips.find((s) => s.role === 'wing')!.surface);
      return strips.flatMap((s, i) =>
        s.role === 'wing' ? [{ eta: s.y / half, ratio: (low[i] + clMax * rise[i]) / limits[i] }] : [],
      );
    },
  };
}

/** Largest section lift of every strip at its own Reynolds number; 0 for fins. */
export function sectionLimits(
  aero: LinearAero,
  polars: ReadonlyMap<string, PolarSet>,
  reynoldsOf: (chord: number) => number,
  factor = 1,
): Float64Array {
  return Float64Array.from(aero.sol.strips, (s) =>
    s.role === 'fin' ? 0 : factor * sectionClMax(polars.get(s.section)!, reynoldsOf(s.chord)),
  );
}

/** Trimmed local lift of every strip, linear in the lift coefficient: at CL 0, and what one more adds. */
function trimmedLoads(aero: LinearAero, cgX: number): { low: Float64Array; rise: Float64Array } {
  const { sol } = aero;
  const a = solveTrim(aero, 0, cgX),
    b = solveTrim(aero, 1, cgX);
  const n = sol.strips.length,
    low = new Float64Array(n),
    rise = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const k = 2 / sol.strips[i].chord;
    low[i] = k * (sol.shape[i] + a.alpha * sol.alpha[i] + a.elevator * sol.elevator[i]);
    rise[i] = k * ((b.alpha - a.alpha) * sol.alpha[i] + (b.elevator - a.elevator) * sol.elevator[i]);
  }
  return { low, rise };
}

/** Drag from the surfaces at one trimmed lift coefficient: profile (strips at their own cl and Re) and induced. */
export function surfaceDrag(
  aero: LinearAero,
  cl: number,
  cgX: number,
  polars: ReadonlyMap<string, PolarSet>,
  reynoldsOf: (chord: number) => number,
): { profile: number; induced: number; trim: TrimState } {
  const { sol } = aero;
  const trim = solveTrim(aero, cl, cgX);
  const g = stripStrengths(sol, trim.alpha, trim.elevator);
  const local = stripLift(sol, g);
  let profile = 0;
  sol.strips.forEach((s, i) => {
    if (s.role === 'fin') return;
    profile +=
      (2 * s.width * s.chord * profileDrag(polars.get(s.section)!, local[i], reynoldsOf(s.chord))) /
      sol.refArea;
  });
  return { profile, induced: inducedDrag(sol, g), trim };
}
