'use client';
/** What to change next, by what it gains. */
import { Button, Checkbox } from '@mantine/core';
import type { Fix } from '@skiametra/core/assess';
import type { Advice } from '@skiametra/core/refine';
import { say } from '@skiametra/core/words';
import { useEffect, useState } from 'react';
import { useSentence } from '../../parts/Sentence';
import { refineSentence } from '../../parts/frame/stationMarks';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';
import { Effects } from './Effects';
import { NextVersion } from './NextVersion';

export function AdviceList() {
  const document = useWorkspace((w) => w.content.document);
  const ledger = useWorkspace((w) => w.ledger);
  const tests = useWorkspace((w) => w.content.tests);
  const versionId = useWorkspace((w) => w.versionId);
  const units = useWorkspace((w) => w.units);
  const words = useSentence();
  const [advice, setAdvice] = useState<Advice[] | null>(null);
  const [picked, setPicked] = useState<Record<string, boolean>>({});
  const [making, setMaking] = useState(false);
  useEffect(() => {
    if (!ledger || ledger.stopped) return;
    const notes = tests
      .filter((t) => t.versionId === versionId && t.body.record.flown)
      .map((t) => ({
        loading: t.body.card.state,
        handling: t.body.record.handling,
        test: t.body.card.title,
      }));
    let live = true;
    void askCore({ task: 'advise', document, ledger, notes }).then(
      (a) => {
        if (live) setAdvice(a);
      },
      () => undefined,
    );
    return () => {
      live = false;
    };
  }, [document, ledger, tests, versionId]);
  const chosen = (advice ?? []).filter((a) => a.fix && (picked[a.id] ?? true));
  const fix: Fix | null = chosen.length
    ? {
        label: say('all-of', { labels: chosen.map((a) => a.fix!.label) }),
        changes: chosen.flatMap((a) => a.fix!.changes),
      }
    : null;
  return (
    <section className="block">
      <h2>What to change next</h2>
      {(advice ?? []).length === 0 && (
        <p className="dim flush">{refineSentence(ledger, advice !== null, units)}</p>
      )}
      {(advice ?? []).map((a) => (
        <div key={a.id} className="finding look">
          <span className="sev">
            {a.fix ? (
              <Checkbox
                aria-label={`Include: ${words(a.fix.label)}`}
                checked={picked[a.id] ?? true}
                onChange={(e) => setPicked({ ...picked, [a.id]: e.currentTarget.checked })}
              />
            ) : (
              '!'
            )}
          </span>
          <div>
            <div>{words(a.said)}</div>
            <div className="dim small">Because {words(a.because)}.</div>
          </div>
        </div>
      ))}
      {fix && <Effects fix={fix} />}
      <Button mt={10} onClick={() => setMaking(true)}>
        Make the next version{fix ? ' with this' : ''}
      </Button>
      <NextVersion
        opened={making}
        onClose={() => setMaking(false)}
        fix={fix}
        reason={chosen.map((a) => `${words(a.fix!.label)}, because ${words(a.because)}.`).join(' ')}
      />
    </section>
  );
}
