/** The ledger: the only output of an assessment. */
import { ALL, readRef, refText, type QuantityId, type Station } from '../steps';
import type { KindName } from '../units';
import type { Said } from '../words';

export interface LedgerEntry {
  readonly id: QuantityId;
  /** loading id, or 'all' */ readonly state: string;
  /** which of several: the task of points, the mission */ readonly part?: string;
  /** of a mission */ readonly leg?: string;
  /** load case */ readonly case?: string;
  /** SI */ readonly value: number;
  /** standard uncertainty, SI */ readonly sigma: number;
  readonly kind: KindName;
  readonly method: string;
  readonly inputs: readonly QuantityId[];
  /** what must be said with it */ readonly warnings: readonly Said[];
  /** share of the variance by calibration factor, in the order of FACTOR_IDS; sums to 1 where sigma > 0 */
  readonly shares: readonly number[];
  /** the same by other inputs, in the order of INPUT_IDS: masses of items, the day, what methods leave open */
  readonly inputShares: readonly number[];
  /** id of the state that the value is of, where the result is a choice among states */ readonly names?: string;
}

export interface LedgerCurve {
  readonly id: string;
  readonly state: string;
  readonly xKind: KindName;
  readonly yKind: KindName;
  readonly x: readonly number[];
  readonly y: readonly number[];
  /** standard uncertainty of y, where it was propagated */ readonly sigma: readonly number[] | null;
}

export interface Fix {
  /** as it stands on a button */ readonly label: Said;
  readonly changes: readonly { path: string; value: unknown }[];
}

export interface Finding extends Said {
  readonly station: Station;
  /** stop: not safe to fly; look: needs a look; ask: a plausibility question */
  readonly severity: 'stop' | 'look' | 'ask';
  readonly state: string;
  readonly fix: Fix | null;
}

/** Puts a finding on the list of an assessment. */
export type AddFinding = (
  station: Finding['station'],
  severity: Finding['severity'],
  state: string,
  said: Said,
  fix?: Fix | null,
) => void;

export interface Ledger {
  readonly entries: readonly LedgerEntry[];
  readonly curves: readonly LedgerCurve[];
  readonly findings: readonly Finding[];
  /** why the chain stopped, when it did; entries up to there are present */
  readonly stopped: Said | null;
  /** uncertainties are still those of the ledger before */ readonly quick?: true;
}

/** Written reference of an entry, as watch lists and measurements have it. */
export function keyOf(e: Pick<LedgerEntry, 'id' | 'state' | 'part' | 'leg' | 'case'>): string {
  return refText(e);
}

/** Entries by their references: a ledger does not change. */
const indexes = new WeakMap<readonly LedgerEntry[], ReadonlyMap<string, LedgerEntry>>();

/** Entries of a ledger by written reference. */
export function entriesByKey({ entries }: Pick<Ledger, 'entries'>): ReadonlyMap<string, LedgerEntry> {
  let index = indexes.get(entries);
  if (!index) indexes.set(entries, (index = new Map(entries.map((e) => [keyOf(e), e]))));
  return index;
}

/** Entry of a quantity in a state; quantities of the whole design answer for every state. */
export function entryOf(
  ledger: Ledger,
  id: QuantityId,
  state: string,
  part?: string,
): LedgerEntry | undefined {
  const index = entriesByKey(ledger),
    at = (s: string) => index.get(keyOf({ id, state: s, ...(part === undefined ? {} : { part }) }));
  return at(state) ?? at(ALL);
}

/** Entry of a mission, or of one of its legs; of the state that flies it where any may. */
export function flownOf(
  ledger: Ledger,
  id: QuantityId,
  at: { mission: string; leg?: string; state: string },
): LedgerEntry | undefined {
  const index = entriesByKey(ledger),
    ref = { id, part: at.mission, ...(at.leg === undefined ? {} : { leg: at.leg }) };
  return index.get(refText({ ...ref, state: at.state })) ?? index.get(refText({ ...ref, state: ALL }));
}

/** Entry of a load case in a state. */
export function caseOf(ledger: Ledger, id: QuantityId, state: string, of: string): LedgerEntry | undefined {
  return entriesByKey(ledger).get(refText({ id, state, case: of }));
}

export function curveOf(ledger: Ledger, id: string, state: string): LedgerCurve | undefined {
  return ledger.curves.find((c) => c.id === id && (c.state === state || c.state === ALL));
}

/** The same by a name from outside (stored, typed or sent); undefined where no quantity is called so. */
export function entryNamed(ledger: Ledger, id: string, state: string): LedgerEntry | undefined {
  const ref = readRef(`${id}@${state}`);
  return ref ? entryOf(ledger, ref.id, ref.state ?? ALL, ref.part) : undefined;
}
