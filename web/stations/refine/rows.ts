/** Rows of what was asked, predicted and measured: one for every number that somebody asks for or has read. */
import {
  entriesByKey,
  keyOf,
  quantityDef,
  readRef,
  type Ledger,
  type QuantityDef,
} from '@skiametra/core/assess';
import type { Brief, Design, Measurement } from '@skiametra/core/design';
import { combine, measuredKey, measuredKeys } from '@skiametra/core/trial';
import type { Marks } from '../../parts/marks/marks';
import { askedOf } from '../../parts/marks/useMarks';
import { placeName } from '../../parts/numberName';

export interface Row {
  readonly key: string;
  readonly id: string;
  readonly state: string;
  readonly def: QuantityDef;
  /** mission, leg or case; empty of a number of the aircraft */ readonly place: string;
  readonly marks: Marks;
}

interface Known {
  readonly brief: Brief;
  readonly design: Design;
  readonly ledger: Ledger;
  /** that may teach */ readonly measured: readonly Measurement[];
}

type Asked = Brief['requirements'][number];

/** What is asked of every state is shown of the first and of the last. */
function statesOf(r: Asked, { states }: Design): readonly string[] {
  if (r.state !== 'all') return [r.state];
  if (quantityDef(r.quantity)?.scope === 'all') return ['all'];
  return [...new Set([states[0]!.id, states[states.length - 1]!.id])];
}

function keysOf({ brief, design, ledger, measured }: Known, every: boolean): Set<string> {
  const keys = new Set(measured.map(measuredKey));
  for (const r of brief.requirements)
    for (const state of statesOf(r, design)) keys.add(measuredKey({ ...r, state }));
  if (every) for (const e of ledger.entries) keys.add(keyOf(e));
  return keys;
}

/** @param every also those that nobody asks for and nobody has read */
export function rowsOf(known: Known, every: boolean): Row[] {
  const { brief, ledger, measured } = known,
    index = entriesByKey(ledger);
  return [...keysOf(known, every)].flatMap((key): Row[] => {
    const ref = readRef(key),
      def = ref && quantityDef(ref.id);
    if (!ref || !def) return [];
    const state = ref.state ?? 'all',
      place = placeName(ref, brief),
      e = measuredKeys({ ...ref, quantity: ref.id, state })
        .map((k) => index.get(k))
        .find(Boolean),
      list = measured.filter((m) => measuredKey(m) === key && !m.bound);
    return [
      {
        key,
        id: ref.id,
        state,
        def,
        place,
        marks: {
          asked: askedOf(brief, ref.id, state, ref),
          predicted: e ? { value: e.value, sigma: e.sigma } : null,
          measured: list.length ? combine(list) : null,
        },
      },
    ];
  });
}
