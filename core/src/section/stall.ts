/**
 * Lift and drag beyond the stall, where no attached-flow method reaches.
 * Source: Viterna and Corrigan, Fixed pitch rotor performance of large horizontal axis wind turbines,
 * NASA TM-82944, 1982; two-dimensional limit, largest drag coefficient 2.01 (from memory).
 */
const CD_MAX = 2.01;

/** Coefficients that continue lift and drag from a stall point. */
export interface Beyond {
  alpha: number;
  cl: number;
  cd: number;
}

/**
 * @param alpha angle [rad], beyond the stall angle and up to a right angle
 * @param from the stall point, alpha above 0.05 rad, cl above 0
 */
export function beyondStall(alpha: number, from: Beyond): { cl: number; cd: number } {
  const s = Math.sin(from.alpha),
    c = Math.cos(from.alpha);
  const a1 = CD_MAX / 2;
  const a2 = ((from.cl - CD_MAX * s * c) * s) / (c * c);
  const b2 = (from.cd - CD_MAX * s * s) / c;
  const sa = Math.sin(alpha),
    ca = Math.cos(alpha);
  return { cl: a1 * Math.sin(2 * alpha) + (a2 * ca * ca) / sa, cd: CD_MAX * sa * sa + b2 * ca };
}
