/** Numbers that a person may have read: every one that the computation has of the state that was flown. */
import { keyOf, quantityDef, type Ledger, type LedgerEntry } from '@skiametra/core/assess';
import type { Brief } from '@skiametra/core/design';
import { numberName } from '../../../parts/numberName';

export interface Readable {
  /** written reference */ readonly value: string;
  readonly label: string;
  readonly entry: LedgerEntry;
}

/** Made of other numbers by a rule of the brief: nobody reads them. */
const NO_READING: readonly string[] = ['score', 'points'];

const readable = (e: LedgerEntry, state: string) =>
  (e.state === state || e.state === 'all') && Number.isFinite(e.value) && !NO_READING.includes(e.id);

/** In the order of their names. */
export function numbersOf(ledger: Ledger, brief: Pick<Brief, 'missions'>, state: string): Readable[] {
  return ledger.entries
    .filter((e) => quantityDef(e.id) && readable(e, state))
    .map((entry) => ({ value: keyOf(entry), label: numberName(entry.id, entry, brief), entry }))
    .sort((a, b) => a.label.localeCompare(b.label));
}
