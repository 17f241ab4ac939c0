'use client';
import { Button, UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import { called } from '../../parts/called';
import { DateWords } from '../../parts/dates/DateWords';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { createTestAction } from '../../server/actions';
import { TestSheet } from './TestSheet';
import { emptyBody } from './card';

export function Test() {
  const all = useWorkspace((w) => w.content.tests);
  const versionId = useWorkspace((w) => w.versionId);
  const loading = useWorkspace((w) => w.loading);
  const temperature = useWorkspace((w) => w.content.document.brief.site.temperature);
  const design = useWorkspace((w) => w.content.document.design);
  const addTest = useWorkspace((w) => w.addTest);
  const tests = all.filter((t) => t.versionId === versionId && !t.body.bench && !t.body.load);
  const benched = all.filter((t) => t.versionId === versionId && t.body.bench).length;
  const [chosen, setChosen] = useState<string | null>(
    tests.find((t) => !t.body.record.flown)?.id ?? tests[0]?.id ?? null,
  );
  const [error, setError] = useState<string | null>(null);
  const add = async () => {
    const r = await called(createTestAction(versionId, emptyBody(design, loading, temperature)));
    if (r.status === 'refused') setError(r.message);
    else {
      addTest(r.value);
      setChosen(r.value.id);
      setError(null);
    }
  };
  const test = tests.find((t) => t.id === chosen) ?? tests[0];
  return (
    <div className="station two field-friendly cols-test">
      <section className="block">
        <h2>Cards and flights</h2>
        {tests.length === 0 && (
          <p className="dim">No card yet. Plan the first flight: what is to be learnt, and when to stop.</p>
        )}
        {tests.map((t) => (
          <UnstyledButton
            key={t.id}
            className={`reading ${t.id === test?.id ? 'chosen' : ''}`}
            aria-pressed={t.id === test?.id}
            onClick={() => setChosen(t.id)}
            style={{ padding: '8px 6px' }}
          >
            <span className={t.body.record.flown ? 'measuredtext' : 'predictedtext'} aria-hidden="true">
              {t.body.record.flown ? '●' : '◇'}
            </span>{' '}
            {t.body.card.title || 'Untitled'}
            <div className="dim tiny">
              {t.body.record.flown ? (
                <>
                  flown <DateWords iso={t.body.record.date} />
                </>
              ) : (
                'planned'
              )}
            </div>
          </UnstyledButton>
        ))}
        <Button mt={10} variant="light" onClick={() => void add()}>
          Plan a flight
        </Button>
        {benched > 0 && (
          <p className="dim small">
            {benched} bench test{benched > 1 ? 's' : ''} of this version: under Power, Bench.
          </p>
        )}
        {error && (
          <div role="alert" className="stoptext">
            {error}
          </div>
        )}
      </section>
      {test ? <TestSheet key={test.id} id={test.id} body={test.body} /> : <div />}
    </div>
  );
}
