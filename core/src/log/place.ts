/** Places on the ground from latitude and longitude: metres east and north of the first fix. */
import type { FlightLog } from './channels';

/** WGS 84 (National Imagery and Mapping Agency, TR8350.2): equatorial radius [m], first eccentricity squared. */
const RADIUS = 6378137,
  E2 = 6.69437999014e-3;

/** Radii of curvature of the meridian and of the prime vertical [m]. @param lat [rad] */
export function radiiAt(lat: number): { meridian: number; normal: number } {
  const w = Math.sqrt(1 - E2 * Math.sin(lat) ** 2);
  return { meridian: (RADIUS * (1 - E2)) / w ** 3, normal: RADIUS / w };
}

/**
 * The log with east and north where it has latitude and longitude: on the tangent plane at the first fix, within 1 m at
 * 5 km.
 */
export function placed(log: FlightLog): FlightLog {
  const { lat, lon, east, north } = log.channels;
  if (!lat || !lon || (east && north)) return log;
  const first = lat.findIndex((v, i) => Number.isFinite(v) && Number.isFinite(lon[i]));
  if (first < 0) return log;
  const { meridian, normal } = radiiAt(lat[first]),
    across = normal * Math.cos(lat[first]);
  const turned = (d: number) => d - 2 * Math.PI * Math.round(d / (2 * Math.PI));
  return {
    ...log,
    channels: {
      ...log.channels,
      east: lon.map((v) => across * turned(v - lon[first])),
      north: lat.map((v) => meridian * (v - lat[first])),
    },
  };
}
