'use client';
/** What every supply feeds. */
import { POWER } from '../../../parts/paths';
import { powertrainOf } from '@skiametra/core/design';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

/** Names of what feeds a part, chosen one by one. */
export function Feeds({ row }: { row: number }) {
  const supply = useWorkspace((w) => powertrainOf(w.content.document.design).supply!);
  const edit = useWorkspace((w) => w.edit);
  const part = supply[row];
  const set = (feeds: string[]) => edit({ type: 'set', path: `${POWER}.supply.${row}.feeds`, value: feeds });
  return (
    <div className="small">
      {part.feeds.map((f) => (
        <button
          key={f}
          type="button"
          className="sorter"
          title="Take this feed away"
          aria-label={`${supply.find((s) => s.id === f)?.name ?? f}: no longer feeds ${part.name}`}
          onClick={() => set(part.feeds.filter((x) => x !== f))}
        >
          {supply.find((s) => s.id === f)?.name ?? f} <span aria-hidden="true">✕ </span>
        </button>
      ))}
      {part.kind !== 'pack' && (
        <select
          className="cell"
          aria-label={`Feed of ${part.name}`}
          value=""
          onChange={(e) => {
            if (e.target.value) set([...part.feeds, e.target.value]);
          }}
        >
          <option value="">{part.feeds.length ? 'or …' : 'choose …'}</option>
          {supply
            .filter((s) => s.id !== part.id && !part.feeds.includes(s.id))
            .map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
        </select>
      )}
    </div>
  );
}
