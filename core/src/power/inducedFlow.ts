/**
 * Flow that a disc induces [m/s], v = vh2 / sqrt((V cos a)2 + (V sin a + v)2) (Glauert 1926).
 * @param hover that of the same thrust standing still
 * @param speed ahead, m/s
 * @param lean of the disc, forward and not below 0 [rad]
 */
export function inducedFlow(hover: number, speed: number, lean: number): number {
  const along = speed * Math.cos(lean),
    through = speed * Math.sin(lean);
  // v sqrt(a2 + (t + v)2) - vh2 rises and is convex where the air comes from ahead: from above Newton does not pass its root
  let v = hover;
  for (let i = 0; i < 40; i++) {
    const w = Math.hypot(along, through + v),
      step = (v * w - hover * hover) / (w + (v * (through + v)) / w);
    v -= step;
    if (Math.abs(step) < 1e-12 * hover) break;
  }
  return v;
}
