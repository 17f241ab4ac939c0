/**
 * Thin plates, bent, folded or film-covered, and sharp sections under 5 % at low Reynolds numbers: thin-airfoil theory
 * with corrections from published tests, all marked low confidence.
 *
 * Lift slope 0.9 of theory, and 0.72 of lift coefficient between ideal angle and stall: flat and cambered plates at
 * Re 6e4 to 2e5, Pelletier and Mueller, Journal of Aircraft 37(5), 2000 (flat plate largest lift about 0.7 near 8
 * degrees, 4 % arc about 1.1; from memory; their scatter between tunnels is some 10 %). No suction at a sharp edge:
 * the force stands across the chord, so drag rises with lift times the angle from the ideal one. Friction: Blasius.
 */
import { requireInRange } from '../numeric';
import type { Polar, PolarPoint } from './polar';
import { beyondStall } from './stall';
import { thinAirfoil } from './thinAirfoil';

const DEG = Math.PI / 180;
const GRID = Array.from({ length: 39 }, (_, i) => (i - 14) * DEG);
/** Least drag of bent plates above that of flat ones: about 0.008 for 4 % (the same tests, from memory). */
const CAMBER_DRAG = 0.2;
const SLOPE = 0.9,
  TO_STALL = 0.72,
  SUCTION_LOST = 0.85;

/**
 * Polar of a thin section.
 * @param slope dz/dx of its camber line @param thickness / chord @param reynolds 1e3 to 2e7 @param alphas [rad], ascending
 */
export function platePolar(
  slope: (x: number) => number,
  thickness: number,
  reynolds: number,
  alphas: readonly number[] = GRID,
): Polar {
  requireInRange('Reynolds number', reynolds, 1e3, 2e7);
  const thin = thinAirfoil(slope);
  const form = 1 + 2 * thickness + 60 * thickness ** 4;
  let height = 0,
    camber = 0;
  for (let i = 0; i < 200; i++) {
    height += slope((i + 0.5) / 200) / 200;
    camber = Math.max(camber, Math.abs(height));
  }
  const friction = ((2 * 1.328) / Math.sqrt(reynolds)) * form + 0.06 * thickness + CAMBER_DRAG * camber;
  const a = 2 * Math.PI * SLOPE;
  const ideal = SLOPE * thin.idealLift;
  const top = ideal + TO_STALL,
    bottom = ideal - TO_STALL;
  const alphaTop = thin.zeroLift + top / a,
    alphaBottom = thin.zeroLift + bottom / a;
  const drag = (alpha: number, cl: number) =>
    friction + SUCTION_LOST * Math.abs((cl - ideal) * Math.sin(alpha - thin.idealAngle));
  const at = { alpha: Math.max(alphaTop, 0.06), cl: top, cd: drag(alphaTop, top) };
  const points: PolarPoint[] = [];
  for (const alpha of alphas) {
    const high = alpha > alphaTop,
      low = alpha < alphaBottom;
    const law = high ? beyondStall(alpha, at) : { cl: Math.max(bottom, a * (alpha - thin.zeroLift)), cd: 0 };
    const cl = law.cl,
      cd = high ? law.cd : drag(alpha, cl) + (low ? (alphaBottom - alpha) ** 2 : 0);
    const angle = Math.abs(alpha - thin.idealAngle);
    points.push({
      alpha,
      cl,
      cd,
      cm: SLOPE * thin.moment - (high ? 0.08 : 0),
      transitionUpper: 1,
      transitionLower: 1,
      separationUpper: high ? 0.02 : 1,
      separationLower: low ? 0.02 : 1,
      bubble: !high && !low && angle > 2 * DEG ? [0, Math.min(0.9, angle / (10 * DEG))] : null,
      stalled: high || low,
      how: 'table',
    });
  }
  const attached = points.filter((p) => !p.stalled);
  return {
    reynolds,
    points,
    clMax: top,
    clMin: bottom,
    alphaStall: alphaTop,
    missed: [],
    confidence: 'low',
    warnings: [
      'Thin-airfoil theory with corrections from published tests on plates, not a computed layer: expect 10 to 20 % either way.',
    ],
    attachedCl: attached.map((p) => p.cl),
    attachedCd: attached.map((p) => p.cd),
  };
}
