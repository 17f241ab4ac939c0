/**
 * Stresses at which thin walls buckle.
 * Flat plates, sigma = k pi^2 E / (12 (1 - nu^2)) (t/b)^2: Gerard and Becker, NACA TN 3781 (1957), from memory.
 * Round tubes: Weingarten, Seide and Peterson, NASA SP-8007 (1968); Brazier, Proc. Roy. Soc. A 116 (1927). From memory.
 */
import type { Material } from './materials';

const NU = 0.3;
const PLATE = Math.PI ** 2 / (12 * (1 - NU * NU));

/** Edges of a plate: both held in compression, one free in compression, both held in shear. */
const COEFFICIENTS = { held: 4, outstand: 0.43, shear: 5.35 } as const;

/** Modulus of a plate that is stiffer one way than the other. */
export const meanModulus = (m: Material) => Math.sqrt(m.modulus * Math.max(m.across, 0));

/** @param thickness, @param width [m] @returns stress [Pa]; no width, no buckling */
export function plateStress(
  edges: keyof typeof COEFFICIENTS,
  m: Material,
  thickness: number,
  width: number,
): number {
  if (!(width > 0)) return Infinity;
  return COEFFICIENTS[edges] * PLATE * meanModulus(m) * (thickness / width) ** 2;
}

/** What bending leaves of the wall's classical stress: 1 - 0.731 (1 - exp(-sqrt(r/t)/16)). @param slender r/t */
export function bendingKnockdown(slender: number): number {
  return 1 - 0.731 * (1 - Math.exp(-Math.sqrt(slender) / 16));
}

/** Wall of a round tube in bending: 0.6 E t/r, knocked down. @param r mean radius, @param t wall [m] */
export function tubeWallStress(m: Material, r: number, t: number): number {
  return bendingKnockdown(r / t) * 0.6 * meanModulus(m) * (t / r);
}

/** Moment at which a long tube flattens: (2 sqrt(2) pi / 9) E r t^2 / sqrt(1 - nu^2) [N m] */
export function brazierMoment(m: Material, r: number, t: number): number {
  return (((2 * Math.SQRT2 * Math.PI) / 9) * meanModulus(m) * r * t * t) / Math.sqrt(1 - NU * NU);
}

/** Face on a soft core: 0.5 (E_f E_c G_c)^(1/3) (Hoff and Mautner 1945, from memory) [Pa] */
export function wrinklingStress(face: Material, core: Material): number {
  return 0.5 * Math.cbrt(face.modulus * core.across * core.shearModulus);
}
