/** Fixes that stand still: repeated by a receiver that is slower than the log, or frozen while the aircraft flies. */
import type { ChannelId, FlightLog } from './channels';
import type { Fault } from './fault';
import { medianOf } from './middle';

interface Run {
  /** first and last row of one fix */ readonly from: number;
  readonly to: number;
}

/** Rows of one and the same fix, one after another. */
function runsOf({ t, channels: { east, north } }: FlightLog): Run[] {
  const out: Run[] = [];
  if (!east || !north) return out;
  for (let i = 0; i < t.length;) {
    let j = i + 1;
    while (j < t.length && east[j] === east[i] && north[j] === north[i]) j++;
    if (Number.isFinite(east[i])) out.push({ from: i, to: j - 1 });
    i = j;
  }
  return out;
}

/** Faster than a hand that carries the aircraft about [m/s]. */
const FLIES = 3;
/** A fix that stands for longer than so many usual ones, and than this [s], is frozen. */
const USUAL_TIMES = 3,
  FROZEN_LEAST = 1;

/** Speed over ground about a run: as the log says, or by the way to the fix behind it [m/s]. */
function speedAbout({ t, channels: { east, north, groundSpeed } }: FlightLog, { from, to }: Run): number {
  const before = Math.max(0, from - 1),
    after = Math.min(t.length - 1, to + 1);
  const said = groundSpeed ? Math.max(groundSpeed[before], groundSpeed[after], groundSpeed[to]) : NaN,
    way = Math.hypot(east![after] - east![from], north![after] - north![from]) / (t[after] - t[from]);
  return Math.max(Number.isFinite(said) ? said : 0, Number.isFinite(way) ? way : 0);
}

/** How long a fix usually stands while it moves [s]. */
function usualRun(log: FlightLog, runs: readonly Run[]): number {
  const { t } = log;
  const long = medianOf(runs.slice(0, -1).map((r, k) => t[runs[k + 1].from] - t[r.from]));
  return long || 0;
}

export interface Spoilt {
  readonly fault: Fault;
  readonly channels: readonly ChannelId[];
  readonly rows: readonly number[];
}

const rowsOf = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, k) => from + k);

/** With the fix stand whatever else comes from the receiver. */
const OF_FIX: readonly ChannelId[] = ['height', 'groundSpeed', 'track', 'climb'];

export function frozenFixes(log: FlightLog): Spoilt[] {
  const runs = runsOf(log),
    least = Math.max(FROZEN_LEAST, USUAL_TIMES * usualRun(log, runs)),
    { t, channels } = log;
  return runs.flatMap((run) => {
    if (run.to === run.from || t[run.to] - t[run.from] < least || speedAbout(log, run) < FLIES) return [];
    // the first of them was true
    const rows = rowsOf(run.from + 1, run.to),
      still = OF_FIX.filter(
        (id) => channels[id] && rows.every((i) => channels[id]![i] === channels[id]![run.from]),
      );
    const fault: Fault = {
      kind: 'frozen',
      channel: 'position',
      from: t[run.from],
      to: t[run.to],
      count: rows.length,
    };
    return [{ fault, channels: ['east', 'north', ...still], rows }];
  });
}

/** Rows that repeat the fix of the row before them. */
export function heldFixes(log: FlightLog): number[] {
  return runsOf(log).flatMap(({ from, to }) => (to > from ? rowsOf(from + 1, to) : []));
}
