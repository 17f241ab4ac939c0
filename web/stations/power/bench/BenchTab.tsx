'use client';
/** The bench: what the drive does on a stand, held against what is computed. */
import { Button, UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import { called } from '../../../parts/called';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { createTestAction } from '../../../server/actions';
import { BenchSheet } from './BenchSheet';
import { useBenchTests, emptyBench } from './benchTests';

export function BenchTab() {
  const tests = useBenchTests();
  const design = useWorkspace((w) => w.content.document.design);
  const versionId = useWorkspace((w) => w.versionId);
  const loading = useWorkspace((w) => w.loading);
  const temperature = useWorkspace((w) => w.content.document.brief.site.temperature);
  const addTest = useWorkspace((w) => w.addTest);
  const [chosen, setChosen] = useState<string | null>(tests[0]?.id ?? null);
  const [error, setError] = useState<string | null>(null);
  const add = async () => {
    const fresh = emptyBench(loading, temperature, `Bench ${tests.length + 1}`, {
      propeller: null,
      pack: null,
      runs: [],
      claim: null,
    });
    const r = await called(createTestAction(versionId, fresh));
    if (r.status === 'refused') setError(r.message);
    else {
      addTest(r.value);
      setChosen(r.value.id);
      setError(null);
    }
  };
  const name = (id: string | null, fallback: string) =>
    (design.swaps ?? []).find((s) => s.id === id)?.label ?? fallback;
  const test = tests.find((t) => t.id === chosen) ?? tests[0];
  return (
    <div className="station two cols-benchtab">
      <section className="block">
        <h2>On the stand</h2>
        {tests.length === 0 && (
          <p className="dim">
            No bench test yet. Makers’ figures are taken cold and rounded up; ten minutes on the stand tell.
          </p>
        )}
        {tests.map((t) => (
          <UnstyledButton
            key={t.id}
            className={`reading ${t.id === test?.id ? 'chosen' : ''}`}
            aria-pressed={t.id === test?.id}
            onClick={() => setChosen(t.id)}
            style={{ padding: '8px 6px' }}
          >
            <span className={t.body.bench.runs.length ? 'measuredtext' : 'predictedtext'} aria-hidden="true">
              {t.body.bench.runs.length ? '●' : '◇'}
            </span>{' '}
            {t.body.card.title}
            <div className="dim tiny">
              {name(t.body.bench.propeller, 'propeller as designed')},{' '}
              {name(t.body.bench.pack, 'pack as designed')}
            </div>
          </UnstyledButton>
        ))}
        <Button mt={10} variant="light" onClick={() => void add()}>
          New bench test
        </Button>
        {error && (
          <div role="alert" className="stoptext">
            {error}
          </div>
        )}
      </section>
      {test ? <BenchSheet key={test.id} test={test} /> : <div />}
    </div>
  );
}
