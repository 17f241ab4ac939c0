'use client';
/** One bench test: what was set up, its runs, what they say. */
import { DateField } from '../../../parts/dates/DateField';
import { NativeSelect } from '@mantine/core';
import type { BenchBody } from '@skiametra/core/design';
import type { BenchResult } from '@skiametra/core/trial';
import { useEffect, useState } from 'react';
import { OriginalFiles } from '../../../parts/OriginalFiles';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { TextCell } from '../../../parts/fields/TextCell';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { askCore } from '../../../workers/coreClient';
import { BenchCharts } from './BenchCharts';
import { Runner } from './Runner';
import { Runs } from './Runs';
import { Teaches } from './Teaches';
import type { BenchTest } from './benchTests';
import { useTake } from './useTake';

/** Reduces the readings whenever they, or the design, change. */
function useResult(bench: BenchBody, temperature: number): BenchResult | null {
  const document = useWorkspace((w) => w.content.document);
  const [result, setResult] = useState<BenchResult | null>(null);
  useEffect(() => {
    let here = true;
    askCore<'bench'>({ task: 'bench', document, bench, temperature }).then(
      (r) => {
        if (here) setResult(r);
      },
      () => {
        if (here) setResult(null);
      },
    );
    return () => {
      here = false;
    };
  }, [document, bench, temperature]);
  return result;
}

export function BenchSheet({ test }: { test: BenchTest }) {
  const { id, body } = test,
    bench = body.bench,
    P = `tests.${id}.body`;
  const document = useWorkspace((w) => w.content.document);
  const edit = useWorkspace((w) => w.edit);
  const result = useResult(bench, body.record.temperature);
  const swaps = document.design.swaps ?? [];
  const take = useTake(id);
  const claim = bench.claim ?? { thrust: null, current: null, volts: null };
  const setClaim = (patch: Partial<typeof claim>) => {
    const c = { ...claim, ...patch };
    return edit({
      type: 'set',
      path: `${P}.bench.claim`,
      value: c.thrust === null && c.current === null && c.volts === null ? null : c,
    });
  };
  const options = (kind: 'propeller' | 'pack', own: string) => [
    { value: '', label: own },
    ...swaps.filter((s) => s.kind === kind).map((s) => ({ value: s.id, label: s.label })),
  ];
  return (
    <div className="cols cols-benchtab2 gap16">
      <div className="stack">
        <section className="block">
          <div className="strong mb8">
            <TextCell label="Title of the bench test" path={`${P}.card.title`} />
          </div>
          <div className="fields three">
            <NativeSelect
              label="Propeller on the stand"
              value={bench.propeller ?? ''}
              onChange={(e) => {
                const propeller = e.currentTarget.value || null;
                void take((b) => ({ ...b, propeller }));
              }}
              data={options('propeller', 'as designed')}
            />
            <NativeSelect
              label="Pack"
              value={bench.pack ?? ''}
              onChange={(e) => {
                const pack = e.currentTarget.value || null;
                void take((b) => ({ ...b, pack }));
              }}
              data={options('pack', 'as designed')}
            />
            <DateField
              label="Date"
              value={body.record.date}
              onChange={(date) => edit({ type: 'set', path: `${P}.record.date`, value: date })}
            />
            <QuantityField
              label="Air"
              kind="temperature"
              value={body.record.temperature}
              onCommit={(si) => edit({ type: 'set', path: `${P}.record.temperature`, value: si })}
            />
            <QuantityField
              label="Maker claims, thrust"
              kind="force"
              value={claim.thrust}
              onCommit={(si) => setClaim({ thrust: si })}
              onClear={() => setClaim({ thrust: null })}
            />
            <QuantityField
              label="at a current of"
              kind="current"
              value={claim.current}
              onCommit={(si) => setClaim({ current: si })}
              onClear={() => setClaim({ current: null })}
            />
            <QuantityField
              label="and volts"
              kind="voltage"
              value={claim.volts}
              onCommit={(si) => setClaim({ volts: si })}
              onClear={() => setClaim({ volts: null })}
            />
          </div>
        </section>
        <Runner testId={id} bench={bench} take={take} />
        {result && result.steps.length > 0 && <BenchCharts result={result} />}
        <Runs bench={bench} take={take} path={`${P}.bench.runs`} />
        <OriginalFiles testId={id} stamp={bench.runs.length} />
      </div>
      <div className="stack">
        {result && result.points.length > 0 ? (
          <Teaches result={result} bench={bench} />
        ) : (
          <p className="dim">
            Run the stand, open a CSV, or type a table: throttle, volts, amps, thrust, rpm, with the motor
            stopped at the start and the end.
          </p>
        )}
      </div>
    </div>
  );
}
