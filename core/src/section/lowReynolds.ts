/**
 * Sections below a Reynolds number of 30 000, where the layer is laminar and, once it has separated, stays so.
 * Sharp sections under 5 % thick behave as plates. Rounded ones follow the coupled solution while it settles over the
 * angles of flight; where it does not, a subcritical law: half the camber counts, largest lift 0.6 and three times the camber,
 * at most 0.9 (about 0.7 to 0.9 in low-turbulence tests at 1e4 to 4e4; from memory). All of it low confidence.
 */
import { contourFacts, camberAt, type Contour } from './contour';
import { FREE, type PreparedSection } from './prepared';
import { polarOf, type Polar, type PolarOptions, type PolarPoint } from './polar';
import { platePolar } from './plate';
import { beyondStall } from './stall';
import { thinAirfoil } from './thinAirfoil';

const DEG = Math.PI / 180;
/** Below this no polar is taken on trust. */
export const LEAST_COUPLED = 3e4;
const LEAST = 1e4;
const SHARP_THICKNESS = 0.05,
  /** nose radius over thickness squared; 1.1 for an ordinary rounded nose */ SHARP_NOSE = 0.4;
const NOTE = 'Below a Reynolds number of 30 000: expect 20 % either way in lift, more in drag.';

/** Camber line's slope. */
export function contourSlope(c: Contour): (x: number) => number {
  return (x) => {
    const a = Math.max(0, x - 0.01),
      b = Math.min(1, x + 0.01);
    return (camberAt(c, b) - camberAt(c, a)) / (b - a);
  };
}

/** Thin with a sharp nose: a plate, whatever its name. */
export function isSharp(c: Contour): boolean {
  const f = contourFacts(c);
  return f.thickness < SHARP_THICKNESS && f.noseRadius < SHARP_NOSE * f.thickness ** 2;
}

/** Slope and drag of a laminar, separated section. From memory of tests; the shape of a curve. */
const SLOPE = 4.2,
  TOP = 0.6,
  TOP_BY_CAMBER = 3,
  MOST = 0.9,
  CAMBER_COUNTS = 0.5,
  LIFT_DRAG = 0.14;
const GRID = Array.from({ length: 39 }, (_, i) => (i - 14) * DEG);

/** @param alphas [rad], ascending */
export function subcriticalPolar(
  contour: Contour,
  reynolds: number,
  alphas: readonly number[] = GRID,
): Polar {
  const f = contourFacts(contour),
    thin = thinAirfoil(contourSlope(contour));
  const zero = CAMBER_COUNTS * thin.zeroLift,
    top = Math.min(MOST, TOP + TOP_BY_CAMBER * Math.max(0, f.camber)),
    bottom = -Math.min(MOST, TOP + TOP_BY_CAMBER * Math.max(0, -f.camber));
  const still = ((2 * 1.328) / Math.sqrt(reynolds)) * (1 + 2 * f.thickness) + 0.1 * f.thickness;
  const drag = (cl: number) => still + LIFT_DRAG * cl * cl;
  const alphaTop = zero + top / SLOPE,
    alphaBottom = zero + bottom / SLOPE;
  const at = { alpha: Math.max(alphaTop, 0.06), cl: top, cd: drag(top) };
  const points = alphas.map((alpha): PolarPoint => {
    const high = alpha > alphaTop,
      low = alpha < alphaBottom;
    const law = high ? beyondStall(alpha, at) : null;
    const cl = law?.cl ?? Math.max(bottom, SLOPE * (alpha - zero));
    return {
      alpha,
      cl,
      cd: law?.cd ?? drag(cl) + (low ? (alphaBottom - alpha) ** 2 : 0),
      cm: CAMBER_COUNTS * thin.moment - (high ? 0.06 : 0),
      transitionUpper: 1,
      transitionLower: 1,
      separationUpper: high ? 0.02 : 0.5,
      separationLower: low ? 0.02 : 1,
      bubble: null,
      stalled: high || low,
      how: 'table',
    };
  });
  const attached = points.filter((p) => !p.stalled);
  return {
    reynolds,
    points,
    clMax: top,
    clMin: bottom,
    alphaStall: alphaTop,
    missed: [],
    confidence: 'low',
    warnings: [NOTE, 'The computed layer did not settle; a law for laminar, separated flow stands in.'],
    attachedCl: attached.map((p) => p.cl),
    attachedCd: attached.map((p) => p.cd),
  };
}

/** Angles about which a section flies, and the share of them that must have settled. */
const FLOWN = [-3 * DEG, 9 * DEG] as const,
  SETTLED_SHARE = 0.6;

/** Did the coupled solution find a flow over the angles of flight? */
function followsCoupled(p: Pick<Polar, 'points'>, step: number): boolean {
  const solved = p.points.filter((q) => q.how === 'solved' && q.alpha >= FLOWN[0] && q.alpha <= FLOWN[1]);
  return solved.length >= SETTLED_SHARE * ((FLOWN[1] - FLOWN[0]) / step);
}

/** Polar of an outline below the range of the layer. @param reynolds below 30 000 */
export function lowReynoldsPolar(
  contour: Contour,
  reynolds: number,
  options: PolarOptions = { ...FREE, step: 1.5 * DEG },
  prep?: PreparedSection,
): Polar {
  if (isSharp(contour)) return platePolar(contourSlope(contour), contourFacts(contour).thickness, reynolds);
  if (!(reynolds >= LEAST)) return subcriticalPolar(contour, reynolds);
  const p = polarOf(contour, reynolds, options, prep);
  return followsCoupled(p, options.step)
    ? { ...p, confidence: 'low', warnings: [NOTE, ...p.warnings] }
    : subcriticalPolar(contour, reynolds);
}
