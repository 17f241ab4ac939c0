/**
 * IGC: the flight recorders' text of fixed columns (FAI, Technical Specification for GNSS Flight Recorders, appendix A, from
 * memory). B records are fixes, I says what else they hold, H has the date, E marks. Times are UTC.
 */
import type { FlightLog, LogEvent } from '@skiametra/core/log';
import { Growing } from './grow';
import { linesOf } from './text';
import { DAY } from './timeCells';

const DEG = Math.PI / 180;
/** hours, minutes, seconds; latitude, longitude; validity; pressure and GNSS height [m] */
const FIX = /^B(\d\d)(\d\d)(\d\d)(\d\d)(\d{5})([NS])(\d{3})(\d{5})([EW])([AV])(-\d{4}|\d{5})(-\d{4}|\d{5})/;
const DATE = /^HFDTE(?:DATE:)?(\d\d)(\d\d)(\d\d)/;
const EVENT = /^E(\d\d)(\d\d)(\d\d)(\w{3})(.*)$/;

/** An addition to B records by its three letters: where it stands. */
interface Extra {
  readonly from: number;
  readonly to: number;
}

/** I record: how many, then first and last place and letters of each. */
function extrasOf(line: string): Map<string, Extra> {
  const out = new Map<string, Extra>(),
    count = Number(line.slice(1, 3));
  for (let i = 0; i < count; i++) {
    const part = /^(\d\d)(\d\d)([A-Z0-9]{3})/.exec(line.slice(3 + 7 * i));
    if (part) out.set(part[3]!, { from: Number(part[1]) - 1, to: Number(part[2]) });
  }
  return out;
}

/** Digits of an addition; null where the record does not have it. */
function digits(line: string, extra: Extra | undefined): string | null {
  const text = extra ? line.slice(extra.from, extra.to) : '';
  return extra && /^\d+$/.test(text) ? text : null;
}

/** Whole km/h in three digits; other widths are not of the standard. */
function speedIn(line: string, extra: Extra | undefined): number {
  const text = digits(line, extra);
  return text?.length === 3 ? Number(text) / 3.6 : NaN;
}

/** More digits of a minute than its thousandths. */
function minutes(whole: string, line: string, more: Extra | undefined): number {
  const extra = digits(line, more);
  return (Number(whole) + (extra ? Number(`0.${extra}`) : 0)) / 1000;
}

const COLUMNS = ['t', 'lat', 'lon', 'height', 'pressureHeight', 'airspeed', 'groundSpeed', 'track'] as const;
type Columns = Record<(typeof COLUMNS)[number], Growing>;

/** One file as it is gone through. */
class Reading {
  readonly into = Object.fromEntries(COLUMNS.map((id) => [id, new Growing()])) as Columns;
  readonly events: LogEvent[] = [];
  private extras = new Map<string, Extra>();
  private days = 0;
  private before = NaN;
  /** [s since 1970] */ date: number | null = null;

  take(line: string): void {
    if (line.startsWith('B')) this.fix(line);
    else if (line.startsWith('I')) this.extras = extrasOf(line);
    else if (line.startsWith('HFDTE')) this.dated(line);
    else if (line.startsWith('E')) this.mark(line);
  }

  private dated(line: string): void {
    const m = DATE.exec(line);
    if (!m || this.date !== null) return;
    const [, day, month, year] = m.map(Number),
      // two digits of the year: recorders are of the years from 1980 on
      full = year! < 80 ? 2000 + year! : 1900 + year!;
    this.date = Date.UTC(full, month! - 1, day) / 1000;
  }

  /** Seconds from the first day's midnight. */
  private clock(h: string, min: string, s: string, fraction = 0): number {
    const t = Number(h) * 3600 + Number(min) * 60 + Number(s) + fraction;
    if (this.before - t > DAY / 2) this.days++;
    this.before = t;
    return t + DAY * this.days;
  }

  private fix(line: string): void {
    const m = FIX.exec(line);
    if (!m) return;
    const [, h, min, s, latD, latM, ns, lonD, lonM, ew, valid, pressure, gnss] = m as unknown as string[],
      at = (id: string) => this.extras.get(id),
      tenths = digits(line, at('TDS'));
    const lat = Number(latD) + minutes(latM!, line, at('LAD')) / 60,
      lon = Number(lonD) + minutes(lonM!, line, at('LOD')) / 60;
    const { into } = this;
    into.t.push(this.clock(h!, min!, s!, tenths ? Number(`0.${tenths}`) : 0));
    into.lat.push((ns === 'S' ? -1 : 1) * lat * DEG);
    into.lon.push((ew === 'W' ? -1 : 1) * lon * DEG);
    // V: no height by satellites
    into.height.push(valid === 'A' ? Number(gnss) : NaN);
    into.pressureHeight.push(Number(pressure));
    const tas = speedIn(line, at('TAS'));
    into.airspeed.push(Number.isFinite(tas) ? tas : speedIn(line, at('IAS')));
    into.groundSpeed.push(speedIn(line, at('GSP')));
    const track = digits(line, at('TRT'));
    into.track.push(track?.length === 3 ? Number(track) * DEG : NaN);
  }

  private mark(line: string): void {
    const m = EVENT.exec(line);
    if (!m) return;
    const t = Number(m[1]) * 3600 + Number(m[2]) * 60 + Number(m[3]) + DAY * this.days;
    this.events.push({ t, name: `${m[4]} ${m[5]}`.trim().slice(0, 80) });
  }
}

export const looksLikeIgc = (head: string): boolean =>
  /^A[A-Z0-9]{3}/.test(head) && /^B\d{6}\d{7}[NS]\d{8}[EW][AV]/m.test(head);

/** @throws RangeError without a fix */
export async function readIgc(pieces: AsyncIterable<string>): Promise<FlightLog> {
  const r = new Reading();
  for await (const lines of linesOf(pieces)) for (const line of lines) r.take(line.trimEnd());
  const { t, ...rest } = r.into,
    times = t.taken(),
    first = times[0];
  if (first === undefined) throw new RangeError('The file holds no fix: no B record could be read.');
  const channels = Object.entries(rest).flatMap(([id, of]) => {
    const column = of.taken();
    // a recorder without pressure writes noughts
    const told = column.some((v) => Number.isFinite(v) && (id !== 'pressureHeight' || v !== 0));
    return told ? [[id, column] as const] : [];
  });
  return {
    t: times.map((v) => v - first),
    channels: Object.fromEntries(channels),
    events: r.events.map((e) => ({ ...e, t: e.t - first })),
    begun: r.date === null ? null : new Date((r.date + first) * 1000).toISOString(),
  };
}
