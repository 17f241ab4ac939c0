'use client';
import type { UnderRules as Row } from '@skiametra/core/assess';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useSentence } from '../../../parts/Sentence';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

/** Rules side by side: the best state under each, and every state's score. */
export function UnderRules({ rows, busy }: { rows: readonly Row[]; busy: boolean }) {
  const states = useWorkspace((w) => w.content.document.design.states),
    words = useSentence(),
    [written] = rows,
    sound = rows.filter((r) => r.wrong === null),
    best = sound.reduce<Row | null>((a, r) => (a === null || r.score > a.score ? r : a), null);
  const columns: ShownColumn<(typeof states)[number]>[] = [
    { key: 'name', label: 'State', fixed: true, value: (s) => s.name },
    ...sound.map((r): ShownColumn<(typeof states)[number]> => ({
      key: r.id,
      label: r.name,
      kind: 'points',
      value: (s) => r.scores[s.id] ?? null,
      render: (s) => (
        <span
          className={`num${r.state === s.id ? ' bestmark' : ''}`}
          title={(r.blocked[s.id] ?? []).map((b) => words(b)).join('; ')}
        >
          {(r.scores[s.id] ?? 0).toFixed(1)}
          {r.state === s.id ? ' ◆' : ''}
          {(r.blocked[s.id]?.length ?? 0) > 0 ? ' ▲' : ''}
        </span>
      ),
    })),
  ];
  return (
    <section className="block" aria-label="Rules side by side" aria-busy={busy}>
      <h2>Rules side by side</h2>
      {best && written && best.id !== written.id && best.score > written.score ? (
        <p className="flush">
          <b>{best.name}</b> suits this aircraft best: {best.score.toFixed(1)} points,{' '}
          {(best.score - written.score).toFixed(1)} more than as written.
        </p>
      ) : (
        sound.length > 1 && <p className="flush">None of the others brings more than the rules as written.</p>
      )}
      <ShownTable
        name="Scores under every set of rules"
        rows={states}
        rowKey={(s) => s.id}
        columns={columns}
      />
      {rows.flatMap((r) =>
        r.wrong === null
          ? []
          : [
              <p key={r.id} className="looktext note">
                {r.name}: {r.wrong}
              </p>,
            ],
      )}
      <p className="dim note">
        ◆ scores most under these rules; ▲ cannot be flown, and scores nothing that it flies for.
      </p>
    </section>
  );
}
