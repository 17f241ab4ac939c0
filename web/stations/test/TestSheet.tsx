'use client';
/** One flight test: card, checklist, record, logs, what was measured. */
import type { TestBody } from '@skiametra/core/design';
import { Cautions } from '../../parts/Cautions';
import { Card } from './Card';
import { Checklist } from './Checklist';
import { LogBlock } from './log/LogBlock';
import { Measured } from './Measured';
import { Record } from './Record';
import { useTestEdit } from './card';

export function TestSheet({ id, body }: { id: string; body: TestBody }) {
  const set = useTestEdit(id),
    logged = (body.logs ?? []).length > 0;
  // what a flight said comes first once there is a log of it
  return (
    <div className={logged ? 'stack logsfirst' : 'stack'}>
      <div className="cols cols-test2 gap16">
        <div className="stack">
          <Cautions at="flight" state={body.card.state} />
          <Card id={id} body={body} set={set} />
        </div>
        <div className="stack">
          <Record id={id} body={body} set={set} />
          <Checklist body={body} set={set} />
        </div>
      </div>
      <LogBlock id={id} body={body} set={set} />
      <Measured id={id} body={body} />
    </div>
  );
}
