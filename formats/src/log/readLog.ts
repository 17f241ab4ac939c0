/** A log of any make: the beginning is looked at, columns are guessed or as they were chosen, rows stream. */
import type { FlightLog } from '@skiametra/core/log';
import { guessMapping, type Mapping } from './guess';
import { layoutOf, type Layout } from './layout';
import { readTable } from './readTable';
import { peek, textOf, type Bytes, type Reading } from './text';

export type LogRead =
  { status: 'ok'; log: FlightLog; layout: Layout; mapping: Mapping } | { status: 'error'; message: string };

/** Letters of the beginning that are looked at. */
const HEAD = 60_000;

/**
 * @param choose given what the columns seem to hold, what they are taken for
 * @throws the signal's reason when it is stopped
 */
export async function readLog(
  bytes: Bytes,
  reading: Reading = {},
  choose: (guess: Mapping, layout: Layout) => Mapping = (guess) => guess,
): Promise<LogRead> {
  const { head, whole, again } = await peek(textOf(bytes, reading), HEAD),
    found = layoutOf(head, whole);
  if (found.status === 'error') return found;
  const { layout } = found,
    mapping = choose(guessMapping(layout), layout);
  try {
    return { status: 'ok', log: await readTable(again, layout, mapping), layout, mapping };
  } catch (e) {
    // what the reader refuses is a sentence; what stops it is the caller's
    if (e instanceof RangeError) return { status: 'error', message: e.message };
    throw e;
  }
}
