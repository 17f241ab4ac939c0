/**
 * Friction of flat plates. Blasius laminar to Re_x = 3e5, then Prandtl's turbulent law with the laminar start taken off
 * (Schlichting, Boundary-Layer Theory, eq. 21.12 and 21.16).
 */
const RE_TRANSITION = 3e5;

/** Mean friction coefficient of one side of a plate at Reynolds number re (> 0). */
export function plateFriction(re: number): number {
  const laminar = 1.328 / Math.sqrt(re);
  if (re <= RE_TRANSITION) return laminar;
  const turbulent = (r: number) => 0.455 / Math.log10(r) ** 2.58;
  return turbulent(re) - (RE_TRANSITION / re) * (turbulent(RE_TRANSITION) - 1.328 / Math.sqrt(RE_TRANSITION));
}
