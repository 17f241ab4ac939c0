/**
 * What is wrong with a log, each fault found and counted, and what is put right
 * beyond the order of rows can be taken back: rows out of order or twice,
 * a clock that jumps, gaps, fixes that stand still while the aircraft flies, values that leap away and come back, empty cells.
 * Constants are common practice without a source; each says what it is held against.
 */
import { CHANNEL_IDS, type ChannelId, type FlightLog } from './channels';
import { faultId, type Fault } from './fault';
import { frozenFixes, heldFixes } from './fixes';
import { orderOf, usualStep } from './order';
import { spikesOf } from './spikes';

export interface CleanLog {
  /** rows in order, times told apart; NaN where a cell is not to be trusted */ readonly log: FlightLog;
  readonly faults: readonly Fault[];
  /** between rows [s] */ readonly step: number;
}

/** Longer than so many usual steps, and than a second, is a gap. */
const GAP_STEPS = 5,
  GAP_LEAST = 1;

function gapsOf(t: Float64Array, step: number): Fault[] {
  const out: Fault[] = [],
    least = Math.max(GAP_LEAST, GAP_STEPS * step);
  for (let i = 1; i < t.length; i++)
    if (t[i] - t[i - 1] > least)
      out.push({ kind: 'gaps', channel: null, from: t[i - 1], to: t[i], count: 1 });
  return out;
}

/** Cells of a channel that hold nothing, one fault a channel. */
function emptyCells({ t, channels }: FlightLog): Fault[] {
  return CHANNEL_IDS.flatMap((id) => {
    const of = channels[id];
    if (!of) return [];
    let count = 0,
      first = -1,
      last = -1;
    of.forEach((v, i) => {
      if (Number.isFinite(v)) return;
      count++;
      if (first < 0) first = i;
      last = i;
    });
    return count === 0 || count === of.length
      ? []
      : [{ kind: 'empty' as const, channel: id, from: t[first], to: t[last], count }];
  });
}

/** Cells of some rows made empty; the rest is shared. */
function without(log: FlightLog, ids: readonly ChannelId[], rows: readonly number[]): FlightLog {
  const channels = { ...log.channels };
  for (const id of ids) {
    const of = channels[id];
    if (!of || rows.length === 0) continue;
    const own = of.slice();
    for (const i of rows) own[i] = NaN;
    channels[id] = own;
  }
  return { ...log, channels };
}

/**
 * @param raw as it was read, with east and north where it has a place
 * @param kept ids of faults that a person took back: what they are about stays as it was
 */
export function cleanLog(raw: FlightLog, kept: ReadonlySet<string> = new Set()): CleanLog {
  const { log: ordered, faults } = orderOf(raw, kept),
    step = usualStep(ordered.t);
  const found: Fault[] = [...faults, ...gapsOf(ordered.t, step), ...emptyCells(ordered)];
  let log = ordered;
  const take = (f: Fault, ids: readonly ChannelId[], rows: readonly number[]) => {
    found.push(f);
    if (!kept.has(faultId(f))) log = without(log, ids, rows);
  };
  for (const f of frozenFixes(ordered)) take(f.fault, f.channels, f.rows);
  // a fix that a slower receiver repeats says nothing new
  log = without(log, ['east', 'north'], heldFixes(ordered));
  for (const s of spikesOf(log)) take(s.fault, s.channels, s.rows);
  return { log, faults: found, step };
}
