'use client';
/** The flight card: what is flown and why, and when it ends. */
import { NativeSelect } from '@mantine/core';
import { entryOf } from '@skiametra/core/assess';
import type { TestBody } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import { TextCell } from '../../parts/fields/TextCell';
import { Sentence } from '../../parts/Sentence';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { type SetBody, useStops, cardFor } from './card';

export function Card({ id, body, set }: { id: string; body: TestBody; set: SetBody }) {
  const states = useWorkspace((w) => w.content.document.design.states);
  const design = useWorkspace((w) => w.content.document.design);
  const ledger = useWorkspace((w) => w.ledger);
  const units = useWorkspace((w) => w.units);
  const P = `tests.${id}.body.card`;
  const stops = useStops(body.card.state);
  const cg = ledger && entryOf(ledger, 'cgX', body.card.state);
  const frame = useWorkspace((w) => w.airframes.filter((a) => a.versionId === w.versionId).at(-1)?.name);
  const row = (label: string, key: 'question' | 'oneChange' | 'expected' | 'stopWhen', hint: string) => (
    <div className="qf">
      <span className="dim">{label}</span>
      <TextCell label={label} path={`${P}.${key}`} area placeholder={hint} />
    </div>
  );
  return (
    <section className="block">
      <h2>Flight card</h2>
      <div className="stack gap8">
        <div className="qf">
          <span className="dim">Title</span>
          <TextCell label="Title" path={`${P}.title`} />
        </div>
        <NativeSelect
          label="State"
          value={body.card.state}
          data={states.map((l) => ({ value: l.id, label: l.name }))}
          onChange={(e) => set(cardFor(design, body, e.currentTarget.value))}
        />
        {cg && (
          <div className="dim note">
            {frame ? `Airframe: ${frame}. ` : ''}CG should be at {formatQuantity(cg.value, 'length', units)}{' '}
            from the nose in this state.
          </div>
        )}
        {stops.length > 0 && (
          <div className="caution stopedge" role="alert">
            <b className="stoptext">Stop line</b>
            {stops.map((s) => (
              <div key={s.code} className="stoptext">
                <Sentence of={s} />
              </div>
            ))}
            <div className="mt8">To fly all the same, write why:</div>
            <TextCell
              label="Reason to fly past the stop line"
              path={`${P}.overrideReason`}
              placeholder="a written reason"
            />
          </div>
        )}
        {row('What is to be learnt', 'question', 'one question')}
        {row('The one thing changed', 'oneChange', 'one change since the last flight')}
        {row('What is expected', 'expected', 'numbers, before the flight')}
        {row('When to stop', 'stopWhen', 'the sign at which you land')}
      </div>
    </section>
  );
}
