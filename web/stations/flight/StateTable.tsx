'use client';
/** Flight in every state. */
import { entryOf, QUANTITIES, type QuantityId } from '@skiametra/core/assess';
import { formatValue, shownUnit, unitLabel } from '@skiametra/core/units';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

/** Every state beside the others; columns that none of them has are left out. */
export function StateTable({ columns: asked }: { columns: readonly QuantityId[] }) {
  const ledger = useWorkspace((w) => w.ledger);
  const states = useWorkspace((w) => w.content.document.design.states);
  const loading = useWorkspace((w) => w.loading);
  const units = useWorkspace((w) => w.units);
  const setWhy = useWorkspace((w) => w.setWhy);
  const strip = useWorkspace((w) => w.content.document.brief.site.stripLength);
  if (!ledger || ledger.stopped) return null;
  const columns = asked.filter((c) => states.some((l) => entryOf(ledger, c, l.id)));
  return (
    <section className="block">
      <h2>Every state</h2>
      <div
        className="scrollx"
        // scrolled by keys too
        tabIndex={0}
        role="region"
        aria-label="Every state: all columns"
      >
        <table className="sheet wrapped">
          <thead>
            <tr>
              <th className="w64">State</th>
              {columns.map((c) => {
                const d = QUANTITIES[c];
                const u = unitLabel(shownUnit(d.kind, units));
                return (
                  <th key={c} className="num">
                    {d.name}
                    {u ? ` [${u}]` : ''}
                  </th>
                );
              })}
            </tr>
          </thead>
          <tbody>
            {states.map((l) => (
              <tr key={l.id} className={l.id === loading ? 'chosen' : ''}>
                <td>{l.name}</td>
                {columns.map((c) => {
                  const e = entryOf(ledger, c, l.id);
                  if (!e)
                    return (
                      <td key={c} className="num dim">
                        –
                      </td>
                    );
                  return (
                    <td
                      key={c}
                      className={`num clickable ${c === 'groundRun' && e.value > strip ? 'stoptext' : ''}`}

                      onClick={() => setWhy({ id: c, state: l.id })}
                    >
                      {formatValue(e.value, e.kind, units)}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
