/** Rows of a log in the order of time, each time once: disorder, repeats and jumps of the clock told apart. */
import { CHANNEL_IDS, type FlightLog } from './channels';
import { faultId, type Fault } from './fault';
import { medianOf } from './middle';

/** Middle of the steps forward [s]; 0 where there is none. */
export function usualStep(t: Float64Array): number {
  const steps = new Float64Array(Math.max(0, t.length - 1));
  let n = 0;
  for (let i = 1; i < t.length; i++) if (t[i] > t[i - 1]) steps[n++] = t[i] - t[i - 1];
  return medianOf(steps.subarray(0, n)) || 0;
}

/** Rows that came late are put where they belong when no more than so many came so. */
const LATE_ROWS = 50;
/** A clock that jumps ahead while the aircraft hardly moves: so many usual steps, and so much less way than its speed makes. */
const JUMP_STEPS = 20,
  JUMP_LEAST = 2,
  LITTLE_WAY = 0.1;

/** First row from `i` on whose time is past `t`; -1 where there is none. */
function rowPast(t: Float64Array, i: number, past: number, within: number): number {
  for (let j = i; j < Math.min(t.length, i + within); j++) if (t[j] >= past) return j;
  return -1;
}

/** Way and speed over ground at a step between two rows [m], [m/s]. */
function wayAt({ channels: { east, north, groundSpeed } }: FlightLog, i: number) {
  if (!east || !north) return null;
  const way = Math.hypot(east[i] - east[i - 1], north[i] - north[i - 1]),
    speed = groundSpeed ? Math.min(groundSpeed[i], groundSpeed[i - 1]) : NaN;
  return Number.isFinite(way) && speed > 2 ? { way, speed } : null;
}

interface Jump {
  /** row at which the clock reads otherwise */ readonly at: number;
  /** to be added from there on [s] */ readonly by: number;
}

/** Where the clock was set: back for good, or ahead without the way flown. */
function jumpsOf(log: FlightLog): Jump[] {
  const { t } = log,
    step = usualStep(t),
    out: Jump[] = [];
  let past = t[0] ?? 0;
  for (let i = 1; i < t.length; i++) {
    const by = t[i] - t[i - 1];
    if (t[i] < past && t[i] < t[i - 1]) {
      const back = rowPast(t, i, past, LATE_ROWS);
      // late rows end in the time before them; a clock set back goes on from where it is
      if (back < 0 && past - t[i] > 2 * step) out.push({ at: i, by: t[i - 1] + step - t[i] });
      if (back < 0) past = t[i];
    } else if (by > Math.max(JUMP_LEAST, JUMP_STEPS * step)) {
      const w = wayAt(log, i);
      if (w && w.way < LITTLE_WAY * w.speed * by) out.push({ at: i, by: step - by });
    }
    if (t[i] > past) past = t[i];
  }
  return out;
}

function shifted(t: Float64Array, jumps: readonly Jump[]): Float64Array {
  const out = t.slice();
  for (const { at, by } of jumps) for (let i = at; i < out.length; i++) out[i] += by;
  return out;
}

const same = (a: number, b: number) => a === b || (Number.isNaN(a) && Number.isNaN(b));

/** Rows of equal time: those that say the same again, and those that a coarse clock did not tell apart. */
function repeats(t: Float64Array, order: Int32Array, log: FlightLog) {
  const columns = CHANNEL_IDS.flatMap((id) => log.channels[id] ?? []),
    alike = (a: number, b: number) => columns.every((c) => same(c[a], c[b]));
  const again = new Uint8Array(order.length),
    apart = new Uint8Array(order.length);
  let coarse = 0;
  for (let k = 1; k < order.length; k++) {
    if (t[order[k]] !== t[order[k - 1]]) continue;
    if (alike(order[k], order[k - 1])) again[k] = 1;
    else {
      apart[k] = 1;
      coarse++;
    }
  }
  // a few rows of one time and other values are repeats that were read again; many are a clock of whole seconds
  const isCoarse = coarse > 0.2 * order.length;
  if (!isCoarse) for (let k = 0; k < order.length; k++) again[k] ||= apart[k];
  return { again, isCoarse };
}

/** Times of rows that share one are spread to the next. */
function spreadOut(t: Float64Array): Float64Array {
  const out = t.slice();
  for (let i = 0; i < t.length;) {
    let j = i + 1;
    while (j < t.length && t[j] === t[i]) j++;
    const to = j < t.length ? t[j] : t[i] + (i > 0 ? t[i] - t[i - 1] || 1 : 1);
    for (let k = i; k < j; k++) out[k] = t[i] + ((to - t[i]) * (k - i)) / (j - i);
    i = j;
  }
  return out;
}

function picked(log: FlightLog, t: Float64Array, rows: Int32Array): FlightLog {
  const take = (of: Float64Array) => Float64Array.from(rows, (i) => of[i]);
  return {
    ...log,
    t: take(t),
    channels: Object.fromEntries(
      CHANNEL_IDS.flatMap((id) => (log.channels[id] ? [[id, take(log.channels[id])]] : [])),
    ),
  };
}

/** Rows that tell a time, and how many do not. */
function timedRows(raw: FlightLog, faults: Fault[]): FlightLog {
  if (raw.t.every(Number.isFinite)) return raw;
  const timed = Int32Array.from(raw.t.keys()).filter((i) => Number.isFinite(raw.t[i]));
  faults.push({ kind: 'empty', channel: null, from: 0, to: 0, count: raw.t.length - timed.length });
  return picked(raw, raw.t, timed);
}

/** Times with the jumps of the clock put right that nobody took back. */
function steadyTimes(log: FlightLog, kept: ReadonlySet<string>, faults: Fault[]): Float64Array {
  const { t } = log;
  const jumps = jumpsOf(log).filter(({ at, by }) => {
    const f: Fault = { kind: 'jumps', channel: null, from: t[at - 1], to: t[at - 1] + by, count: 1 };
    faults.push(f);
    return !kept.has(faultId(f));
  });
  return jumps.length > 0 ? shifted(t, jumps) : t;
}

/** Rows by their times. */
function sortedRows(t: Float64Array, faults: Fault[]): Int32Array {
  const order = Int32Array.from(t.keys()),
    late: number[] = [];
  for (let i = 1, past = t[0]; i < t.length; i++) {
    if (t[i] < past) late.push(i);
    else past = t[i];
  }
  if (late.length === 0) return order;
  const [from, to] = [t[late[0]], t[late.at(-1)!]];
  faults.push({ kind: 'disorder', channel: null, from, to, count: late.length });
  return order.sort((a, b) => t[a] - t[b] || a - b);
}

/** @param kept ids of faults that are left as they are */
export function orderOf(raw: FlightLog, kept: ReadonlySet<string>): { log: FlightLog; faults: Fault[] } {
  const faults: Fault[] = [],
    log = timedRows(raw, faults),
    t = steadyTimes(log, kept, faults),
    order = sortedRows(t, faults),
    { again, isCoarse } = repeats(t, order, log),
    count = again.reduce((s, v) => s + v, 0);
  if (count > 0) {
    const [from, to] = [t[order[again.indexOf(1)]], t[order[again.lastIndexOf(1)]]];
    faults.push({ kind: 'duplicates', channel: null, from, to, count });
  }
  const inOrder = count === 0 && t === log.t && faults.every((f) => f.kind !== 'disorder'),
    done = inOrder
      ? log
      : picked(
          log,
          t,
          order.filter((_, k) => again[k] === 0),
        );
  return { log: isCoarse ? { ...done, t: spreadOut(done.t) } : done, faults };
}
