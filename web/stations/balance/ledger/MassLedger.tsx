'use client';
/** The mass ledger: what every item is planned to weigh, what it weighs, where it sits. */
import { Checkbox } from '@mantine/core';
import { useState } from 'react';
import type { Item } from '@skiametra/core/design';
import { DocTable, freshId } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { MadeOf } from './MadeOf';
import { DESIGN } from '../../../parts/paths';
import { Ranges } from './Ranges';
import { Scale } from './Scale';
import { useMassColumns } from './useMassColumns';

export function MassLedger() {
  const items = useWorkspace((w) => w.content.document.design.items);
  const [more, setMore] = useState(false);
  const columns = useMassColumns(more);
  return (
    <section className={more ? 'block wide' : 'block'}>
      <h2>
        Mass ledger{' '}
        <span className="right">
          <Checkbox
            label="groups, sides, heights"
            checked={more}
            onChange={(e) => setMore(e.currentTarget.checked)}
          />
        </span>
      </h2>
      <DocTable
        path={`${DESIGN}.items`}
        caption="Mass ledger"
        addLabel="Add an item"
        totalLabel="Empty"
        newRow={() => newItem(items)}
        columns={columns}
      />
      {items.some((i) => i.planned.kind === 'made') && <MadeOf />}
      {items.some((i) => i.movable) && <Ranges />}
      <Scale />
    </section>
  );
}

function newItem(items: readonly Item[]): Item {
  return {
    id: freshId('item', items),
    name: 'New item',
    group: 'other',
    planned: { kind: 'mass', mass: 0.02 },
    basis: 'guess',
    spread: 0.15,
    weighed: null,
    x: 0.3,
    y: 0,
    z: 0,
    inWing: false,
    movable: null,
  };
}
