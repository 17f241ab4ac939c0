'use client';
/** What the fit made of each test: what it taught, what lies far from the rest, what teaches nothing and why. */
import { quantityDef } from '@skiametra/core/assess';
import { FACTORS } from '@skiametra/core/design';
import type { CalibrationResult, FitRow } from '@skiametra/core/refine';
import { logQuantity } from '@skiametra/core/trial';
import { formatNumber } from '@skiametra/core/units';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

type Updated = Extract<CalibrationResult, { status: 'updated' }>;

const named = (id: string) => quantityDef(id)?.name ?? logQuantity(id)?.name ?? id;

function useTitles(): (id: string | null) => string {
  const tests = useWorkspace((w) => w.content.tests);
  return (id) => tests.find((t) => t.id === id)?.body.card.title || 'a test without a title';
}

export function Lessons({ result }: { result: Updated }) {
  const title = useTitles();
  return (
    <div className="stack gap8 over8">
      <h3 className="flush">What each test taught</h3>
      {result.lessons.map((l) => (
        <div key={l.test} className="small">
          <b>{title(l.test)}</b>:{' '}
          {l.factors.length === 0
            ? 'nothing that the others do not say'
            : l.factors
                .map((f) => {
                  const name = FACTORS.find((x) => x.id === f.factor)!.name.toLowerCase();
                  const [from, to] = [formatNumber(f.from, 3), formatNumber(f.to, 3)],
                    moved = from === to ? 'stays' : `${from} → ${to}`;
                  return `${name} ${moved}, its spread ${(100 * f.narrowed).toFixed(0)} % less`;
                })
                .join('; ')}
        </div>
      ))}
      <Far rows={result.rows.filter((r) => r.outlier)} />
      <Unattributed result={result} />
    </div>
  );
}

function Far({ rows }: { rows: readonly FitRow[] }) {
  const title = useTitles();
  if (rows.length === 0) return null;
  return (
    <div className="caution">
      Far from what was expected, and worth a second look. Kept; what lies far from all the rest counts less:
      {rows.map((r) => (
        <div key={`${r.test} ${r.quantity} ${r.state} ${r.source}`} className="small">
          {named(r.quantity)}, {r.source}, {title(r.test)}: {Math.abs(r.surprise).toFixed(1)} sigma{' '}
          {r.surprise > 0 ? 'above' : 'below'}, counts {(100 * r.weight).toFixed(0)} %
        </div>
      ))}
    </div>
  );
}

/** By the reason, each name once. */
function Unattributed({ result }: { result: Updated }) {
  const reasons = new Map<string, Set<string>>();
  for (const u of result.unused)
    reasons.set(u.reason, (reasons.get(u.reason) ?? new Set()).add(named(u.quantity)));
  if (reasons.size === 0) return null;
  return (
    <details className="behind">
      <summary>Kept, but teaching nothing: {result.unused.length} readings</summary>
      {[...reasons].map(([reason, names]) => (
        <div key={reason}>
          <b>{[...names].join(', ')}</b>: {reason}
        </div>
      ))}
    </details>
  );
}
