'use client';
/** Load tests: what was planned, what was held, what it proves. */
import { Button, UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import { heldTo } from '@skiametra/core/trial';
import { called } from '../../../parts/called';
import { DateWords } from '../../../parts/dates/DateWords';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { createTestAction } from '../../../server/actions';
import { LoadSheet } from './LoadSheet';
import { emptyLoad, useLoadTests, type LoadCard } from './loadTests';

function Outcome({ body: { load, record } }: LoadCard) {
  if (load.broke) return <>broke at {load.broke.n.toFixed(1)} g</>;
  if (load.held > 0)
    return (
      <>
        held {heldTo(load).toFixed(1)} g, <DateWords iso={record.date} />
      </>
    );
  return <>{load.plan ? 'planned' : 'not planned yet'}</>;
}

export function LoadTab() {
  const tests = useLoadTests(),
    versionId = useWorkspace((w) => w.versionId),
    state = useWorkspace((w) => w.loading),
    temperature = useWorkspace((w) => w.content.document.brief.site.temperature),
    to = useWorkspace((w) => w.content.document.design.structure.requiredLoadFactor),
    addTest = useWorkspace((w) => w.addTest),
    [chosen, setChosen] = useState<string | null>(null),
    [error, setError] = useState<string | null>(null);
  const add = async () => {
    const r = await called(
      createTestAction(versionId, emptyLoad(state, temperature, `Load test ${tests.length + 1}`, to)),
    );
    if (r.status === 'refused') setError(r.message);
    else {
      addTest(r.value);
      setChosen(r.value.id);
      setError(null);
    }
  };
  const test = tests.find((t) => t.id === chosen) ?? tests[tests.length - 1];
  return (
    <div className="cols cols-load">
      <section className="block">
        <h2>Under load</h2>
        {tests.length === 0 && (
          <p className="dim">
            No load test yet. A wing that is computed is believed once it has held what is asked on the bench.
          </p>
        )}
        {tests.map((t) => (
          <UnstyledButton
            key={t.id}
            className={`reading ${t.id === test?.id ? 'chosen' : ''}`}
            aria-pressed={t.id === test?.id}
            onClick={() => setChosen(t.id)}
          >
            <span className={t.body.load.held > 0 ? 'measuredtext' : 'predictedtext'} aria-hidden="true">
              {t.body.load.held > 0 ? '●' : '◇'}
            </span>{' '}
            {t.body.card.title}
            <div className="dim tiny">
              <Outcome {...t} />
            </div>
          </UnstyledButton>
        ))}
        <Button mt={10} variant="light" onClick={() => void add()}>
          Plan a load test
        </Button>
        {error && (
          <div role="alert" className="stoptext">
            {error}
          </div>
        )}
      </section>
      {test ? <LoadSheet key={test.id} test={test} /> : <div />}
    </div>
  );
}
