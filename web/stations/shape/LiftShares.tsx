'use client';
/** How the surfaces share the lift. */
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

/** What carries less is no carrier. */
const LEAST_SHARE = 0.001;

export function LiftShares({ shares }: { shares: Record<string, number> }) {
  const surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const units = useWorkspace((w) => w.units);
  const rows = surfaces.flatMap(({ id, name }) => {
    const share = shares[id] ?? 0;
    return Math.abs(share) > LEAST_SHARE ? [{ id, name, share }] : [];
  });
  if (rows.length < 2) return null;
  return (
    <section className="block">
      <h2>Who carries the lift</h2>
      {rows.map(({ id, name, share }) => (
        <div key={id} className="line apart">
          <span className="dim">{name}</span>
          <span className="num">{formatQuantity(Math.round(100 * share) / 100, 'percent', units)}</span>
        </div>
      ))}
    </section>
  );
}
