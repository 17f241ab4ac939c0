/** Where something that is let go comes down, again and again: height, speed, wind and moment as well as they are known. */
import { fallOf, type Falling } from './fall';

/** Standard uncertainties. */
export interface DropSpread {
  /** [m] */ readonly height: number;
  /** [m/s] */ readonly speed: number;
  /** along and across alike [m/s] */ readonly wind: number;
  /** of letting go [s] */ readonly time: number;
}

export interface Footprint {
  /** drops done */ readonly count: number;
  /** about the mean [m]: ahead, then aside, drop after drop */ readonly offsets: Float64Array;
  /** from where it is let go [m] */ readonly ahead: number;
  readonly aside: number;
  /** standard deviations [m] */ readonly along: number;
  readonly across: number;
  /** radius about the mean that holds half of them, and 95 of a hundred [m] */ readonly half: number;
  readonly most: number;
  /** share within the circle about the point that was meant */ readonly inside: number | null;
}

/** Lowest that something is let go from [m]. */
const LEAST_HEIGHT = 0.05;

/**
 * Where it comes down, so many times.
 * @param normal standard normal deviates, one a call
 * @returns metres ahead, then to the right, of where it is meant to be let go, drop after drop
 */
export function dropPlaces(
  drop: Falling,
  spread: DropSpread,
  normal: () => number,
  count: number,
): Float64Array {
  const places = new Float64Array(2 * count),
    ground = drop.airspeed + (drop.tailWind ?? 0);
  for (let i = 0; i < count; i++) {
    const late = spread.time * normal();
    const f = fallOf({
      ...drop,
      height: Math.max(LEAST_HEIGHT, drop.height + spread.height * normal()),
      airspeed: Math.max(0, drop.airspeed + spread.speed * normal()),
      tailWind: (drop.tailWind ?? 0) + spread.wind * normal(),
      crossWind: (drop.crossWind ?? 0) + spread.wind * normal(),
    });
    places[2 * i] = f.ahead + ground * late;
    places[2 * i + 1] = f.aside;
  }
  return places;
}

/** @param meant where it is to come down @param circle radius of the target about that [m]; null without one */
export function footprintOf(
  places: Float64Array,
  meant: { ahead: number; aside: number },
  circle: number | null,
): Footprint {
  const count = places.length / 2;
  let ahead = 0,
    aside = 0;
  for (let i = 0; i < count; i++) {
    ahead += places[2 * i] / count;
    aside += places[2 * i + 1] / count;
  }
  const offsets = new Float64Array(places.length),
    away = new Float64Array(count);
  let xx = 0,
    yy = 0,
    hits = 0;
  for (let i = 0; i < count; i++) {
    const x = places[2 * i] - ahead,
      y = places[2 * i + 1] - aside,
      dx = places[2 * i] - meant.ahead,
      dy = places[2 * i + 1] - meant.aside;
    offsets[2 * i] = x;
    offsets[2 * i + 1] = y;
    xx += x * x;
    yy += y * y;
    away[i] = Math.sqrt(x * x + y * y);
    if (circle !== null && dx * dx + dy * dy <= circle * circle) hits++;
  }
  away.sort();
  const last = Math.max(1, count - 1);
  return {
    count,
    offsets,
    ahead,
    aside,
    along: Math.sqrt(xx / last),
    across: Math.sqrt(yy / last),
    half: away[Math.floor(0.5 * last)],
    most: away[Math.floor(0.95 * last)],
    inside: circle === null ? null : hits / count,
  };
}
