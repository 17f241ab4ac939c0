/**
 * Pressure drawn on the section itself: a ribbon that stands off the skin, outward where the air pulls and inward where it
 * presses, as wide as the pressure coefficient is large.
 */
import type { FlowPicture, SurfaceStation } from '../section';

export type RibbonPoint = readonly [x: number, y: number];

/** A place of one face, chord 1, y upward. */
export interface RibbonPlace {
  readonly skin: RibbonPoint;
  /** end of the ribbon */ readonly edge: RibbonPoint;
  readonly cp: number;
  readonly state: SurfaceStation['state'];
}

export interface Ribbon {
  readonly upper: readonly RibbonPlace[];
  readonly lower: readonly RibbonPlace[];
  /** chords by a pressure coefficient of one */ readonly perCp: number;
}

/** Widest that a ribbon stands outward, and that it lies inward at the stagnation point, in chords. */
const OUTWARD = 0.24,
  INWARD = 0.035;

/** Unit normal out of the section at a place of a face that runs aft. @param side 1 above, −1 below */
function normalAt(list: readonly SurfaceStation[], i: number, side: 1 | -1): RibbonPoint {
  const a = list[Math.max(0, i - 1)],
    b = list[Math.min(list.length - 1, i + 1)],
    dx = b.x - a.x,
    dy = b.y - a.y,
    length = Math.sqrt(dx * dx + dy * dy) || 1;
  return [(-side * dy) / length, (side * dx) / length];
}

function faceOf(list: readonly SurfaceStation[], side: 1 | -1, perCp: number): RibbonPlace[] {
  return list.map((p, i) => {
    const [nx, ny] = normalAt(list, i, side),
      off = -p.cp * perCp;
    return { skin: [p.x, p.y], edge: [p.x + off * nx, p.y + off * ny], cp: p.cp, state: p.state };
  });
}

/** @param least lowest pressure coefficient of all angles that are played, so that the scale stands still */
export function ribbonOf(picture: FlowPicture, least: number): Ribbon {
  const perCp = Math.min(INWARD, OUTWARD / Math.max(1, -least));
  return { upper: faceOf(picture.upper, 1, perCp), lower: faceOf(picture.lower, -1, perCp), perCp };
}

/** Lowest pressure coefficient of a set of pictures. */
export function leastCp(pictures: readonly (FlowPicture | null)[]): number {
  return pictures.reduce(
    (least, p) => (p ? [...p.upper, ...p.lower].reduce((m, s) => Math.min(m, s.cp), least) : least),
    -1,
  );
}

/** Neighbours of one kind, each run beginning where the one before ends. */
export function runsOf<T, K>(list: readonly T[], kind: (t: T) => K): { kind: K; list: T[] }[] {
  const out: { kind: K; list: T[] }[] = [];
  for (const t of list) {
    const last = out.at(-1);
    if (last && last.kind === kind(t)) last.list.push(t);
    else out.push({ kind: kind(t), list: last ? [last.list[last.list.length - 1], t] : [t] });
  }
  return out;
}

/** Place nearest to a point, over both faces. */
export function nearestPlace(
  r: Ribbon,
  [x, y]: RibbonPoint,
): { place: RibbonPlace; side: 'upper' | 'lower' } {
  const far = (p: RibbonPlace) =>
    Math.min((p.skin[0] - x) ** 2 + (p.skin[1] - y) ** 2, (p.edge[0] - x) ** 2 + (p.edge[1] - y) ** 2);
  const best = (list: readonly RibbonPlace[]) => list.reduce((a, p) => (far(p) < far(a) ? p : a));
  const up = best(r.upper),
    low = best(r.lower);
  return far(up) <= far(low) ? { place: up, side: 'upper' } : { place: low, side: 'lower' };
}

/** “Upper face: laminar from 0 to 43 %, turbulent from 43 to 100 %.” */
export function describeFace(picture: FlowPicture, side: 'upper' | 'lower'): string {
  const parts = runsOf(picture[side], (p) => p.state)
    .filter((r) => r.list.length > 2)
    .map(({ kind, list }) => {
      const from = 100 * Math.max(0, list[0].x),
        to = 100 * list[list.length - 1].x;
      return `${kind} from ${from.toFixed(0)} to ${to.toFixed(0)} %`;
    });
  return `${side === 'upper' ? 'Upper face' : 'Lower face'}: ${parts.join(', ')}.`;
}
