/**
 * Panels and strips of every surface, right half only: what stands on both sides is mirrored by the solver.
 * A station of a lifting surface lies at (x, y, z) from its root; of a fin at (x, z sideways, y upward).
 */
import { camberAt, type Contour } from '../section';
import type { Surface } from '../design';
import { planEdges } from './edges';
import { flapsOf, type StripFlaps } from './hinge';
import { isMirrored, placeOf } from './place';
import { stationAt } from './planform';

export type ControlKind = Surface['controls'][number]['kind'];

export interface Strip {
  surface: string;
  role: Surface['role'];
  /**
   * distance out of the control place from the root, at the middle of the cosine step (Lan's spacing); the strip runs
   * from `inner` over `width` [m]
   */
  y: number;
  inner: number;
  width: number;
  chord: number;
  /** quarter chord of the strip's control place in design axes [m] */ xQuarter: number;
  yQuarter: number;
  z: number;
  section: string;
  /** built-in angle incl. incidence [rad] */ angle: number;
  /** across the strip, from its inner to its outer edge, in the plane x = 0 [m] */ dy: number;
  dz: number;
  /** inner edge at the quarter chord in the plane x = 0 [m] */ y0: number;
  z0: number;
  mirrored: boolean;
  flaps: StripFlaps;
}

/** One panel: bound vortex a to b on the quarter line, control point c at three quarters, unit normal n. */
export interface Panel {
  xa: number;
  ya: number;
  za: number;
  xb: number;
  yb: number;
  zb: number;
  /** trailing edge at a and b: from here the legs are free */ xta: number;
  xtb: number;
  xc: number;
  yc: number;
  zc: number;
  ny: number;
  nz: number;
  /** built-in angle less camber slope [rad] */ slope: number;
  /** share of the panel behind the hinge, by control id */ hinge: { control: string; share: number }[];
  strip: number;
  surface: number;
  mirrored: boolean;
}

export interface Grid {
  panels: Panel[];
  strips: Strip[];
  /** by surface, by surface: no leg of the second passes a control point of the first */
  matched: readonly (readonly boolean[])[];
}

const CHORD_ROWS = { wing: 4, tail: 3, canard: 3, fin: 4 } as const;

/** A slice of a surface between two places along its span: its sides a and b, its middle m. */
interface Cut {
  readonly inner: number;
  readonly outer: number;
  readonly mid: number;
  readonly sa: ReturnType<typeof stationAt>;
  readonly sb: ReturnType<typeof stationAt>;
  readonly sm: ReturnType<typeof stationAt>;
  readonly a: ReturnType<typeof placeOf>;
  readonly b: ReturnType<typeof placeOf>;
  readonly m: ReturnType<typeof placeOf>;
}

function cutOf(surface: Surface, inner: number, outer: number, mid: number): Cut {
  const sa = stationAt(surface, inner),
    sb = stationAt(surface, outer),
    sm = stationAt(surface, mid);
  const a = placeOf(surface, sa),
    b = placeOf(surface, sb),
    m = placeOf(surface, sm);
  return { inner, outer, mid, sa, sb, sm, a, b, m };
}

function stripOf(surface: Surface, { inner, outer, mid, sm, a, b, m }: Cut, flaps: Strip['flaps']): Strip {
  return {
    surface: surface.id,
    role: surface.role,
    y: mid,
    inner,
    width: outer - inner,
    chord: sm.chord,
    xQuarter: m.x + 0.25 * sm.chord,
    yQuarter: m.y,
    z: m.z,
    section: sm.section,
    angle: sm.twist + surface.incidence,
    dy: b.y - a.y,
    dz: b.z - a.z,
    y0: a.y,
    z0: a.z,
    mirrored: isMirrored(surface),
    flaps,
  };
}

/** Which panel of a cut it is. */
interface Row {
  readonly i: number;
  readonly rows: number;
  readonly eta: number;
  readonly strip: number;
  readonly si: number;
}

function panelOf(surface: Surface, cut: Cut, contour: Contour | undefined, row: Row): Panel {
  const { sa, sb, sm, a, b, m } = cut,
    { i, rows, eta, strip, si } = row;
  const fq = (i + 0.25) / rows,
    fc = (i + 0.75) / rows,
    lo = i / rows,
    hi = (i + 1) / rows;
  const x1 = Math.max(0, fc - 0.01),
    x2 = Math.min(1, fc + 0.01);
  const camber = contour ? (camberAt(contour, x2) - camberAt(contour, x1)) / (x2 - x1) : 0;
  const dy = b.y - a.y,
    dz = b.z - a.z,
    len = Math.sqrt(dy * dy + dz * dz);
  return {
    xa: a.x + fq * sa.chord,
    ya: a.y,
    za: a.z,
    xb: b.x + fq * sb.chord,
    yb: b.y,
    zb: b.z,
    xta: a.x + sa.chord,
    xtb: b.x + sb.chord,
    xc: m.x + fc * sm.chord,
    yc: m.y,
    zc: m.z,
    ny: -dz / len,
    nz: dy / len,
    slope: sm.twist + surface.incidence - camber,
    hinge: surface.controls.flatMap((c) => {
      if (eta < c.from || eta > c.to) return [];
      const share = Math.max(0, Math.min(1, (hi - Math.max(lo, 1 - c.chordFraction)) / (hi - lo)));
      return share > 0 ? [{ control: `${surface.id}.${c.id}`, share }] : [];
    }),
    strip,
    surface: si,
    mirrored: isMirrored(surface),
  };
}

/** @param refine multiplies strips and rows (1 for work, 2 or 3 for convergence checks) */
export function gridOf(
  surfaces: readonly Surface[],
  contours: ReadonlyMap<string, Contour>,
  refine = 1,
): Grid {
  const panels: Panel[] = [],
    strips: Strip[] = [];
  const plan = planEdges(surfaces, refine),
    flaps = flapsOf(surfaces);
  surfaces.forEach((surface, si) => {
    const { at, mid: mids } = plan.edges[si];
    const rows = CHORD_ROWS[surface.role] * refine,
      half = at[at.length - 1];
    for (let j = 0; j < mids.length; j++) {
      const inner = at[j],
        outer = at[j + 1],
        mid = mids[j];
      const cut = cutOf(surface, inner, outer, mid),
        eta = mid / half;
      strips.push(stripOf(surface, cut, flaps(surface, eta)));
      const contour = contours.get(cut.sm.section);
      for (let i = 0; i < rows; i++) {
        const row = { i, rows, eta, strip: strips.length - 1, si };
        panels.push(panelOf(surface, cut, contour, row));
      }
    }
  });
  return { panels, strips, matched: plan.matched };
}
