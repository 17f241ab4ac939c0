/** Times as loggers write them, to seconds: counts of a unit, times of day, dates with times. */

/** How a column tells the time. */
export const TIME_KINDS = ['s', 'ms', 'µs', 'ns', 'min', 'h', 'clock', 'date', 'day'] as const;
export type TimeKind = (typeof TIME_KINDS)[number];

/** Seconds of one count, of those that are counts. */
export const COUNTS: Readonly<Partial<Record<TimeKind, number>>> = {
  s: 1,
  ms: 1e-3,
  µs: 1e-6,
  ns: 1e-9,
  min: 60,
  h: 3600,
};
export const DAY = 86400;

const CLOCK = /(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,](\d+))?)?\s*([ap]m)?/i;
/** Hours, minutes and seconds run together, as receivers print them. */
const RUN_TOGETHER = /^(\d{2})(\d{2})(\d{2})(?:[.,](\d+))?$/;
const ISO = /(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})/;
const OTHER = /(\d{1,2})([-/.])(\d{1,2})\2(\d{4}|\d{2})/;
const ZONE = /(?:\d|\s)(Z|[-+]\d{2}:?\d{2})$/;

const fraction = (digits: string | undefined) => (digits ? Number(`0.${digits}`) : 0);

/** Seconds of the day; NaN where it is no time of day. */
export function clockSeconds(cell: string): number {
  const m = CLOCK.exec(cell);
  if (m) {
    const [, h, min, s, f, half] = m;
    const hours = half ? (Number(h) % 12) + (half.toLowerCase() === 'pm' ? 12 : 0) : Number(h);
    return hours * 3600 + Number(min) * 60 + Number(s ?? 0) + fraction(f);
  }
  const r = RUN_TOGETHER.exec(cell);
  return r ? Number(r[1]) * 3600 + Number(r[2]) * 60 + Number(r[3]) + fraction(r[4]) : NaN;
}

/**
 * Midnight of the day that a cell names [s since 1970]; NaN where it names none. Where both could be, a slash puts the month
 * first as in American dates, a point the day.
 */
export function daySeconds(cell: string): number {
  const iso = ISO.exec(cell);
  if (iso) return Date.UTC(Number(iso[1]), Number(iso[2]) - 1, Number(iso[3])) / 1000;
  const o = OTHER.exec(cell);
  if (!o) return NaN;
  const [, a, sign, b, y] = o,
    year = y!.length === 2 ? 2000 + Number(y) : Number(y),
    monthFirst = Number(b) > 12 || (sign === '/' && Number(a) <= 12);
  const [day, month] = monthFirst ? [b, a] : [a, b];
  return Number(month) > 12 ? NaN : Date.UTC(year, Number(month) - 1, Number(day)) / 1000;
}

/** How far a cell's own zone is ahead of UTC [s]; null where it names none. */
export function zoneSeconds(cell: string): number | null {
  const m = ZONE.exec(cell);
  if (!m) return null;
  if (m[1] === 'Z') return 0;
  const [, sign, h, min] = /([-+])(\d{2}):?(\d{2})/.exec(m[1]!)!;
  return (sign === '-' ? -1 : 1) * (Number(h) * 3600 + Number(min) * 60);
}

/**
 * Seconds that a time of day, a day or both tell; NaN where a cell tells none, or a count. Dates count from 1970, in UTC where
 * the cell names its zone.
 */
export function timeSeconds(cell: string, kind: TimeKind): number {
  if (kind === 'clock') return clockSeconds(cell);
  const day = daySeconds(cell);
  if (kind === 'day') return day;
  const rest = cell.slice((ISO.exec(cell) ?? OTHER.exec(cell))?.[0].length ?? 0),
    clock = clockSeconds(rest.replace(/^[T\s]+/, ''));
  return day + (Number.isFinite(clock) ? clock : 0) - (zoneSeconds(rest) ?? 0);
}

/** Counts since 1970 by their size: an epoch in one of these units. */
const EPOCHS: readonly (readonly [TimeKind, number])[] = [
  ['ns', 1e18],
  ['µs', 1e15],
  ['ms', 1e12],
  ['s', 1e9],
];
const LEAST_YEARS = 0.7,
  MOST_YEARS = 4;

/** Unit of a column of counts that begin in 1970; null where they do not. */
export function epochKind(value: number): TimeKind | null {
  return EPOCHS.find(([, size]) => value > LEAST_YEARS * size && value < MOST_YEARS * size)?.[0] ?? null;
}
