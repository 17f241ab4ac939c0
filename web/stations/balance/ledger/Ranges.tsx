'use client';
/** How far what can move may move. */
import { DocField } from '../../../parts/fields/DocField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { DESIGN } from '../../../parts/paths';

export function Ranges() {
  const items = useWorkspace((w) => w.content.document.design.items);
  return (
    <details className="mt8">
      <summary className="dim clickable">Ranges of what can move</summary>
      {items.map(
        (item, i) =>
          item.movable && (
            <div key={item.id} className="namedfields two">
              <span>{item.name}</span>
              <DocField label="from" path={`${DESIGN}.items.${i}.movable.from`} />
              <DocField label="to" path={`${DESIGN}.items.${i}.movable.to`} />
            </div>
          ),
      )}
    </details>
  );
}
