/** A table of text to the columns of a log, line after line. */
import type { ChannelId, FlightLog, LogEvent } from '@skiametra/core/log';
import { CHANNELS } from '@skiametra/core/log';
import type { ColumnUse, Mapping } from './guess';
import { Growing } from './grow';
import type { Layout } from './layout';
import { RowCells } from './rowCells';
import { linesOf } from './text';
import { COUNTS, DAY, timeSeconds, zoneSeconds, type TimeKind } from './timeCells';
import { unitsOf } from './units';

/** Rows that one log may have: eleven hours at 50 a second. */
const MOST_ROWS = 2_000_000;

class TooManyRows extends RangeError {
  constructor() {
    super(`The file holds more than ${MOST_ROWS.toLocaleString('en')} rows; cut it down to the flight.`);
  }
}

interface Reader {
  readonly place: number;
  readonly scale: number;
  readonly offset: number;
  readonly into: Growing;
}

type Used<K extends ColumnUse['as']> = { place: number; use: Extract<ColumnUse, { as: K }> };

function used<K extends ColumnUse['as']>(mapping: Mapping, as: K): Used<K>[] {
  return Object.entries(mapping).flatMap(([place, use]) =>
    use.as === as ? [{ place: Number(place), use: use as Extract<ColumnUse, { as: K }> }] : [],
  );
}

function readersOf(mapping: Mapping): Map<ChannelId, Reader> {
  const out = new Map<ChannelId, Reader>();
  for (const [place, use] of Object.entries(mapping)) {
    if (use.as === 'time' || use.as === 'event') continue;
    const unit =
      unitsOf(CHANNELS[use.as].dim).find((u) => u.name === use.unit) ?? unitsOf(CHANNELS[use.as].dim)[0]!;
    out.set(use.as, { place: Number(place), scale: unit.scale, offset: unit.offset, into: new Growing() });
  }
  return out;
}

/** Seconds of a row from one column or from a day and a time of day; runs on past midnight. */
class Clock {
  private days = 0;
  private before = NaN;
  /** the zone is written */ zoned = false;

  constructor(private readonly columns: readonly { place: number; kind: TimeKind }[]) {
    this.zoned = columns.some((c) => ['s', 'ms', 'µs', 'ns'].includes(c.kind));
  }

  at(cells: RowCells): number {
    let sum = 0;
    for (const { place, kind } of this.columns) {
      const unit = COUNTS[kind];
      if (unit !== undefined) {
        sum += unit * cells.number(place);
        continue;
      }
      const cell = cells.cell(place);
      sum += timeSeconds(cell, kind);
      if (kind === 'date' && !this.zoned && zoneSeconds(cell) !== null) this.zoned = true;
    }
    if (this.columns.length > 1 || this.columns[0]?.kind !== 'clock') return sum;
    if (this.before - sum > DAY / 2) this.days++;
    if (Number.isFinite(sum)) this.before = sum;
    return sum + DAY * this.days;
  }
}

const wordOf = (cells: RowCells, marks: readonly number[]) =>
  marks
    .map((m) => cells.cell(m))
    .join(' ')
    .trim();

/** When the first row was, where the time counts from 1970. */
function begunAt(first: number, zoned: boolean): string | null {
  if (!(first > DAY * 365)) return null;
  const iso = new Date(first * 1000).toISOString();
  return zoned ? iso : iso.slice(0, -1);
}

/**
 * @param lines of the whole file
 * @throws TooManyRows; RangeError without a column of time or a row that has one
 */
export async function readTable(
  pieces: AsyncIterable<string>,
  layout: Pick<Layout, 'delimiter' | 'decimal' | 'firstRow'>,
  mapping: Mapping,
): Promise<FlightLog> {
  const times = used(mapping, 'time').map(({ place, use }) => ({ place, kind: use.kind }));
  if (times.length === 0) throw new RangeError('No column tells the time: choose one.');
  const clock = new Clock(times),
    readers = [...readersOf(mapping)],
    marks = used(mapping, 'event').map((u) => u.place),
    time = new Growing(),
    events: LogEvent[] = [],
    cells = new RowCells(layout);
  let skip = layout.firstRow,
    word = '';
  for await (const lines of linesOf(pieces))
    for (const line of lines) {
      if (skip-- > 0 || line === '' || line.trim() === '') continue;
      cells.read(line);
      const t = clock.at(cells);
      time.push(t);
      for (const [, r] of readers) r.into.push(cells.number(r.place) * r.scale + r.offset);
      const now = marks.length === 0 ? '' : wordOf(cells, marks);
      if (now !== word && now !== '' && Number.isFinite(t)) events.push({ t, name: now.slice(0, 80) });
      word = now;
      if (time.length > MOST_ROWS) throw new TooManyRows();
    }
  const t = time.taken(),
    first = t.find((v) => Number.isFinite(v));
  if (first === undefined) throw new RangeError('No row tells a time: is it another column?');
  for (let i = 0; i < t.length; i++) t[i]! -= first;
  return {
    t,
    channels: Object.fromEntries(readers.map(([id, r]) => [id, r.into.taken()])),
    events: events.map((e) => ({ ...e, t: e.t - first })),
    begun: begunAt(first, clock.zoned),
  };
}
