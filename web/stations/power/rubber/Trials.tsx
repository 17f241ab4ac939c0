'use client';
/** Other motors and propellers tried in the computation. */
import { RUBBER } from '../../../parts/paths';
import { Button } from '@mantine/core';
import type { RubberTrial } from '@skiametra/core/power';
import { formatQuantity } from '@skiametra/core/units';
import { useState } from 'react';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { askCore } from '../../../workers/coreClient';

/** What a builder would try next, each flown on paper. */
export function Trials() {
  const document = useWorkspace((w) => w.content.document);
  const loading = useWorkspace((w) => w.loading);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const [found, setFound] = useState<{ of: unknown; list: RubberTrial[] } | null>(null);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const ask = async () => {
    setBusy(true);
    setTrouble(null);
    try {
      setFound({
        of: document,
        list: await askCore<'rubberAdvice'>({ task: 'rubberAdvice', document, loading }),
      });
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    }
    setBusy(false);
  };
  return (
    <section className="block" aria-label="What to try next">
      <h2>What to try next</h2>
      <Button variant="light" size="xs" loading={busy} onClick={() => void ask()}>
        {found ? 'Fly them again' : 'Fly the usual changes on paper'}
      </Button>
      {trouble && (
        <p className="stoptext" role="alert">
          {trouble}
        </p>
      )}
      {found && found.of !== document && (
        <div className="dim small">For the motor before your last change.</div>
      )}
      {found?.list.map((t) => (
        <div key={t.id} className="pad4 ruled note">
          <div>
            {t.label}: <b className="num">{formatQuantity(t.time, 'time', units)}</b>,{' '}
            {t.touched ? 'meets the ceiling' : `up to ${formatQuantity(t.peak, 'distance', units)}`}.
          </div>
          <Button
            size="compact-xs"
            variant="default"
            onClick={() =>
              edit({
                type: 'apply',
                changes: t.change.map((c) => ({ path: `${RUBBER}.${c.path}`, value: c.value })),
              })
            }
          >
            Do it
          </Button>
        </div>
      ))}
    </section>
  );
}
