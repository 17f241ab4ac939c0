'use client';
/** A reading while it is written: which number, how much, how well, how it was got. */
import { Button, NativeSelect, Select, TextInput } from '@mantine/core';
import { quantityDef, type LedgerEntry } from '@skiametra/core/assess';
import { READ_BY, type Reading } from '@skiametra/core/design';
import { formatMeasured, type KindName } from '@skiametra/core/units';
import { useMemo, useState } from 'react';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { numbersOf } from './numbers';

/** Shown of the names that are found. */
const MOST_NAMES = 80;

const BY: Readonly<Record<Reading['source'], string>> = {
  typed: 'read off',
  timed: 'timed',
  bench: 'on the bench',
  footage: 'from footage',
};

interface Draft {
  readonly value: number | null;
  readonly sigma: number | null;
  readonly source: Reading['source'];
  readonly from: string;
  readonly throttle: number | null;
}

const EMPTY: Draft = { value: null, sigma: null, source: 'typed', from: '', throttle: null };

/** A reading of a number, in the state that was flown even where the prediction is of the whole design. */
function readingOf({ id, state, leg, part, case: of }: LedgerEntry, d: Draft): Reading | null {
  if (d.value === null || d.sigma === null || !(d.sigma > 0)) return null;
  return {
    quantity: id,
    state,
    ...(leg === undefined ? {} : { leg }),
    ...(part === undefined ? {} : { part }),
    ...(of === undefined ? {} : { case: of }),
    value: d.value,
    sigma: d.sigma,
    source: d.source,
    from: d.from.trim(),
    ...(d.throttle === null ? {} : { throttle: d.throttle }),
  };
}

/** A spread is a difference, never a reading on a scale that begins elsewhere. */
const spreadKind = (kind: KindName): KindName => (kind === 'temperature' ? 'temperatureStep' : kind);

function useNumbers(state: string) {
  const ledger = useWorkspace((w) => w.ledger),
    brief = useWorkspace((w) => w.content.document.brief);
  return useMemo(() => (ledger ? numbersOf(ledger, brief, state) : []), [ledger, brief, state]);
}

interface Props {
  state: string;
  onAdd: (r: Reading) => string | null;
  onLeave: () => void;
}

export function ReadingDraft({ state, onAdd, onLeave }: Props) {
  const numbers = useNumbers(state),
    units = useWorkspace((w) => w.units),
    [key, setKey] = useState<string | null>(null),
    [draft, setDraft] = useState(EMPTY),
    [refused, setRefused] = useState<string | null>(null),
    entry = numbers.find((n) => n.value === key)?.entry,
    kind = (entry && quantityDef(entry.id)?.kind) ?? 'ratio',
    put = (patch: Partial<Draft>) => {
      setDraft({ ...draft, ...patch });
      return null;
    },
    reading = entry ? readingOf(entry, draft) : null;
  return (
    <div className="readingdraft" role="group" aria-label="A reading">
      <Select
        label="Number that was read"
        placeholder="type a part of its name"
        searchable
        limit={MOST_NAMES}
        nothingFoundMessage="No number by that name in the state that was flown."
        data={numbers.map(({ value, label }) => ({ value, label }))}
        value={key}
        onChange={setKey}
      />
      {entry && (
        <>
          <p className="dim tiny flush">predicted {formatMeasured(entry.value, entry.sigma, kind, units)}</p>
          <DraftFields kind={kind} draft={draft} put={put} />
        </>
      )}
      {refused && (
        <div role="alert" className="stoptext">
          {refused}
        </div>
      )}
      <div className="line gap8 low mt8">
        <Button size="xs" disabled={!reading} onClick={() => reading && setRefused(onAdd(reading))}>
          Add it
        </Button>
        <Button size="xs" variant="default" onClick={onLeave}>
          Leave it
        </Button>
        {entry && !reading && <span className="dim tiny">A value without its spread teaches nothing.</span>}
      </div>
    </div>
  );
}

interface FieldsProps {
  kind: KindName;
  draft: Draft;
  put: (patch: Partial<Draft>) => null;
}

function DraftFields({ kind, draft, put }: FieldsProps) {
  return (
    <div className="fields">
      <QuantityField label="Value" value={draft.value} kind={kind} onCommit={(value) => put({ value })} />
      <QuantityField
        label="Spread"
        hint="within this two times of three"
        value={draft.sigma}
        kind={spreadKind(kind)}
        onCommit={(sigma) => (sigma > 0 ? put({ sigma }) : 'A spread is above zero.')}
      />
      <NativeSelect
        label="Got"
        value={draft.source}
        data={READ_BY.map((value) => ({ value, label: BY[value] }))}
        onChange={(e) => put({ source: e.currentTarget.value as Reading['source'] })}
      />
      <TextInput
        label="How"
        placeholder="instrument, and what it was held to"
        maxLength={200}
        value={draft.from}
        onChange={(e) => put({ from: e.currentTarget.value })}
      />
      <QuantityField
        label="At throttle"
        hint="where it matters"
        value={draft.throttle}
        kind="percent"
        onCommit={(throttle) =>
          throttle >= 0 && throttle <= 1 ? put({ throttle }) : 'A throttle is from 0 to 100 %.'
        }
        onClear={() => put({ throttle: null })}
      />
    </div>
  );
}
