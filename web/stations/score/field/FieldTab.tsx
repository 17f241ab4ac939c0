'use client';
/** What rests on the guess of the rival, and the person's own versions scored as if they were the whole field. */
import { keyOf, restsOnField, type Ledger } from '@skiametra/core/assess';
import { formatNumber } from '@skiametra/core/units';
import { useMemo } from 'react';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { StatePicker } from '../../../parts/StatePicker';
import { Rivals } from '../../brief/Rivals';
import { OwnField } from './OwnField';

export function FieldTab({ ledger }: { ledger: Ledger }) {
  return (
    <div className="station two">
      <Rests ledger={ledger} />
      <div className="stack">
        <OwnField />
        <Rivals />
      </div>
    </div>
  );
}

function Rests({ ledger }: { ledger: Ledger }) {
  const brief = useWorkspace((w) => w.content.document.brief),
    design = useWorkspace((w) => w.content.document.design),
    state = useWorkspace((w) => w.loading);
  const on = useMemo(() => {
    const values = Object.fromEntries(ledger.entries.map((e) => [keyOf(e), e.value]));
    return restsOnField(brief, design, values, state);
  }, [ledger, brief, design, state]);
  return (
    <section className="block" aria-label="What rests on the rival">
      <h2>
        What rests on the guess of the rival{' '}
        <span className="right">
          <StatePicker />
        </span>
      </h2>
      {on ? (
        <>
          <p className="flush">
            <b>{(100 * on.share).toFixed(0)} %</b> of its points, {formatNumber(on.points, 3)}, are counted
            against {on.names.join(' and ')}.
          </p>
          <p className="flush">
            If the rival is at his best it scores <b>{formatNumber(on.low, 4)}</b>; if the field does badly,{' '}
            {formatNumber(on.high, 4)}. The {formatNumber(on.high - on.low, 3)} between them are not in your
            hands.
          </p>
        </>
      ) : (
        <p className="dim flush">No formula names a figure of the field: nothing rests on a guess of it.</p>
      )}
    </section>
  );
}
