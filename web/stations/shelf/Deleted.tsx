'use client';
/** Projects that were taken away and can come back. */
import { DateWords } from '../../parts/dates/DateWords';
import { Button } from '@mantine/core';
import type { DeletedProject } from '../../server/projects';

export function Deleted({ list, onBack }: { list: DeletedProject[]; onBack: (p: DeletedProject) => void }) {
  if (list.length === 0) return null;
  return (
    <details className="deleted">
      <summary>
        {list.length} deleted project{list.length === 1 ? '' : 's'}, kept for 30 days
      </summary>
      {list.map((p) => (
        <div key={p.id} className="deletedrow">
          <span>
            {p.name} · {p.aircraft}
          </span>
          <span className="dim">
            <DateWords iso={new Date(p.deletedAt).toISOString()} />
            {p.by ? `, by ${p.by}` : ''}
          </span>
          <Button size="compact-sm" variant="default" onClick={() => onBack(p)}>
            Bring back
          </Button>
        </div>
      ))}
    </details>
  );
}
