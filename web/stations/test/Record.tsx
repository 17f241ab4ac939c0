'use client';
/** What the flight was like. */
import { Button, TextInput } from '@mantine/core';
import { HANDLING, type Handling, type TestBody, powertrainOf } from '@skiametra/core/design';
import type { KindName } from '@skiametra/core/units';
import { useState } from 'react';
import { QuantityField } from '../../parts/fields/QuantityField';
import { TextCell } from '../../parts/fields/TextCell';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { RubberRecord } from './RubberRecord';
import { type SetBody, stopsOf } from './card';

export function Record({ id, body, set }: { id: string; body: TestBody; set: SetBody }) {
  const brief = useWorkspace((w) => w.content.document.brief);
  const design = useWorkspace((w) => w.content.document.design);
  const ledger = useWorkspace((w) => w.ledger);
  const r = body.record;
  const [laps, setLaps] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const stops = stopsOf(brief, design, ledger, body.card.state);
  // what is not computed yet cannot be flown past: there is nothing to write a reason against
  const blocked = ledger === null || (stops.length > 0 && body.card.overrideReason.trim().length < 8);
  const put = (patch: Partial<TestBody['record']>) => set({ record: { ...r, ...patch } });
  const opt = (
    label: string,
    key: 'cgX' | 'mass' | 'chargeBefore' | 'chargeAfter' | 'duration' | 'groundRun' | 'stallSpeed',
    kind: KindName,
    hint?: string,
  ) => (
    <QuantityField
      label={label}
      value={r[key]}
      kind={kind}
      hint={hint}
      onCommit={(si) => put({ [key]: si })}
      onClear={() => put({ [key]: null })}
    />
  );
  const commitLaps = () => {
    if (laps === null) return;
    const parts = laps.split(/[\s;]+/).filter(Boolean);
    const times = parts.map((p) => {
      const m = /^(?:(\d+):)?(\d+(?:[.,]\d+)?)$/.exec(p);
      return m ? Number(m[1] ?? 0) * 60 + Number(m[2].replace(',', '.')) : NaN;
    });
    const bad = parts[times.findIndex((t) => !(t > 0))];
    if (bad) {
      setError(`“${bad}” is not a lap time; write seconds or min:sec, with spaces between.`);
      return;
    }
    const refused = put({ laps: times });
    setError(refused);
    if (!refused) setLaps(null);
  };
  if (!r.flown) {
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
          onClick={() =>
            put({
              flown: true,
              date: new Date().toISOString().slice(0, 10),
              temperature: brief.site.temperature,
              wind: brief.site.wind,
            })
          }
        >
          It was flown: record it
        </Button>
      </section>
    );
  }
  return (
    <section className="block">
      <h2>Record</h2>
      <div className="fields">
        <TextInput
          label="Date"
          type="date"
          value={r.date}
          onChange={(e) => put({ date: e.currentTarget.value })}
        />
        <QuantityField
          label="Temperature"
          value={r.temperature}
          kind="temperature"
          onCommit={(si) => put({ temperature: si })}
        />
        <QuantityField label="Wind" value={r.wind} kind="speed" onCommit={(si) => put({ wind: si })} />
        {opt('CG flown, from the nose', 'cgX', 'length')}
        {opt('All-up mass on the scale', 'mass', 'allUpMass')}
        {opt('Slowest held speed', 'stallSpeed', 'speed')}
        {!powertrainOf(design).unpowered && (
          <>
            {opt('Ground run', 'groundRun', 'distance')}
            {opt('Motor time', 'duration', 'duration')}
            {opt('Charge before', 'chargeBefore', 'charge', 'what the pack held')}
            {opt(
              'Charge after',
              'chargeAfter',
              'charge',
              'what was left: before less what the charger put back',
            )}
          </>
        )}
        {powertrainOf(design).rubber && <RubberRecord record={r} put={put} />}
        <div className={`qf wide${error ? ' bad' : ''}`}>
          <label htmlFor={`laps-${id}`}>Timed laps, seconds or min:sec</label>
          <div className="box">
            <input
              id={`laps-${id}`}
              value={laps ?? r.laps.map((t) => Number(t.toFixed(2))).join('  ')}
              onChange={(e) => setLaps(e.target.value)}
              onBlur={commitLaps}
              onKeyDown={(e) => {
                if (e.key === 'Enter') commitLaps();
                if (e.key === 'Escape') {
                  setLaps(null);
                  setError(null);
                }
              }}
            />
          </div>
          {error && (
            <div className="err" role="alert">
              {error}
            </div>
          )}
        </div>
      </div>
      <h2 className="head mt12">How it handled</h2>
      <div className="line wraps gap8">
        {HANDLING.map((h) => (
          <Button
            key={h}
            variant={r.handling.includes(h) ? 'filled' : 'default'}
            aria-pressed={r.handling.includes(h)}
            onClick={() =>
              put({
                handling: r.handling.includes(h)
                  ? r.handling.filter((x) => x !== h)
                  : ([...r.handling, h] as Handling[]),
              })
            }
          >
            {h}
          </Button>
        ))}
      </div>
      <div className="qf mt12">
        <label>
          <span>Notes</span>
        </label>
        <TextCell label="Notes" path={`tests.${id}.body.record.notes`} area />
      </div>
      <div className="qf mt8">
        <label>
          <span>Damage</span>
        </label>
        <TextCell label="Damage" path={`tests.${id}.body.record.damage`} area />
      </div>
    </section>
  );
}
