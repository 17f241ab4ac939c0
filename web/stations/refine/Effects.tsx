'use client';
/** What a change does to every number. */
import { quantityDef, type Fix } from '@skiametra/core/assess';
import type { Effect } from '@skiametra/core/refine';
import { formatQuantity } from '@skiametra/core/units';
import { say } from '@skiametra/core/words';
import { useEffect, useState } from 'react';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';

const SHOWN_EFFECTS = 9;

/** What the change does to everything else, worst loading first. */
export function Effects({ fix }: { fix: Fix }) {
  const document = useWorkspace((w) => w.content.document);
  const units = useWorkspace((w) => w.units);
  const loading = useWorkspace((w) => w.loading);
  const [effects, setEffects] = useState<Effect[] | null>(null);
  const key = JSON.stringify(fix.changes);
  useEffect(() => {
    let live = true;
    void askCore({
      task: 'effect',
      document,
      fix: { label: say('all-of', { labels: [] }), changes: JSON.parse(key) as Fix['changes'] },
    }).then(
      (e) => {
        if (live) setEffects(e);
      },
      () => undefined,
    );
    return () => {
      live = false;
    };
  }, [document, key]);
  if (!effects) return <p className="dim">Working out what else changes …</p>;
  // what it scores first, then what is asked
  const askedFor = new Set(document.brief.requirements.map((r) => r.quantity)),
    rank = (id: string) => (id === 'bestScore' || id === 'score' ? 0 : askedFor.has(id) ? 1 : 2);
  const rows = effects
    .filter((e) => e.state === loading || e.state === 'all')
    .sort((a, b) => rank(a.id) - rank(b.id))
    .slice(0, SHOWN_EFFECTS);
  return (
    <div className="mt8">
      <div className="dim note">
        What that does to everything else ({effects.length} numbers move; here those of the whole design and
        the state in view):
      </div>
      <table className="sheet" aria-label="Effect of the change">
        <tbody>
          {rows.map((e) => {
            const d = quantityDef(e.id)!;
            const better = d.better === 'none' ? null : (d.better === 'more') === e.after > e.before;
            return (
              <tr key={`${e.id}${e.state}`}>
                <td>{d.name}</td>
                <td className="num dim">{formatQuantity(e.before, d.kind, units)}</td>
                <td className="num">{formatQuantity(e.after, d.kind, units)}</td>
                <td className={`w60 ${better === null ? 'dim' : better ? 'finetext' : 'stoptext'}`}>
                  {better === null ? '' : better ? 'better' : 'worse'}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {rows.length === 0 && <div className="dim">Nothing in this state moves by more than a thousandth.</div>}
    </div>
  );
}
