/**
 * Pair weights of the Trefftz-plane integral of a symmetric flow. Source: Katz and Plotkin, Low-Speed Aerodynamics,
 * 8.146, in discrete form.
 */
import type { Strip } from './panels';

/** Vortex core between surfaces whose strip edges do not match, as a share of the shedding strip's width. */
export const CORE_SHARE = 0.35;

/**
 * cdi = sum over i, j of w_ij g_i g_j, both halves in; g strip strengths/V [m]. Strips in the middle carry nothing here.
 * @param ground height above the ground of z = 0 [m], or null
 * @param matched do the legs of the second strip pass beside the control place of the first?
 */
export function trefftz(
  strips: readonly Strip[],
  area: number,
  ground: number | null,
  matched: (a: Strip, b: Strip) => boolean,
): Float64Array[] {
  return strips.map((p) => {
    const row = new Float64Array(strips.length);
    if (!p.mirrored) return row;
    const len = Math.sqrt(p.dy * p.dy + p.dz * p.dz);
    const ny = -p.dz / len,
      nz = p.dy / len;
    // control place between the strip's edges, where Lan's spacing puts it
    const t = p.dy * p.dy > 1e-14 ? (p.yQuarter - p.y0) / p.dy : (p.z - p.z0) / p.dz;
    const py = p.y0 + t * p.dy,
      pz = p.z0 + t * p.dz;
    const wash = (y0: number, z0: number, sign: number, core2: number) => {
      const dy = py - y0,
        dz = pz - z0;
      const r2 = dy * dy + dz * dz,
        d = Math.max(core2 > 0 ? Math.sqrt(r2 * r2 + core2 * core2) : r2, 1e-12);
      return (sign / (2 * Math.PI * d)) * (dy * nz - dz * ny);
    };
    strips.forEach((q, j) => {
      if (!q.mirrored) return;
      const core2 = matched(p, q) ? 0 : (CORE_SHARE * q.width) ** 2;
      const y1 = q.y0 + q.dy,
        z1 = q.z0 + q.dz;
      let w =
        wash(q.y0, q.z0, 1, core2) +
        wash(y1, z1, -1, core2) +
        wash(-y1, z1, 1, core2) +
        wash(-q.y0, q.z0, -1, core2);
      if (ground !== null) {
        const d = -2 * ground;
        w -=
          wash(q.y0, d - q.z0, 1, core2) +
          wash(y1, d - z1, -1, core2) +
          wash(-y1, d - z1, 1, core2) +
          wash(-q.y0, d - q.z0, -1, core2);
      }
      row[j] = (2 * w * len) / area;
    });
    return row;
  });
}
