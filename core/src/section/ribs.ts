/** Ribs of a wing: chord and outline at evenly spaced places along the half span, sections blended between stations. */
import { requireInRange } from '../numeric';
import type { Contour } from './contour';
import { blendOf } from './modify';

export interface RibPlace {
  /** [m] */ y: number;
  chord: number;
  contour: Contour;
}

/**
 * @param stations along the half span, y ascending [m], each with its chord [m] and contour
 * @param count ribs from root to tip, 2 to 60
 */
export function ribPlaces(
  stations: readonly { y: number; chord: number; contour: Contour }[],
  count: number,
): RibPlace[] {
  requireInRange('number of ribs', count, 2, 60);
  const last = stations[stations.length - 1];
  return Array.from({ length: count }, (_, k) => {
    const y = stations[0].y + ((last.y - stations[0].y) * k) / (count - 1);
    let i = 0;
    while (i < stations.length - 2 && stations[i + 1].y <= y) i++;
    const a = stations[i],
      b = stations[i + 1] ?? a;
    const t = b.y > a.y ? Math.min(1, Math.max(0, (y - a.y) / (b.y - a.y))) : 0;
    const contour =
      a.contour === b.contour || t < 1e-9
        ? a.contour
        : t > 1 - 1e-9
          ? b.contour
          : blendOf(a.contour, b.contour, t);
    return { y, chord: a.chord + t * (b.chord - a.chord), contour };
  });
}
