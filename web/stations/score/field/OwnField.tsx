'use client';
/** Versions of this project against each other, the best of them standing for the best of the field. */
import { Button } from '@mantine/core';
import type { Entrant, FieldResult } from '@skiametra/core/assess';
import { formatNumber } from '@skiametra/core/units';
import { useState } from 'react';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { fieldOf } from '../../../workers/studyClient';

type Row = FieldResult['rows'][number];

/** So many versions enter, the newest. */
const MOST = 20;

function useField() {
  const brief = useWorkspace((w) => w.content.document.brief),
    versions = useWorkspace((w) => w.versions),
    versionId = useWorkspace((w) => w.versionId),
    own = useWorkspace((w) => w.content.document),
    documentOf = useWorkspace((w) => w.documentOf),
    [found, setFound] = useState<{ result: FieldResult; of: unknown } | null>(null),
    [busy, setBusy] = useState(false),
    [trouble, setTrouble] = useState<string | null>(null);
  const run = async () => {
    setBusy(true);
    setTrouble(null);
    try {
      const entrants: Entrant[] = [];
      for (const v of versions.filter((x) => x.id > 0).slice(-MOST)) {
        const doc = v.id === versionId ? own : await documentOf(v.id);
        if (doc) entrants.push({ name: v.name, design: doc.design, calibration: doc.calibration });
      }
      setFound({ result: await fieldOf({ brief, entrants }), of: own });
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    }
    setBusy(false);
  };
  return { found: found?.result ?? null, stale: found !== null && found.of !== own, busy, trouble, run };
}

export function OwnField() {
  const { found, stale, busy, trouble, run } = useField();
  return (
    <section className="block" aria-label="Your versions as the field">
      <h2>Your versions as the field</h2>
      <p className="flush">
        Every version of this project enters under the rules of this brief. The best of them stands for the
        best of the field, each flies the state that then scores most, until nothing changes.
      </p>
      <div className="line gap8 mt8">
        <Button onClick={() => void run()} loading={busy}>
          {found ? 'Score them again' : 'Score them'}
        </Button>
        {stale && <span className="looktext small">Scored before the last change.</span>}
      </div>
      {trouble && (
        <p role="alert" className="stoptext note">
          {trouble}
        </p>
      )}
      {found && <Result found={found} />}
    </section>
  );
}

function Result({ found }: { found: FieldResult }) {
  const tasks = useWorkspace((w) => w.content.document.brief.tasks),
    states = useWorkspace((w) => w.content.document.design.states);
  const columns: ShownColumn<Row>[] = [
    { key: 'place', label: 'Place', kind: 'count', value: (_, i) => i + 1 },
    { key: 'name', label: 'Version', fixed: true, value: (r) => r.name },
    { key: 'state', label: 'Flown as', value: (r) => states.find((s) => s.id === r.state)?.name ?? r.state },
    { key: 'score', label: 'Score', kind: 'points', value: (r) => r.score },
    ...tasks.map((t): ShownColumn<Row> => ({
      key: t.id,
      label: t.name,
      kind: 'points',
      value: (r) => r.points[t.id] ?? null,
    })),
  ];
  const figures = Object.entries(found.figures).map(([name, v]) => `${name} ${formatNumber(v, 4)}`);
  return (
    <>
      <ShownTable name="Versions as the field" rows={found.rows} rowKey={(r) => r.name} columns={columns} />
      <p className="note">
        The field comes to {figures.join(', ')}
        {found.status === 'settled'
          ? `, after ${found.rounds} rounds.`
          : ': it goes round in circles and does not settle.'}
      </p>
      {found.typed.length > 0 && (
        <p className="dim note">
          {found.typed.join(', ')}: no formula says what of ours it is the best of, so the typed figure
          stands.
        </p>
      )}
      {found.out.map((o) => (
        <p key={o.name} className="looktext note">
          {o.name} does not enter: {o.why}.
        </p>
      ))}
    </>
  );
}
