'use client';
/** One load test: how it is loaded, the steps with what is expected of the tip, what was read, where it broke. */
import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { LoadTest } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import { isOwnWing, loadRemarks, STOP_BEYOND } from '@skiametra/core/trial';
import { DateField } from '../../../parts/dates/DateField';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { TextCell } from '../../../parts/fields/TextCell';
import { Sentence } from '../../../parts/Sentence';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { askCore } from '../../../workers/coreClient';
import { Broke } from './Broke';
import { useLoadEdit, type LoadCard } from './loadTests';
import { Steps } from './Steps';

/** How the wing is loaded; a change of it asks for a new plan. */
function How({ load, set }: { load: LoadTest; set: (patch: Partial<LoadTest>) => string | null }) {
  const anew = (patch: Partial<LoadTest>) => set({ ...patch, plan: null });
  return (
    <div className="fields three">
      <NativeSelect
        label="How"
        value={load.kind}
        data={[
          { value: 'bags', label: 'Bags along the span' },
          { value: 'tips', label: 'Lifted by its tips' },
        ]}
        onChange={(e) => anew({ kind: e.currentTarget.value as LoadTest['kind'] })}
      />
      {load.kind === 'bags' && (
        <NativeSelect
          label="Stands for a load"
          value={load.direction}
          data={[
            { value: 'up', label: 'from below: wing turned over' },
            { value: 'down', label: 'from above: wing upright' },
          ]}
          onChange={(e) => anew({ direction: e.currentTarget.value as LoadTest['direction'] })}
        />
      )}
      <QuantityField label="To" kind="loadFactor" value={load.to} onCommit={(to) => anew({ to })} />
      <QuantityField label="One bag" kind="mass" value={load.bag} onCommit={(bag) => anew({ bag })} />
      {load.kind === 'bags' && (
        <QuantityField
          label="Places on a half"
          kind="count"
          value={load.count}
          onCommit={(count) => anew({ count: Math.min(12, Math.max(1, Math.round(count))) })}
        />
      )}
    </div>
  );
}

/** Where the test asks less of the wing than the case does. */
function Short({ load }: { load: LoadTest }) {
  const units = useWorkspace((w) => w.units),
    short = load.plan?.short ?? [];
  if (short.length === 0)
    return (
      <p className="note flush">
        It bends the wing as the case does all along, to 5 %; it does not twist it.
      </p>
    );
  return (
    <>
      {short.map((s) => (
        <p key={s.from} className="note flush">
          From {formatQuantity(s.from, 'length', units)} to {formatQuantity(s.to, 'length', units)} out it
          bends it by as little as {Math.round(100 * s.share)} % of the case: that stretch is not proven.
        </p>
      ))}
    </>
  );
}

export function LoadSheet({ test: { id, body } }: { test: LoadCard }) {
  const { load } = body,
    document = useWorkspace((w) => w.content.document),
    edit = useWorkspace((w) => w.edit),
    states = document.design.states,
    set = useLoadEdit(id),
    [trouble, setTrouble] = useState<string | null>(null),
    P = `tests.${id}.body`;
  const plan = async () => {
    try {
      const found = await askCore<'loadPlan'>({ task: 'loadPlan', document, loading: body.card.state, load });
      if (found)
        set({ plan: found, readings: found.steps.map(() => null), held: 0, broke: null, remains: null });
      setTrouble(found ? null : 'No member is drawn in the wing: there is nothing to plan.');
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    }
  };
  const changed = load.plan && !isOwnWing(document.design, load);
  return (
    <div className="stack">
      <section className="block">
        <div className="strong mb8">
          <TextCell label="Title of the load test" path={`${P}.card.title`} />
        </div>
        <div className="fields three">
          <NativeSelect
            label="For the state"
            value={body.card.state}
            data={states.map((s) => ({ value: s.id, label: s.name }))}
            onChange={(e) => {
              edit({ type: 'set', path: `${P}.card.state`, value: e.currentTarget.value });
              set({ plan: null });
            }}
          />
          <DateField
            label="Date"
            value={body.record.date}
            onChange={(date) => edit({ type: 'set', path: `${P}.record.date`, value: date })}
          />
        </div>
        <How load={load} set={set} />
        <div className="line gap8 mt8">
          <Button variant={load.plan ? 'subtle' : 'light'} onClick={() => void plan()}>
            {load.plan ? 'Plan it anew' : 'Plan the steps'}
          </Button>
          {load.plan && (
            <Button variant="subtle" onClick={() => window.print()}>
              Print the sheet
            </Button>
          )}
        </div>
        {trouble && (
          <p className="stoptext" role="alert">
            {trouble}
          </p>
        )}
        {changed && (
          <p className="stoptext flush">
            The members have been changed since: this test speaks of another wing, and neither proves nor
            teaches the present one.
          </p>
        )}
      </section>
      {load.plan && (
        <section className="block" aria-label="Steps of the load test">
          <h2>
            Steps{' '}
            <span className="right dim">predicted to break at {load.plan.failsAt.toFixed(1)} g here</span>
          </h2>
          <Steps load={load} plan={load.plan} set={set} />
          <Short load={load} />
          <p className="caution">
            Stop when the tip goes {Math.round(100 * STOP_BEYOND)} % further than expected, when a step bends
            more than the one before it, when anything creaks, or when it does not come back. Load from the
            side, glasses on, nobody under the wing or in the plane of its spar; broken carbon cuts and its
            dust harms.
          </p>
          {loadRemarks(load).map((s) => (
            <p key={s.code} className="stoptext flush">
              <Sentence of={s} />
            </p>
          ))}
          <Broke load={load} plan={load.plan} set={set} />
        </section>
      )}
    </div>
  );
}
