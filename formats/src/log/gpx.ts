/**
 * GPX 1.1 (Topografix, GPX 1.1 Schema Documentation): points of tracks, in the order of the file. Speed and course stand in
 * extensions of several makers under those names, and in GPX 1.0 beside the place.
 */
import type { FlightLog, LogEvent } from '@skiametra/core/log';
import { Growing } from './grow';
import { timeSeconds } from './timeCells';
import { readXml, trackLog, type XmlReader } from './xmlTrack';

const DEG = Math.PI / 180;
/** What is read of a point, by the local name of its element: channel and scale. */
const TOLD: Readonly<Record<string, readonly ['height' | 'groundSpeed' | 'track', number]>> = {
  ele: ['height', 1],
  speed: ['groundSpeed', 1],
  course: ['track', DEG],
};
const COLUMNS = ['t', 'lat', 'lon', 'height', 'groundSpeed', 'track'] as const;
type Point = Record<(typeof COLUMNS)[number], number>;

/** A degree as XML's decimal; NaN outside of the schema's range. */
const degrees = (text: string | undefined, most: number): number => {
  const v = text === undefined || text.trim() === '' ? NaN : Number(text);
  return Math.abs(v) <= most ? v * DEG : NaN;
};

class Reading implements XmlReader {
  readonly into = Object.fromEntries(COLUMNS.map((id) => [id, new Growing()])) as Record<
    (typeof COLUMNS)[number],
    Growing
  >;
  readonly events: LogEvent[] = [];
  private point: Point | null = null;
  private way: { t: number; name: string } | null = null;
  private text = '';

  open(name: string, at: Record<string, string>): void {
    this.text = '';
    if (name === 'trkpt')
      this.point = {
        ...{ t: NaN, height: NaN, groundSpeed: NaN, track: NaN },
        lat: degrees(at.lat, 90),
        lon: degrees(at.lon, 180),
      };
    else if (name === 'wpt') this.way = { t: NaN, name: 'waypoint' };
  }

  says(text: string): void {
    if (this.text.length < 200) this.text += text;
  }

  close(name: string): void {
    const text = this.text.trim(),
      { point, way } = this;
    if (name === 'trkpt' && point) {
      for (const id of COLUMNS) this.into[id].push(point[id]);
      this.point = null;
    } else if (name === 'wpt' && way) {
      if (Number.isFinite(way.t)) this.events.push(way);
      this.way = null;
    } else if (name === 'time') {
      const t = timeSeconds(text, 'date');
      if (point) point.t = t;
      else if (way) way.t = t;
    } else if (name === 'name' && way) way.name = text.slice(0, 80) || way.name;
    else if (point && TOLD[name] && text !== '') point[TOLD[name][0]] = Number(text) * TOLD[name][1];
    this.text = '';
  }
}

export const looksLikeGpx = (head: string): boolean =>
  /^\s*(<\?xml[^>]*>\s*)?(<!--[^]*?-->\s*)*<(\w+:)?gpx[\s>]/.test(head);

/** @throws RangeError where it is no XML, or has no point with a time */
export async function readGpx(pieces: AsyncIterable<string>): Promise<FlightLog> {
  const r = new Reading();
  await readXml(pieces, r);
  return trackLog(r.into, r.events);
}
