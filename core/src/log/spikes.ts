/** Values that leap away and come back within a few rows: no aircraft moves so. */
import { CHANNELS, CHANNEL_IDS, type ChannelId, type FlightLog } from './channels';
import type { Spoilt } from './fixes';
import { quantileOf } from './middle';

/** Longest spike [rows], and times the usual step of a channel that is taken for a leap. */
const ROWS = 5,
  TIMES = 8;
/** Share of the leap that may be left when it has come back. */
const BACK = 0.5;

interface Watched {
  readonly channels: readonly ChannelId[];
  readonly name: ChannelId | 'position';
  /** a step of this size is no leap, whatever the time between: what noise does */ readonly least: number;
  /** nor is one that this rate makes [per s] */ readonly rate: number;
}

/** What peaks in earnest, as amps and loads do, is not watched. */
const WATCHED: readonly Watched[] = [
  { channels: ['east', 'north'], name: 'position', least: 8, rate: 60 },
  { channels: ['height'], name: 'height', least: 6, rate: 30 },
  { channels: ['pressureHeight'], name: 'pressureHeight', least: 4, rate: 30 },
  { channels: ['groundSpeed'], name: 'groundSpeed', least: 5, rate: 40 },
  { channels: ['airspeed'], name: 'airspeed', least: 5, rate: 40 },
  { channels: ['volts'], name: 'volts', least: 3, rate: 0 },
  { channels: ['temperature'], name: 'temperature', least: 15, rate: 0 },
];

type Columns = readonly Float64Array[];

const stepSize = (of: Columns, i: number, j: number): number =>
  of.length === 1 ? Math.abs(of[0][j] - of[0][i]) : Math.hypot(of[0][j] - of[0][i], of[1][j] - of[1][i]);

/** Rows that hold a value, in order. */
function filled(of: Columns): Int32Array {
  const out = new Int32Array(of[0].length),
    [one, two = one] = of;
  let n = 0;
  for (let i = 0; i < out.length; i++) if (Number.isFinite(one[i] + two[i])) out[n++] = i;
  return out.subarray(0, n);
}

/** Steps of a long log that tell what is usual. */
const LOOKED_AT = 20_000;

/** What a row may move by in a time: noise, the rate that can be flown, or so many usual steps. */
function allowance(of: Columns, rows: Int32Array, { least, rate }: Watched): (seconds: number) => number {
  const every = Math.max(1, Math.floor(rows.length / LOOKED_AT)),
    sizes: number[] = [];
  for (let k = 1; k < rows.length; k += every) sizes.push(stepSize(of, rows[k - 1], rows[k]));
  const usual = sizes.length > 0 ? quantileOf(sizes, 0.9) : 0;
  return (seconds) => Math.max(least, Math.min(TIMES * usual, 4 * least)) + rate * seconds;
}

/** Runs of rows between a leap away and one back. @param rows in time, or all of them backwards */
function leaps(t: Float64Array, of: Columns, rows: Int32Array, may: (seconds: number) => number): number[][] {
  const out: number[][] = [];
  for (let k = 1; k < rows.length; k++) {
    const from = rows[k - 1];
    const leap = stepSize(of, from, rows[k]);
    if (leap <= may(Math.abs(t[rows[k]] - t[from]))) continue;
    for (let back = k + 1; back <= Math.min(k + ROWS, rows.length - 1); back++) {
      const left = stepSize(of, from, rows[back]);
      // what stays away was a step, whatever the time allows
      if (left > BACK * leap || left > may(Math.abs(t[rows[back]] - t[from]))) continue;
      out.push([...rows.subarray(k, back)]);
      k = back;
      break;
    }
  }
  return out;
}

/** A step longer than this lets a value go far [s]. */
const LONG_STEP = 0.5;

function hasGap(t: Float64Array, rows: Int32Array): boolean {
  for (let k = 1; k < rows.length; k++) if (t[rows[k]] - t[rows[k - 1]] > LONG_STEP) return true;
  return false;
}

/** The same from both sides: right behind a gap a leap away is no faster than the gap allows, but the one back is. */
function leapsBothWays(t: Float64Array, of: Columns, rows: Int32Array, may: (seconds: number) => number) {
  const found = leaps(t, of, rows, may);
  if (!hasGap(t, rows)) return found;
  const seen = new Set(found.flat()),
    backwards = leaps(t, of, rows.slice().reverse(), may).map((run) => run.reverse());
  return [...found, ...backwards.filter((run) => !run.some((i) => seen.has(i)))].sort((a, b) => a[0] - b[0]);
}

/** Cells that no aircraft gives: outside of what a channel may hold. */
function outside({ t, channels }: FlightLog): Spoilt[] {
  return CHANNEL_IDS.flatMap((id) => {
    const of = channels[id],
      { least, most } = CHANNELS[id];
    if (!of) return [];
    const rows: number[] = [];
    of.forEach((v, i) => {
      if (v < least || v > most) rows.push(i);
    });
    if (rows.length === 0) return [];
    const [from, to] = [t[rows[0]], t[rows.at(-1)!]];
    return [
      { fault: { kind: 'spikes' as const, channel: id, from, to, count: rows.length }, channels: [id], rows },
    ];
  });
}

/** Each leap away and back, and whatever lies outside of what its channel may hold. */
export function spikesOf(log: FlightLog): Spoilt[] {
  const wild = outside(log);
  const inside = WATCHED.flatMap((w): Spoilt[] => {
    const of = w.channels.map((id) => log.channels[id]);
    if (!of.every((c) => c !== undefined)) return [];
    const rows = filled(of),
      found = leapsBothWays(log.t, of, rows, allowance(of, rows, w));
    return found.map((run) => ({
      fault: {
        kind: 'spikes',
        channel: w.name,
        from: log.t[run[0]],
        to: log.t[run.at(-1)!],
        count: run.length,
      },
      channels: w.channels,
      rows: run,
    }));
  });
  return [...wild, ...inside];
}
