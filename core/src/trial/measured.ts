/** Which number of the ledger a measurement is of. */
import { entriesByKey, keyOf, type Ledger, type LedgerEntry } from '../assess';
import type { Measurement } from '../design';

type Measured = Pick<Measurement, 'quantity' | 'state' | 'leg' | 'part' | 'case'>;

/** Written reference, as the ledger has it: measurements with the same one are of one number. */
export function measuredKey(m: Measured): string {
  return keyOf({ ...m, id: m.quantity as LedgerEntry['id'] });
}

/** References under which the number may stand: of the state that was flown, else of the whole design. */
export const measuredKeys = (m: Measured): readonly string[] => [
  measuredKey(m),
  measuredKey({ ...m, state: 'all' }),
];

/** What was predicted of it; undefined where the computation has no such number. */
export function entryMeasured(ledger: Ledger, m: Measured): LedgerEntry | undefined {
  const index = entriesByKey(ledger);
  return measuredKeys(m)
    .map((k) => index.get(k))
    .find((e) => e !== undefined);
}
