/**
 * KML 2.3 (Open Geospatial Consortium, OGC KML 2.3, 12-007r2): tracks of `when` and `coord` one after another, in pairs by their
 * order, and places with a time stamp. A line without times is a drawn route.
 */
import type { FlightLog, LogEvent } from '@skiametra/core/log';
import { Growing } from './grow';
import { timeSeconds } from './timeCells';
import { readXml, trackLog, type XmlReader } from './xmlTrack';

const DEG = Math.PI / 180;
const COLUMNS = ['t', 'lat', 'lon', 'height'] as const;

class Reading implements XmlReader {
  readonly into = Object.fromEntries(COLUMNS.map((id) => [id, new Growing()])) as Record<
    (typeof COLUMNS)[number],
    Growing
  >;
  readonly events: LogEvent[] = [];
  private whens: number[] = [];
  private coords: string[][] = [];
  private track = false;
  private place: { name: string; when: number; at: string[] | null } | null = null;
  private text = '';

  open(name: string): void {
    this.text = '';
    if (name === 'Track') {
      this.track = true;
      this.whens = [];
      this.coords = [];
    } else if (name === 'Placemark') this.place = { name: '', when: NaN, at: null };
  }

  says(text: string): void {
    if (this.text.length < 400) this.text += text;
  }

  close(name: string): void {
    const text = this.text.trim();
    this.text = '';
    if (name === 'Track') this.tracked();
    else if (name === 'Placemark') this.placed();
    else if (this.track && name === 'when') this.whens.push(timeSeconds(text, 'date'));
    else if (this.track && name === 'coord') this.coords.push(text.split(/\s+/));
    else if (!this.place) return;
    else if (name === 'name') this.place.name ||= text.slice(0, 80);
    else if (name === 'when') this.place.when = timeSeconds(text, 'date');
    else if (name === 'coordinates' && !text.includes(' ')) this.place.at = text.split(',');
  }

  /** Longitude, latitude and height, in degrees and metres. */
  private put(t: number, at: readonly string[]): void {
    const [lon, lat, height] = at.map((v) => (v === '' ? NaN : Number(v)));
    this.into.t.push(t);
    this.into.lat.push(Math.abs(lat ?? NaN) <= 90 ? lat! * DEG : NaN);
    this.into.lon.push(Math.abs(lon ?? NaN) <= 180 ? lon! * DEG : NaN);
    this.into.height.push(height ?? NaN);
  }

  private tracked(): void {
    this.track = false;
    for (let i = 0; i < Math.min(this.whens.length, this.coords.length); i++)
      this.put(this.whens[i]!, this.coords[i]!);
  }

  private placed(): void {
    const p = this.place;
    this.place = null;
    if (!p?.at || !Number.isFinite(p.when)) return;
    // one that is named is a mark, others are fixes
    if (p.name && !/^\d+$/.test(p.name)) this.events.push({ t: p.when, name: p.name });
    else this.put(p.when, p.at);
  }
}

export const looksLikeKml = (head: string): boolean =>
  /^\s*(<\?xml[^>]*>\s*)?(<!--[^]*?-->\s*)*<(\w+:)?kml[\s>]/.test(head);

/** @throws RangeError where it is no XML, or has no point with a time */
export async function readKml(pieces: AsyncIterable<string>): Promise<FlightLog> {
  const r = new Reading();
  await readXml(pieces, r);
  return trackLog(r.into, r.events);
}
