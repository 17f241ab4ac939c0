'use client';
/** Whether what must go inside the body does, and how far it may travel there. */
import { Button } from '@mantine/core';
import { standsWherePut } from '@skiametra/core/mass';
import type { LayoutReport } from '@skiametra/core/views';
import { DocField } from '../../../parts/fields/DocField';
import { DESIGN } from '../../../parts/paths';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { pct } from '../saidAs';
import { useMillimetres } from './useMillimetres';

type Fit = LayoutReport['fit'][number];

export function FitCheck({ fit }: { fit: LayoutReport['fit'] }) {
  const mm = useMillimetres();
  return (
    <section className="block">
      <h2>Inside the body</h2>
      {fit.length === 0 ? (
        <p className="dim flush">Give the battery and what else must fit its size: </p>
      ) : (
        <ShownTable name="Fit" rows={fit} rowKey={(f) => f.item} columns={columns(mm)} />
      )}
      <Sizes />
    </section>
  );
}

function columns(mm: (length: number) => string): ShownColumn<Fit>[] {
  return [
    { key: 'name', label: 'Item', fixed: true, value: (f) => f.name },
    {
      key: 'fits',
      label: 'Fits',
      value: (f) => (f.inside ? `yes, ${pct(f.room, 0)} to spare` : '✕ sticks out'),
      render: (f) => (
        <span className={f.inside ? undefined : 'stoptext'}>
          {f.inside ? `yes, ${pct(f.room, 0)} to spare` : '✕ sticks out'}
        </span>
      ),
    },
    {
      key: 'travel',
      label: 'May travel',
      numeric: true,
      value: (f) => (f.travel ? `${mm(f.travel.from)} to ${mm(f.travel.to)}` : 'nowhere'),
      render: (f) => (
        <>
          {f.travel ? `${mm(f.travel.from)} to ${mm(f.travel.to)}` : 'nowhere'}
          {f.blocked ? ' ▲ less than its range' : ''}
        </>
      ),
    },
    {
      key: 'meets',
      label: 'Runs into',
      value: (f) => f.meets.join(', ') || null,
      render: (f) => (
        <span className={f.meets.length ? 'stoptext' : undefined}>{f.meets.join(', ') || '–'}</span>
      ),
    },
  ];
}

/** A box as it is first said: a receiver's [m]. */
const FIRST_BOX = { length: 0.05, width: 0.03, height: 0.02 };

function Sizes() {
  const items = useWorkspace((w) => w.content.document.design.items);
  const edit = useWorkspace((w) => w.edit);
  return (
    <details>
      <summary className="dim clickable">Sizes</summary>
      {items
        .filter((i) => !i.inWing && standsWherePut(i))
        .map((i) =>
          i.box ? (
            <div key={i.id} className="namedfields three">
              <span>{i.name}</span>
              <DocField label="long" path={`${DESIGN}.items.${i.id}.box.length`} />
              <DocField label="wide" path={`${DESIGN}.items.${i.id}.box.width`} />
              <DocField label="high" path={`${DESIGN}.items.${i.id}.box.height`} />
            </div>
          ) : (
            <Button
              key={i.id}
              size="compact-xs"
              variant="subtle"
              onClick={() => edit({ type: 'set', path: `${DESIGN}.items.${i.id}.box`, value: FIRST_BOX })}
            >
              size of {i.name.toLowerCase()}
            </Button>
          ),
        )}
    </details>
  );
}
