/**
 * Influence of one straight panel with linear strength: streamfunction of vortex and source sheets, and their
 * velocities. Angles of a source sheet are cut along the panel's right side (outwards for a contour that runs
 * counterclockwise), so that they are continuous inside the section.
 * gamma > 0 is clockwise; sigma > 0 is outflow. Integrals derived by hand from ln r and theta; checked against
 * numerical quadrature in `section.test.ts`.
 */

/** Weights of gamma at the panel's two ends in 2 pi psi. */
export function vortexPsi(
  px: number,
  py: number,
  ax: number,
  ay: number,
  bx: number,
  by: number,
  out: Float64Array,
): void {
  const dx = bx - ax,
    dy = by - ay;
  const L = Math.sqrt(dx * dx + dy * dy);
  const tx = dx / L,
    ty = dy / L;
  const x1 = (px - ax) * tx + (py - ay) * ty;
  const x2 = x1 - L;
  const y = (py - ay) * tx - (px - ax) * ty;
  const q1 = x1 * x1 + y * y,
    q2 = x2 * x2 + y * y;
  const l1 = q1 > 1e-24 ? 0.5 * Math.log(q1) : 0;
  const l2 = q2 > 1e-24 ? 0.5 * Math.log(q2) : 0;
  const turn = Math.abs(y) < 1e-13 ? 0 : y * (Math.atan(x1 / y) - Math.atan(x2 / y));
  const plus = x1 * l1 - x2 * l2 + x2 - x1 + turn;
  const minus = ((x1 + x2) * plus + q2 * l2 - q1 * l1 + 0.5 * (x1 * x1 - x2 * x2)) / L;
  out[0] = 0.5 * (plus - minus);
  out[1] = 0.5 * (plus + minus);
}

/**
 * 2 pi psi of a panel of unit source strength.
 * @param behind cut the angle along the panel's own direction instead (wake panels, seen from upstream)
 */
export function sourcePsi(
  px: number,
  py: number,
  ax: number,
  ay: number,
  bx: number,
  by: number,
  behind: boolean,
): number {
  const dx = bx - ax,
    dy = by - ay;
  const L = Math.sqrt(dx * dx + dy * dy);
  const tx = dx / L,
    ty = dy / L;
  const X = (px - ax) * tx + (py - ay) * ty;
  const Y = (py - ay) * tx - (px - ax) * ty;
  const f = (u: number): number => {
    const r2 = u * u + Y * Y;
    if (r2 < 1e-24) return 0;
    let t: number;
    if (behind)
      t = Math.atan2(-Y, -u); // zero straight upstream
    else {
      t = Math.atan2(Y, u);
      if (t < -0.5 * Math.PI) t += 2 * Math.PI;
    }
    return u * t + 0.5 * Y * Math.log(r2);
  };
  return f(X) - f(X - L);
}

/** 2 pi times the velocity of a linear vortex panel: [ua, va, ub, vb] for unit gamma at each end. */
export function vortexVelocity(
  px: number,
  py: number,
  ax: number,
  ay: number,
  bx: number,
  by: number,
  out: Float64Array,
): void {
  const dx = bx - ax,
    dy = by - ay;
  const L = Math.sqrt(dx * dx + dy * dy);
  const tx = dx / L,
    ty = dy / L;
  const X = (px - ax) * tx + (py - ay) * ty;
  const Y = (py - ay) * tx - (px - ax) * ty;
  const u1 = X,
    u2 = X - L;
  const r1 = Math.max(u1 * u1 + Y * Y, 1e-24),
    r2 = Math.max(u2 * u2 + Y * Y, 1e-24);
  const dl = 0.5 * Math.log(r1 / r2);
  const dt = Math.abs(Y) < 1e-13 ? 0 : Math.atan(u1 / Y) - Math.atan(u2 / Y); // minus the change of angle
  const i0x = dl,
    i0y = dt;
  const i1x = X * i0x - (u1 - u2) + Y * dt,
    i1y = X * i0y - Y * dl;
  // source field turned by a right angle; ends weighted 1 - t / L and t / L
  const bxw = i1x / L,
    byw = i1y / L,
    axw = i0x - bxw,
    ayw = i0y - byw;
  out[0] = ayw * tx + axw * ty;
  out[1] = ayw * ty - axw * tx;
  out[2] = byw * tx + bxw * ty;
  out[3] = byw * ty - bxw * tx;
}

/** 2 pi times the velocity of a panel of unit source strength; at its own ends the jump is spread over `blur`. */
export function sourceVelocity(
  px: number,
  py: number,
  ax: number,
  ay: number,
  bx: number,
  by: number,
  blur: number,
  out: Float64Array,
): void {
  const dx = bx - ax,
    dy = by - ay;
  const L = Math.sqrt(dx * dx + dy * dy);
  const tx = dx / L,
    ty = dy / L;
  const X = (px - ax) * tx + (py - ay) * ty;
  const Y = (py - ay) * tx - (px - ax) * ty;
  const least = blur * blur;
  const r1 = Math.max(X * X + Y * Y, least),
    r2 = Math.max((X - L) ** 2 + Y * Y, least);
  const u = 0.5 * Math.log(r1 / r2);
  const v = Math.abs(Y) < 1e-13 ? 0 : Math.atan(X / Y) - Math.atan((X - L) / Y);
  out[0] = u * tx - v * ty;
  out[1] = u * ty + v * tx;
}
