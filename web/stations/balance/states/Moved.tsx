'use client';
/** Items that sit elsewhere in a state, or are not aboard. */
import { Checkbox } from '@mantine/core';
import { DocTable } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useStateInView } from './useStateInView';

export function Moved({ path }: { path: string }) {
  const items = useWorkspace((w) => w.content.document.design.items);
  return (
    <DocTable
      path={path}
      caption="Items that sit elsewhere"
      addLabel="Another item"
      newRow={() => ({ item: items[0]?.id, x: items[0]?.x })}
      columns={[
        {
          key: 'item',
          label: 'Item',
          cell: { type: 'choice', options: items.map((q) => ({ value: q.id, label: q.name })) },
        },
        { key: 'x', label: 'x', cell: { type: 'quantity' } },
      ]}
    />
  );
}

export function Absent() {
  const items = useWorkspace((w) => w.content.document.design.items);
  const { state, change } = useStateInView();
  const absent = state?.absent ?? [];
  const set = (id: string, away: boolean) => {
    const list = away ? [...absent, id] : absent.filter((a) => a !== id);
    change({ absent: list.length ? list : undefined });
  };
  return (
    <details>
      <summary className="dim clickable">
        Not aboard in this state{absent.length ? ` (${absent.length})` : ''}
      </summary>
      <div className="columns3 note">
        {items.map((q) => (
          <Checkbox
            key={q.id}
            label={q.name}
            checked={absent.includes(q.id)}
            onChange={(e) => set(q.id, e.currentTarget.checked)}
          />
        ))}
      </div>
    </details>
  );
}
