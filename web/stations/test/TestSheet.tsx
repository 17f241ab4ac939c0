'use client';
/** One flight test: card, checklist, record, what was measured. */
import type { TestBody } from '@skiametra/core/design';
import { Cautions } from '../../parts/Cautions';
import { Card } from './Card';
import { Checklist } from './Checklist';
import { LogReader } from './LogReader';
import { Measured } from './Measured';
import { Record } from './Record';
import { useTestEdit } from './card';

export function TestSheet({ id, body }: { id: string; body: TestBody }) {
  const set = useTestEdit(id);
  return (
    <div className="cols cols-test2 gap16">
      <div className="stack">
        <Cautions at="flight" state={body.card.state} />
        <Card id={id} body={body} set={set} />
        <Checklist body={body} set={set} />
      </div>
      <div className="stack">
        <Record id={id} body={body} set={set} />
        <LogReader id={id} body={body} set={set} />
        <Measured id={id} body={body} />
      </div>
    </div>
  );
}
