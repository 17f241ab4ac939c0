/**
 * A body on a line behind the aircraft: shape of the line, and what it pulls. The line is inextensible, without bending
 * stiffness; its own drag acts across it (cross-flow principle, Hoerner, Fluid-Dynamic Drag, 3-11).
 */
import { G0 } from '../air';
import type { Towed } from '../design';

const CD_LINE = 1.1,
  PIECES = 60;
/** Density of braided line [kg/m3]. */
const LINE_DENSITY = 1000;

export interface TowShape {
  /** backward pull at the aircraft [N] */ drag: number;
  /** downward pull [N] */ weight: number;
  tension: number;
  /** behind and below the hook [m] */ behind: number;
  below: number;
  /** angle of the line at the hook below the horizontal [rad] */ angle: number;
}

/** What hangs on the hook, body and line [kg]. */
export function hungMass(t: Towed): number {
  return t.mass + LINE_DENSITY * (Math.PI / 4) * t.lineDiameter ** 2 * t.line;
}

/**
 * Moment of its backward pull about the CG over q S c, nose up positive: a hook above the CG lifts the nose. Its weight
 * bears on the hook and is in the CG.
 */
export function towMoment(
  t: Towed,
  speed: number,
  density: number,
  { z, area, chord }: { /** of the CG [m] */ z: number; area: number; chord: number },
): number {
  const q = 0.5 * density * speed * speed;
  return (towedLine(t, speed, density).drag * (t.z - z)) / (q * area * chord);
}

/** @param density of the air [kg/m3] */
export function towedLine(t: Towed, speed: number, density: number): TowShape {
  const { H, V, behind, below } = alongLine(t, speed, density);
  return { drag: H, weight: V, tension: Math.sqrt(H * H + V * V), behind, below, angle: Math.atan2(V, H) };
}

/** Points of the line from the hook to the body: behind and below the hook [m]. */
export function linePoints(t: Towed, speed: number, density: number): { behind: number; below: number }[] {
  const { points, behind, below } = alongLine(t, speed, density);
  return points.map((p) => ({ behind: behind - p.behind, below: below - p.below })).reverse();
}

/** From the body upward: tension along the line, line drag across it. */
function alongLine(t: Towed, speed: number, density: number) {
  const q = 0.5 * density * speed * speed;
  const perLength = LINE_DENSITY * (Math.PI / 4) * t.lineDiameter ** 2 * G0;
  let H = q * t.dragArea,
    V = t.mass * G0,
    behind = 0,
    below = 0;
  const ds = t.line / PIECES,
    points = [{ behind, below }];
  for (let i = 0; i < PIECES; i++) {
    const T = Math.sqrt(H * H + V * V) || 1e-9;
    const c = H / T,
      s = V / T;
    behind += c * ds;
    below += s * ds;
    points.push({ behind, below });
    const across = q * CD_LINE * t.lineDiameter * ds * s * s;
    H += across * s;
    V += perLength * ds - across * c;
  }
  return { H, V, behind, below, points };
}
