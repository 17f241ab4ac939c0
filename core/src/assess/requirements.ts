/**
 * Requirements held against the ledger and against what was measured: met, missed, or unproven while the uncertainty straddles
 * the limit.
 */
import { hovers, type Brief, type Design, type Measurement, type Requirement } from '../design';
import { entriesByKey, type Ledger, type LedgerEntry } from './ledger';
import { ALL, ofHanging, quantityDef, refText, type QuantityId } from '../steps';
import { say, type Said } from '../words';

/** What a check rests on. */
export type Proof = 'measured' | 'predicted';

export interface RequirementCheck {
  requirement: Requirement;
  status: 'met' | 'unproven' | 'missed' | 'unknown';
  proof: Proof;
  /** the worst loading */ state: string;
  value: number;
  sigma: number;
  /** distance inside the limit, SI; negative when missed */ margin: number;
  /** what the prediction alone says, where a measurement stands before it */ predicted: number | null;
  said: Said;
}

/** Distance inside the limits of a requirement, SI; below zero outside. */
export function marginOf(r: Pick<Requirement, 'op' | 'min' | 'max'>, x: number): number {
  const low = r.op === 'atMost' ? Infinity : x - r.min!;
  const high = r.op === 'atLeast' ? Infinity : r.max! - x;
  return Math.min(low, high);
}

/** What is asked of all states is asked of those that fly on a wing, or of those that hang where it is theirs. */
function asksOf(design: Design, state: Design['states'][number], quantity: string): boolean {
  return quantity === 'mass' || hovers(design, state) === ofHanging(quantity);
}

/** States that a requirement is asked of. */
export function statesAsked(r: Requirement, design: Design): string[] {
  if (r.state !== ALL) return [r.state];
  return design.states.filter((l) => asksOf(design, l, r.quantity)).map((l) => l.id);
}

/** Written references of the numbers that a requirement speaks of: of every case where it names none. */
export function refsAsked(r: Requirement, design: Design): string[] {
  const def = quantityDef(r.quantity);
  if (!def) return [];
  const id = r.quantity as QuantityId,
    cases = r.case !== undefined ? [r.case] : (def.cases ?? [undefined]),
    place = { ...(r.part && { part: r.part }), ...(r.leg && { leg: r.leg }) };
  return [...statesAsked(r, design), ALL].flatMap((state) =>
    cases.map((c) => refText({ id, state, ...place, ...(c && { case: c }) })),
  );
}

interface Found {
  readonly state: string;
  readonly value: number;
  readonly sigma: number;
}

const worstOf = (r: Requirement, found: readonly Found[]) =>
  found.reduce((a, e) => (marginOf(r, e.value) < marginOf(r, a.value) ? e : a));

/** What tests of this version say of it, of one state after the other; the last one of each. */
function measuredOf(r: Requirement, design: Design, measured: readonly Measurement[]): Found[] {
  const states = new Set([...statesAsked(r, design), ALL]),
    same = (m: Measurement) => m.part === r.part && m.leg === r.leg && m.case === r.case,
    of = measured.filter(
      (m) => m.quantity === r.quantity && states.has(m.state) && same(m) && !m.setAside && !m.bound,
    );
  return [...new Map(of.map((m) => [m.state, m])).values()];
}

/** A measurement of the worst state proves; one of another state leaves that one predicted. */
function judged(r: Requirement, predicted: readonly Found[], measured: readonly Found[]) {
  const of = new Map(measured.map((m) => [m.state, m]));
  const rows = [
    ...predicted.map((p) => {
      const m = of.get(p.state);
      return m
        ? { ...m, proof: 'measured' as Proof, predicted: p.value }
        : { ...p, proof: 'predicted' as Proof, predicted: null };
    }),
    ...measured
      .filter((m) => !predicted.some((p) => p.state === m.state))
      .map((m) => ({ ...m, proof: 'measured' as Proof, predicted: null })),
  ];
  const worst = worstOf(r, rows);
  return rows.find((x) => x.state === worst.state && x.value === worst.value)!;
}

function unknown(r: Requirement): RequirementCheck {
  return {
    requirement: r,
    status: 'unknown',
    proof: 'predicted',
    state: r.state,
    value: NaN,
    sigma: 0,
    margin: NaN,
    predicted: null,
    said: say('requirement-nameless', { quantity: r.quantity, state: r.state }),
  };
}

const foundIn = (e: LedgerEntry): Found => ({ state: e.state, value: e.value, sigma: e.sigma });

/**
 * One check per requirement, at its worst loading.
 * @param measured of tests of this version, the oldest first
 */
export function checkRequirements(
  brief: Brief,
  design: Design,
  ledger: Ledger,
  measured: readonly Measurement[] = [],
): RequirementCheck[] {
  const index = entriesByKey(ledger);
  return brief.requirements.map((r) => {
    const def = quantityDef(r.quantity),
      found = refsAsked(r, design).flatMap((key) => {
        const e = index.get(key);
        return e ? [foundIn(e)] : [];
      }),
      tests = measuredOf(r, design, measured);
    if (!def || found.length + tests.length === 0) return unknown(r);
    const worst = judged(r, found, tests),
      margin = marginOf(r, worst.value);
    const status =
      margin < 0 ? ('missed' as const) : margin < worst.sigma ? ('unproven' as const) : ('met' as const);
    const name =
      worst.state === ALL ? null : (design.states.find((l) => l.id === worst.state)?.name ?? worst.state);
    return {
      requirement: r,
      status,
      ...worst,
      margin,
      said: say('requirement', {
        op: r.op,
        min: r.min,
        max: r.max,
        name: def.name,
        kind: def.kind,
        state: name,
        value: worst.value,
        rule: r.rule,
      }),
    };
  });
}
