'use client';
/** What the flight was like. */
import { Button } from '@mantine/core';
import { HANDLING, hovers, powertrainOf, type TestBody } from '@skiametra/core/design';
import type { KindName } from '@skiametra/core/units';
import { DateField } from '../../parts/dates/DateField';
import { dayOf } from '../../parts/dates/dateFormat';
import { QuantityField } from '../../parts/fields/QuantityField';
import { TextCell } from '../../parts/fields/TextCell';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { type SetBody, useStops } from './card';
import { FootageFigures } from './FootageFigures';
import { Laps } from './Laps';
import { Readings } from './read/Readings';
import { RubberRecord } from './RubberRecord';

type Recorded = TestBody['record'];
interface Props {
  id: string;
  body: TestBody;
  set: SetBody;
}

export function Record({ id, body, set }: Props) {
  const put = (patch: Partial<Recorded>) => set({ record: { ...body.record, ...patch } });
  if (!body.record.flown) return <Unflown body={body} put={put} />;
  return (
    <section className="block">
      <h2>Record</h2>
      <Figures record={body.record} put={put} />
      <FootageFigures footage={body.record.footage} put={(footage) => put({ footage })} />
      <Readings
        readings={body.record.readings ?? []}
        state={body.card.state}
        put={(readings) => put({ readings })}
      />
      <FlownWith id={id} />
      <h2 className="head mt12">How it handled</h2>
      <Handled record={body.record} put={put} />
      <div className="qf mt12">
        <span className="dim">Notes</span>
        <TextCell label="Notes" path={`tests.${id}.body.record.notes`} area />
      </div>
      <div className="qf mt8">
        <span className="dim">Damage</span>
        <TextCell label="Damage" path={`tests.${id}.body.record.damage`} area />
      </div>
    </section>
  );
}

/** Parts of the swap set and what else was as it was that day: kept with everything that is measured. */
function FlownWith({ id }: { id: string }) {
  const rows = [
    ['pack', 'Pack flown'],
    ['propeller', 'Propeller flown'],
    ['configuration', 'Configuration flown'],
  ] as const;
  return (
    <div className="fields">
      {rows.map(([key, label]) => (
        <div key={key} className="qf">
          <span className="dim">{label}</span>
          <TextCell label={label} path={`tests.${id}.body.record.${key}`} />
        </div>
      ))}
    </div>
  );
}

type Put = (patch: Partial<Recorded>) => string | null;

/** Shortest word that counts as a reason to fly past a stop line [letters]. */
const LEAST_REASON = 8;

function Unflown({ body, put }: { body: TestBody; put: Put }) {
  const brief = useWorkspace((w) => w.content.document.brief);
  const ledger = useWorkspace((w) => w.ledger);
  const stops = useStops(body.card.state);
  const reasoned = body.card.overrideReason.trim().length >= LEAST_REASON;
  // what is not computed yet cannot be flown past: there is nothing to write a reason against
  const blocked = ledger === null || (stops.length > 0 && !reasoned);
  const hung = useHung(body.card.state) ? { hung: true as const } : {};
  const { temperature, wind } = brief.site;
  return (
    <section className="block">
      <h2>Record</h2>
      <p className="dim flushtop">Fly it by the card, then record it here.</p>
      {blocked && (
        <p className="stoptext">
          This card is past the stop line. Write a reason on the card, or mend the design first.
        </p>
      )}
      <Button
        disabled={blocked}
        onClick={() => put({ flown: true, date: dayOf(new Date()), temperature, wind, ...hung })}
      >
        It was flown: record it
      </Button>
    </section>
  );
}

/** Whether a state hangs on its rotors. */
function useHung(state: string): boolean {
  return useWorkspace(
    ({
      content: {
        document: { design },
      },
    }) => {
      const flown = design.states.find((l) => l.id === state);
      return flown !== undefined && hovers(design, flown);
    },
  );
}

interface Figure {
  key: 'cgX' | 'mass' | 'chargeBefore' | 'chargeAfter' | 'duration' | 'groundRun' | 'stallSpeed';
  label: string;
  kind: KindName;
  hint?: string;
}
const ALWAYS: readonly Figure[] = [
  { key: 'cgX', label: 'CG flown, from the nose', kind: 'length' },
  { key: 'mass', label: 'All-up mass on the scale', kind: 'allUpMass' },
  { key: 'stallSpeed', label: 'Slowest held speed', kind: 'speed' },
];
const POWERED: readonly Figure[] = [
  { key: 'groundRun', label: 'Ground run', kind: 'distance' },
  { key: 'duration', label: 'Motor time', kind: 'duration' },
  { key: 'chargeBefore', label: 'Charge before', kind: 'charge', hint: 'what the pack held' },
  {
    key: 'chargeAfter',
    label: 'Charge after',
    kind: 'charge',
    hint: 'what was left: before less what the charger put back',
  },
];

const HANGING: readonly Figure[] = [
  ...ALWAYS.filter((f) => f.key !== 'stallSpeed'),
  ...POWERED.filter((f) => f.key !== 'groundRun').map((f) =>
    f.key === 'duration' ? { ...f, label: 'Time in the air' } : f,
  ),
];

function Figures({ record, put }: { record: Recorded; put: Put }) {
  const { unpowered, rubber } = useWorkspace((w) => powertrainOf(w.content.document.design));
  return (
    <div className="fields">
      <DateField label="Date" value={record.date} onChange={(date) => put({ date })} />
      <QuantityField
        label="Temperature"
        value={record.temperature}
        kind="temperature"
        onCommit={(temperature) => put({ temperature })}
      />
      <QuantityField label="Wind" value={record.wind} kind="speed" onCommit={(wind) => put({ wind })} />
      {(record.hung ? HANGING : [...ALWAYS, ...(unpowered ? [] : POWERED)]).map(({ key, ...field }) => (
        <QuantityField
          key={key}
          {...field}
          value={record[key]}
          onCommit={(si) => put({ [key]: si })}
          onClear={() => put({ [key]: null })}
        />
      ))}
      {rubber && <RubberRecord record={record} put={put} />}
      {!record.hung && <Laps laps={record.laps} onCommit={(laps) => put({ laps })} />}
    </div>
  );
}

/** What may be felt of a craft that hangs on its rotors. */
const FELT_HANGING: readonly string[] = [
  'as expected',
  'nose-heavy',
  'tail-heavy',
  'needs left trim',
  'needs right trim',
];

function Handled({ record: { handling, hung }, put }: { record: Recorded; put: Put }) {
  return (
    <div className="line wraps gap8">
      {HANDLING.filter((h) => !hung || FELT_HANGING.includes(h)).map((h) => {
        const felt = handling.includes(h);
        const then = felt ? handling.filter((x) => x !== h) : [...handling, h];
        return (
          <Button
            key={h}
            variant={felt ? 'filled' : 'default'}
            aria-pressed={felt}
            onClick={() => put({ handling: then })}
          >
            {h}
          </Button>
        );
      })}
    </div>
  );
}
