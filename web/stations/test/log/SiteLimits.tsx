'use client';
/** Height and distance of a flight against what the place allows, as it was typed in the brief. */
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Reduced } from '../../../workers/logJobs';

export function SiteLimits({ reduced }: { reduced: Reduced }) {
  const limits = useWorkspace((w) => w.content.document.brief.site.limits),
    units = useWorkspace((w) => w.units);
  const found = (id: string) => reduced.results.find((r) => r.id === id);
  const rows = [
    { name: 'height', limit: limits?.height, was: found('peakHeight') },
    { name: 'distance', limit: limits?.distance, was: found('farthest') },
    { name: 'distance seen', limit: limits?.sight, was: found('farthest') },
  ];
  const told = rows.flatMap((r) =>
    r.limit !== undefined && r.was ? [{ ...r, limit: r.limit, was: r.was }] : [],
  );
  if (told.length === 0)
    return (
      <p className="dim tiny flush">
        What may be flown here is typed in Brief, at the site: height and distance are then held against it.
        The law of the place has the last word.
      </p>
    );
  return (
    <div>
      {told.map(({ name, limit, was }) => {
        const over = was.value - limit;
        return (
          <div key={name} className={over > 0 ? 'stoptext' : 'finetext'}>
            {over > 0 ? '✕' : '✓'} {name} {formatQuantity(was.value, 'distance', units)}, allowed{' '}
            {formatQuantity(limit, 'distance', units)}
            {over > 0 && `: over by ${formatQuantity(over, 'distance', units)}`}
          </div>
        );
      })}
    </div>
  );
}
