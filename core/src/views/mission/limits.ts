/** Limits of a place as a person typed them, against what a mission does. Nothing here is anybody’s law. */
import type { Brief } from '../../design';
import type { Flight, Track } from '../../mission';
import { G0 } from '../../air';

export interface PlaceLimit {
  readonly of: 'height' | 'distance' | 'sight' | 'mass' | 'people';
  readonly limit: number;
  readonly value: number;
  /** room that is left; below zero it is passed */ readonly margin: number;
}

type Limits = NonNullable<Brief['site']['limits']>;

/** Way that it may still go where it stops flying there: level at its speed, falling free [m]. */
export function fallsOn(speed: number, height: number): number {
  return speed * Math.sqrt((2 * Math.max(0, height)) / G0);
}

/** Nearest that it comes to people on the right of the course, and what it may go on falling [m]. */
function nearestPeople(aside: number, flight: Flight, track: Track): number {
  const falls = flight.legs
    .slice(0, flight.reached)
    .reduce((m, l) => Math.max(m, fallsOn(l.speed, Math.max(l.height, l.heightFrom))), 0);
  return aside - track.right - falls;
}

export function placeLimits(l: Limits, flight: Flight, track: Track): PlaceLimit[] {
  const legs = flight.legs.slice(0, flight.reached),
    heaviest = legs.reduce((m, x) => Math.max(m, x.before.mass), 0);
  const atMost = (of: PlaceLimit['of'], limit: number | undefined, value: number): PlaceLimit[] =>
    limit === undefined ? [] : [{ of, limit, value, margin: limit - value }];
  const people =
    l.people === undefined || l.keepOff === undefined ? null : nearestPeople(l.people, flight, track);
  return [
    ...atMost('height', l.height, flight.peak),
    ...atMost('distance', l.distance, track.farthest),
    ...atMost('sight', l.sight, track.farthest),
    ...atMost('mass', l.mass, heaviest),
    ...(people === null
      ? []
      : [{ of: 'people' as const, limit: l.keepOff!, value: people, margin: people - l.keepOff! }]),
  ];
}
