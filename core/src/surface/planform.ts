/** Planform measures of one surface given by straight-sided panels between span stations. */
import type { Station, Surface } from '../design';

export interface Planform {
  /** both sides where it stands on both [m2] */ area: number;
  /** tip to tip; height for a fin [m] */ span: number;
  aspectRatio: number;
  /** mean aerodynamic chord [m] */ mac: number;
  /** leading edge of the mean chord in design axes [m] */ macX: number;
  /** distance of the mean chord beside the middle [m] */ macY: number;
  /** height of the mean chord's leading edge [m] */ macZ: number;
  taper: number;
}

/** Linear blend of two stations at fraction t. */
export function blendStations(a: Station, b: Station, t: number): Station {
  const mix = (p: number, q: number) => p + t * (q - p);
  return {
    y: mix(a.y, b.y),
    x: mix(a.x, b.x),
    z: mix(a.z, b.z),
    chord: mix(a.chord, b.chord),
    twist: mix(a.twist, b.twist),
    section: t < 0.5 ? a.section : b.section,
  };
}

/** The surface's state at span distance y from the root [m]; ends are held. */
export function stationAt(surface: Surface, y: number): Station {
  const s = surface.stations;
  let i = 0;
  while (i < s.length - 2 && s[i + 1].y < y) i++;
  const t = Math.max(0, Math.min(1, (y - s[i].y) / (s[i + 1].y - s[i].y)));
  return blendStations(s[i], s[i + 1], t);
}

/** Planform of a surface. Exact for straight-sided panels (Simpson's rule on each). */
export function planformOf(surface: Surface): Planform {
  const s = surface.stations;
  let half = 0,
    cc = 0,
    cx = 0,
    cy = 0,
    cz = 0;
  for (let i = 0; i < s.length - 1; i++) {
    const mid = blendStations(s[i], s[i + 1], 0.5);
    const h = (s[i + 1].y - s[i].y) / 6;
    const add = (st: Station, w: number) => {
      half += h * w * st.chord;
      cc += h * w * st.chord ** 2;
      cx += h * w * st.chord * st.x;
      cy += h * w * st.chord * st.y;
      cz += h * w * st.chord * st.z;
    };
    add(s[i], 1);
    add(mid, 4);
    add(s[i + 1], 1);
  }
  const sides = (surface.mirror ?? surface.role !== 'fin') ? 2 : 1;
  const root = surface.y ?? 0;
  // a fin's span is its height, also where there are two of it
  const span = surface.role === 'fin' ? s[s.length - 1].y - s[0].y : 2 * (root + s[s.length - 1].y);
  const area = sides * half;
  return {
    area,
    span,
    aspectRatio: (span * span) / area,
    mac: cc / half,
    macX: surface.x + cx / half,
    macY: root + (surface.role === 'fin' ? cz : cy) / half,
    macZ: surface.z + (surface.role === 'fin' ? cy : cz) / half,
    taper: s[s.length - 1].chord / s[0].chord,
  };
}

/** From this share of the wing's area on, another lifting surface is a wing, not a tail. Common practice, no source. */
const SECOND_WING = 0.6;

/** Surfaces beside the wing that are wings themselves: the rear one of a tandem or closed pair. */
export function secondWings(surfaces: readonly Surface[]): Surface[] {
  const main = surfaces.find((s) => s.role === 'wing');
  if (!main) return [];
  const area = planformOf(main).area;
  return surfaces.filter((s) => s !== main && s.role !== 'fin' && planformOf(s).area >= SECOND_WING * area);
}

/**
 * What coefficients are referred to: the area of all wings together, span and mean chord of the front one.
 * A tandem's wing loading by its front wing alone is twice the true one.
 */
export function referencePlanform(surfaces: readonly Surface[]): Planform & { wings: string[] } {
  const main = surfaces.find((s) => s.role === 'wing')!,
    more = secondWings(surfaces),
    p = planformOf(main),
    area = more.reduce((sum, s) => sum + planformOf(s).area, p.area);
  return { ...p, area, aspectRatio: (p.span * p.span) / area, wings: [main, ...more].map((s) => s.name) };
}

/** Tail volume with the arm between quarter chords (the tool's own definition) and the same by leading edges. */
export function tailVolume(
  wing: Planform,
  tail: Planform,
  vertical: boolean,
): { volume: number; arm: number; volumeByLeadingEdge: number; armByLeadingEdge: number } {
  const arm = tail.macX + 0.25 * tail.mac - (wing.macX + 0.25 * wing.mac);
  const byLe = tail.macX - wing.macX;
  const ref = wing.area * (vertical ? wing.span : wing.mac);
  return {
    arm,
    volume: (tail.area * arm) / ref,
    armByLeadingEdge: byLe,
    volumeByLeadingEdge: (tail.area * byLe) / ref,
  };
}
