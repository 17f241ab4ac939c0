/**
 * GeoJSON (RFC 7946): points with a time among their properties, and lines whose times stand in a list beside them, as common
 * practice has it (`coordTimes`, `times`, `timestamps`); the standard itself knows no times. Read as a stream, a feature at a
 * time.
 */
import { JSONParser } from '@streamparser/json';
import type { FlightLog, LogEvent } from '@skiametra/core/log';
import { Growing } from './grow';
import { timeSeconds } from './timeCells';
import { trackLog } from './xmlTrack';

const DEG = Math.PI / 180;
const COLUMNS = ['t', 'lat', 'lon', 'height'] as const;
/** Names that a time goes by, and a list of them. */
const TIME = ['time', 'timestamp', 'datetime', 'date'] as const,
  TIMES = ['coordTimes', 'times', 'timestamps', 'coordinateProperties'] as const;

type Loose = Record<string, unknown>;
const isLoose = (v: unknown): v is Loose => typeof v === 'object' && v !== null && !Array.isArray(v);

/** Text of a date, or seconds or milliseconds since 1970. */
function timeOf(v: unknown): number {
  if (typeof v === 'string') return timeSeconds(v, 'date');
  return typeof v === 'number' ? (v > 1e11 ? v / 1000 : v) : NaN;
}

class Reading {
  readonly into = Object.fromEntries(COLUMNS.map((id) => [id, new Growing()])) as Record<
    (typeof COLUMNS)[number],
    Growing
  >;
  readonly events: LogEvent[] = [];

  feature(f: unknown): void {
    if (!isLoose(f) || !isLoose(f.geometry)) return;
    const properties = isLoose(f.properties) ? f.properties : {},
      { type, coordinates } = f.geometry;
    if (type === 'Point') this.point(coordinates, properties);
    else if (type === 'LineString') this.line(coordinates, timesOf(properties));
    else if (type === 'MultiLineString' && Array.isArray(coordinates)) {
      const times = timesOf(properties);
      coordinates.forEach((part, i) =>
        this.line(part, Array.isArray(times[i]) ? (times[i] as unknown[]) : []),
      );
    }
  }

  private point(at: unknown, properties: Loose): void {
    const t = timeOf(TIME.map((k) => properties[k]).find((v) => v !== undefined)),
      { name } = properties;
    if (typeof name === 'string' && name !== '' && Number.isFinite(t))
      this.events.push({ t, name: name.slice(0, 80) });
    else this.put(t, at);
  }

  private line(coordinates: unknown, times: readonly unknown[]): void {
    if (Array.isArray(coordinates)) coordinates.forEach((at, i) => this.put(timeOf(times[i]), at));
  }

  /** Longitude, latitude, height. */
  private put(t: number, at: unknown): void {
    const [lon, lat, height] = Array.isArray(at) ? at.map((v) => (typeof v === 'number' ? v : NaN)) : [];
    this.into.t.push(t);
    this.into.lat.push(Math.abs(lat ?? NaN) <= 90 ? lat! * DEG : NaN);
    this.into.lon.push(Math.abs(lon ?? NaN) <= 180 ? lon! * DEG : NaN);
    this.into.height.push(height ?? NaN);
  }
}

function timesOf(properties: Loose): readonly unknown[] {
  const found = TIMES.map((k) => properties[k]).find((v) => v !== undefined);
  if (Array.isArray(found)) return found as unknown[];
  return isLoose(found) && Array.isArray(found.times) ? (found.times as unknown[]) : [];
}

export const looksLikeGeoJson = (head: string): boolean =>
  /^\s*\{/.test(head) &&
  /"type"\s*:\s*"(FeatureCollection|Feature|Point|LineString|MultiLineString)"/.test(head);

/** @throws RangeError where it is no whole JSON, or has no point with a time */
export async function readGeoJson(pieces: AsyncIterable<string>): Promise<FlightLog> {
  const parser = new JSONParser({ paths: ['$', '$.features.*'], keepStack: false }),
    r = new Reading();
  let wrong: Error | null = null,
    ended = false;
  parser.onValue = ({ value, key, stack }) => {
    if (stack.length > 1) r.feature(value);
    else if (key === undefined) {
      ended = true;
      if (isLoose(value) && value.type === 'Feature') r.feature(value);
    }
  };
  parser.onError = (e) => (wrong ??= e);
  for await (const piece of pieces) {
    if (!wrong && piece !== '') parser.write(piece);
    if (wrong) break;
  }
  if (wrong || !ended)
    throw new RangeError(
      `The file is no whole JSON: ${wrong ? (wrong as Error).message : 'it ends too early'}.`,
    );
  return trackLog(r.into, r.events);
}
