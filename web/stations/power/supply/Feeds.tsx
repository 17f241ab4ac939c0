'use client';
/** What every supply feeds. */
import { CellSelect } from '../../../parts/fields/CellSelect';
import { UnstyledButton } from '@mantine/core';
import { POWER } from '../../../parts/paths';
import { powertrainOf } from '@skiametra/core/design';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

/** Names of what feeds a part, chosen one by one. */
export function Feeds({ row }: { row: number }) {
  const supply = useWorkspace((w) => powertrainOf(w.content.document.design).supply);
  const edit = useWorkspace((w) => w.edit);
  const part = supply?.[row];
  if (!part) return null;
  const set = (feeds: string[]) => edit({ type: 'set', path: `${POWER}.supply.${row}.feeds`, value: feeds });
  return (
    <div className="small">
      {part.feeds.map((f) => (
        <UnstyledButton
          key={f}
          className="sorter"
          title="Take this feed away"
          aria-label={`${supply.find((s) => s.id === f)?.name ?? f}: no longer feeds ${part.name}`}
          onClick={() => set(part.feeds.filter((x) => x !== f))}
        >
          {supply.find((s) => s.id === f)?.name ?? f} <span aria-hidden="true">✕ </span>
        </UnstyledButton>
      ))}
      {part.kind !== 'pack' && (
        <CellSelect
          label={`Feed of ${part.name}`}
          value=""
          options={[
            { value: '', label: part.feeds.length ? 'or …' : 'choose …' },
            ...supply
              .filter((s) => s.id !== part.id && !part.feeds.includes(s.id))
              .map((s) => ({ value: s.id, label: s.name })),
          ]}
          onChange={(id) => id && set([...part.feeds, id])}
        />
      )}
    </div>
  );
}
