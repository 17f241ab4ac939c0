/**
 * Thin-airfoil theory: what a camber line alone says. Source: Anderson, Fundamentals of Aerodynamics, chapter 4
 * (fourth edition, eq. 4.50, 4.51, 4.61, 4.62, 4.64).
 */
export interface ThinAirfoil {
  /** [rad] */ zeroLift: number;
  /** about the quarter chord */ moment: number;
  /** lift coefficient at which the stagnation point lies on the leading edge */ idealLift: number;
  /** [rad] */ idealAngle: number;
}

/** @param slope dz/dx of the camber line at x / c in 0 to 1 */
export function thinAirfoil(slope: (x: number) => number): ThinAirfoil {
  const N = 720;
  let a0 = 0,
    a1 = 0,
    a2 = 0,
    zero = 0;
  for (let i = 0; i < N; i++) {
    const th = (Math.PI * (i + 0.5)) / N,
      dz = slope(0.5 * (1 - Math.cos(th)));
    a0 += dz / N;
    a1 += (2 * dz * Math.cos(th)) / N;
    a2 += (2 * dz * Math.cos(2 * th)) / N;
    zero -= (dz * (Math.cos(th) - 1)) / N;
  }
  return { zeroLift: zero, moment: (Math.PI / 4) * (a2 - a1), idealLift: Math.PI * a1, idealAngle: a0 };
}
