'use client';
/** A run at the simulated stand, step by step. */
import { Button, Checkbox, FileButton, NumberInput } from '@mantine/core';
import { MOST_RUNS, type BenchBody, type BenchRow } from '@skiametra/core/design';
import { benchPower } from '@skiametra/core/trial';
import { formatNumber } from '@skiametra/core/units';
import { MAX_BENCH_BYTES, parseBenchCsv } from '@skiametra/formats';
import { useRef, useState } from 'react';
import { keepOriginal } from '../../../parts/originals';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Take } from './useTake';

/** Runs the shipped simulated stand through its socket, with progress and stop. */
export function Runner({ testId, bench, take }: { testId: string; bench: BenchBody; take: Take }) {
  const design = useWorkspace((w) => w.content.document.design);
  const [hold, setHold] = useState<number | string>(6);
  const [repeats, setRepeats] = useState<number | string>(3);
  const [tare, setTare] = useState(true);
  const [at, setAt] = useState<{
    run: number;
    step: number;
    steps: number;
    throttle: number;
    thrust: number;
  } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const stop = useRef<AbortController | null>(null);
  const full = (more: number) =>
    bench.runs.length + more > MOST_RUNS
      ? `A bench test holds ${MOST_RUNS} runs, and this one has ${bench.runs.length}: begin another.`
      : null;
  const run = async () => {
    const refused = full(Number(repeats) || 1);
    if (refused) return setTrouble(refused);
    const end = new AbortController(),
      runs = new Map<number, BenchRow[]>();
    stop.current = end;
    setTrouble(null);
    setAt({ run: 0, step: 0, steps: 8, throttle: 0, thrust: 0 });
    const power = benchPower(design, bench.runs.length === 0 ? { ...bench, fitted: undefined } : bench);
    try {
      const response = await fetch('/api/bench', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        signal: end.signal,
        body: JSON.stringify({
          power,
          throttles: [0.3, 0.45, 0.6, 0.75, 0.9, 1],
          hold: Number(hold) || 6,
          repeats: Number(repeats) || 1,
          tare,
          seed: 11 + bench.runs.length,
        }),
      });
      if (!response.ok || !response.body)
        throw new Error(
          ((await response.json().catch(() => null)) as { message?: string } | null)?.message ??
            'The server does not answer.',
        );
      let rest = '';
      const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
      for (;;) {
        const { value, done } = await reader.read();
        if (done) break;
        rest += value;
        const lines = rest.split('\n');
        rest = lines.pop()!;
        for (const line of lines) {
          const e = JSON.parse(line) as {
            run?: number;
            step: number;
            steps: number;
            rows: BenchRow[];
            error?: string;
          };
          if (e.error) throw new Error(e.error);
          if (e.run === undefined) continue;
          runs.set(e.run, [...(runs.get(e.run) ?? []), ...e.rows]);
          const last = e.rows[e.rows.length - 1];
          setAt({
            run: e.run,
            step: e.step + 1,
            steps: e.steps,
            throttle: last?.[1] ?? 0,
            thrust: last?.[4] ?? 0,
          });
        }
      }
      await keep(runs);
    } catch (e) {
      if (end.signal.aborted) {
        setTrouble(
          runs.size > 1
            ? 'Stopped; the motor is off. The runs that were whole are kept.'
            : 'Stopped; the motor is off and nothing was kept.',
        );
        runs.delete(Math.max(...runs.keys()));
        if (runs.size) await keep(runs);
      } else setTrouble(e instanceof Error ? e.message : String(e));
    }
    setAt(null);
  };
  const keep = async (runs: Map<number, BenchRow[]>) => {
    const refused = await take((b) => ({
      ...b,
      runs: [
        ...b.runs,
        ...[...runs.values()].map((rows, i) => ({
          name: `run ${b.runs.length + i + 1}`,
          kind: 'log' as const,
          rows,
        })),
      ],
    }));
    if (refused) setTrouble(refused);
  };
  const open = (f: File | null) => {
    if (!f) return;
    if (f.size > MAX_BENCH_BYTES) {
      setTrouble(`${f.name} is larger than ${MAX_BENCH_BYTES / 1e6} MB; nothing was taken.`);
      return;
    }
    void f.text().then(async (t) => {
      const r = parseBenchCsv(t);
      if (r.status === 'error') {
        setTrouble(`${f.name} was not taken. ${r.message}`);
        return;
      }
      const kind = r.rows.length > 40 ? ('log' as const) : ('table' as const);
      const refused =
        full(1) ??
        (await take((b) => ({
          ...b,
          runs: [...b.runs, { name: f.name.slice(0, 80), kind, rows: r.rows }],
        })));
      setTrouble(refused ?? r.remarks[0] ?? (await keepOriginal(testId, f)));
    });
  };
  return (
    <section className="block" aria-label="Run the stand">
      <h2>Run the stand</h2>
      <div className="line gap8 low wraps">
        {at ? (
          <>
            <progress
              value={at.run * at.steps + at.step}
              max={at.steps * (Number(repeats) || 1)}
              aria-label="Progress of the run"
            />
            <span className="num note">
              run {at.run + 1}, {formatNumber(100 * at.throttle, 3)} %, scale {formatNumber(at.thrust, 3)} N
            </span>
            <Button color="red" onClick={() => stop.current?.abort()}>
              Stop the motor
            </Button>
          </>
        ) : (
          <>
            <Button onClick={() => void run()}>Run the simulated stand</Button>
            <NumberInput
              aria-label="Runs"
              w={84}
              size="xs"
              min={1}
              max={5}
              value={repeats}
              onChange={setRepeats}
              suffix=" runs"
            />
            <NumberInput
              aria-label="Seconds a step"
              w={104}
              size="xs"
              min={1}
              max={20}
              value={hold}
              onChange={setHold}
              suffix=" s a step"
            />
            <Checkbox label="Tare first" checked={tare} onChange={(e) => setTare(e.currentTarget.checked)} />
            <FileButton
              onChange={open}
              accept=".csv,.txt,text/csv"
              inputProps={{ 'aria-label': 'Bench file' }}
            >
              {(p) => (
                <Button variant="default" {...p}>
                  Open a CSV
                </Button>
              )}
            </FileButton>
            <Button
              variant="default"
              onClick={() =>
                void take((b) => ({
                  ...b,
                  runs: [
                    ...b.runs,
                    {
                      name: `table ${b.runs.length + 1}`,
                      kind: 'table' as const,
                      rows: [
                        [0, 0, 16.8, 0, 0, 0, null],
                        [10, 1, 16, 10, 8, 700, null],
                      ] as BenchRow[],
                    },
                  ],
                })).then(setTrouble)
              }
            >
              Type a table
            </Button>
          </>
        )}
      </div>
      {trouble && (
        <div role="alert" className="stoptext mt8">
          {trouble}
        </div>
      )}
    </section>
  );
}
