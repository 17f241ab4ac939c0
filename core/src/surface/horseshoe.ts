/**
 * Velocity of a unit horseshoe vortex: bound from a to b, legs to x = +infinity.
 * Source: Katz and Plotkin, Low-Speed Aerodynamics, 2nd ed., 12.2, in closed form.
 */

/**
 * Adds `sign` times the velocity at p to `out` (3 numbers, per metre of strength).
 * `core2` is the square of a vortex core [m2]: 0 within one surface and between surfaces with matched strip edges; else
 * a share of the shedding strip's width, so that a leg that happens to pass a tail's control point does not blow it off.
 * Beyond two cores nothing is left of it (velocity d / sqrt(d^4 + core^4); Vatistas, Experiments in Fluids 11, 1991, n = 2).
 */
export function addHorseshoe(
  out: Float64Array,
  sign: number,
  core2: number,
  px: number,
  py: number,
  pz: number,
  ax: number,
  ay: number,
  az: number,
  bx: number,
  by: number,
  bz: number,
): void {
  const k = sign / (4 * Math.PI);
  const r1x = px - ax,
    r1y = py - ay,
    r1z = pz - az;
  const r2x = px - bx,
    r2y = py - by,
    r2z = pz - bz;
  const r1 = Math.sqrt(r1x * r1x + r1y * r1y + r1z * r1z),
    r2 = Math.sqrt(r2x * r2x + r2y * r2y + r2z * r2z);
  const cx = r1y * r2z - r1z * r2y,
    cy = r1z * r2x - r1x * r2z,
    cz = r1x * r2y - r1y * r2x;
  const cc = cx * cx + cy * cy + cz * cz;
  const lx = bx - ax,
    ly = by - ay,
    lz = bz - az;
  // cc is (distance to the line times length)^2: a point on the bound vortex itself gets nothing from it
  if (cc > 1e-14 * (lx * lx + ly * ly + lz * lz) * (lx * lx + ly * ly + lz * lz)) {
    const f =
      (k / cc) * (lx * (r1x / r1 - r2x / r2) + ly * (r1y / r1 - r2y / r2) + lz * (r1z / r1 - r2z / r2));
    out[0] += f * cx;
    out[1] += f * cy;
    out[2] += f * cz;
  }
  let d1 = r1y * r1y + r1z * r1z,
    d2 = r2y * r2y + r2z * r2z;
  if (core2 > 0) {
    d1 = Math.sqrt(d1 * d1 + core2 * core2);
    d2 = Math.sqrt(d2 * d2 + core2 * core2);
  }
  if (d1 > 1e-14) {
    const f = (-k / d1) * (1 + r1x / r1);
    out[1] += f * -r1z;
    out[2] += f * r1y;
  }
  if (d2 > 1e-14) {
    const f = (k / d2) * (1 + r2x / r2);
    out[1] += f * -r2z;
    out[2] += f * r2y;
  }
}

/** The velocity alone. */
export function horseshoe(
  out: Float64Array,
  core2: number,
  px: number,
  py: number,
  pz: number,
  ax: number,
  ay: number,
  az: number,
  bx: number,
  by: number,
  bz: number,
): void {
  out[0] = 0;
  out[1] = 0;
  out[2] = 0;
  addHorseshoe(out, 1, core2, px, py, pz, ax, ay, az, bx, by, bz);
}
