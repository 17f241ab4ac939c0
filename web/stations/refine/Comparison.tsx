'use client';
/** Versions side by side: what was changed, what it did. */
import { quantityDef } from '@skiametra/core/assess';
import type { Explained } from '@skiametra/core/refine';
import { formatQuantity, formatSpread } from '@skiametra/core/units';
import { useEffect, useState } from 'react';
import { changeWords } from '../../parts/changeWords';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';

const pathName = (path: string) =>
  path
    .replace(/^design\./, '')
    .replace(/^brief\./, 'brief ')
    .replace(/\./g, ' › ');
/** This version against the compared one, each difference explained by the inputs that changed. */
export function Comparison() {
  const againstId = useWorkspace((w) => w.againstId);
  const versions = useWorkspace((w) => w.versions);
  const versionId = useWorkspace((w) => w.versionId);
  const document = useWorkspace((w) => w.content.document);
  const loading = useWorkspace((w) => w.loading);
  const units = useWorkspace((w) => w.units);
  const [rows, setRows] = useState<Explained[] | null>(null);
  const other = versions.find((v) => v.id === againstId),
    before = other?.document ?? null;
  const me = versions.find((v) => v.id === versionId)!;
  useEffect(() => {
    if (!before) {
      setRows(null);
      return;
    }
    let live = true;
    const watch = document.brief.watch;
    const keys = [
      ...new Set([
        ...watch,
        ...[
          'staticMargin',
          'cgX',
          'mass',
          'stallSpeed',
          'groundRun',
          'climbRate',
          'lapTime',
          'energyLeft',
          'allowedLoadFactor',
          'score',
        ].map((q) => `${q}@${loading}`),
        'neutralPoint@all',
        'bestScore@all',
        'dragArea@all',
      ]),
    ];
    void askCore({ task: 'explain', before, after: document, keys }).then(
      (r) => {
        if (live) setRows(r);
      },
      () => undefined,
    );
    return () => {
      live = false;
    };
  }, [before, document, loading]);
  if (!other) return me.reason ? <p className="dim">Why this version: {me.reason}</p> : null;
  const moved =
    rows?.filter((r) => Math.abs(r.after - r.before) > 1e-3 * Math.max(Math.abs(r.before), 1e-9)) ?? [];
  return (
    <section className="block">
      <h2>
        {me.name} against {other.name}
      </h2>
      {me.reason && <p className="below8">{me.reason}</p>}
      {!rows && <p className="dim">Comparing …</p>}
      {rows && moved.length === 0 && (
        <p className="dim">No watched number differs by more than a thousandth.</p>
      )}
      {moved.length > 0 && (
        <div className="scrollx">
          <table className="sheet" aria-label="Comparison of versions">
            <thead>
              <tr>
                <th>Quantity</th>
                <th className="num">{other.name}</th>
                <th className="num">{me.name}</th>
                <th>Because</th>
              </tr>
            </thead>
            <tbody>
              {moved.map((r) => {
                const d = quantityDef(r.id)!;
                return (
                  <tr key={`${r.id}${r.state}`}>
                    <td>
                      {d.name}{' '}
                      <span className="dim tiny">
                        {document.design.states.find((l) => l.id === r.state)?.name ?? ''}
                      </span>
                    </td>
                    <td className="num dim">{formatQuantity(r.before, d.kind, units)}</td>
                    <td className="num">{formatQuantity(r.after, d.kind, units)}</td>
                    <td className="small">
                      {r.steps
                        .filter((s) => Math.abs(s.delta) > 0.03 * Math.abs(r.after - r.before))
                        .map((s) => (
                          <div key={s.path}>
                            {s.delta > 0 ? '+' : '−'}
                            {formatSpread(Math.abs(s.delta), d.kind, units, r.after)} from{' '}
                            {s.path === 'calibration'
                              ? 'what the tests taught'
                              : `${pathName(s.path)} (${changeWords(s.changes, s.path, units)})`}
                          </div>
                        ))}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
