'use client';
/** Runs the shipped simulated stand through its socket: progress, stop, what was whole is kept. */
import { useRef, useState } from 'react';
import { z } from 'zod';
import { benchRowSchema, MOST_RUNS, type BenchBody, type BenchRow } from '@skiametra/core/design';
import { benchPower } from '@skiametra/core/trial';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Take } from './useTake';

export interface RunOptions {
  /** at each step [s] */ hold: number;
  repeats: number;
  /** the scale is set to zero first */ tare: boolean;
}
export interface StandAt {
  run: number;
  step: number;
  steps: number;
  throttle: number;
  /** [N] */ thrust: number;
}
type Runs = ReadonlyMap<number, readonly BenchRow[]>;

const THROTTLES = [0.3, 0.45, 0.6, 0.75, 0.9, 1];
const FIRST_SEED = 11;

/** A step of a run, the word that all is done, or what went wrong. */
const stepSchema = z.object({
  run: z.number(),
  step: z.number(),
  steps: z.number(),
  rows: z.array(benchRowSchema),
});
const lineSchema = z.union([
  stepSchema,
  z.object({ error: z.string() }),
  z.object({ done: z.literal(true) }),
]);
type Step = z.infer<typeof stepSchema>;

/** Why so many runs more do not fit; null where they do. */
export function fullWith(bench: BenchBody, more: number): string | null {
  const full = bench.runs.length + more > MOST_RUNS;
  return full
    ? `A bench test holds ${MOST_RUNS} runs, and this one has ${bench.runs.length}: begin another.`
    : null;
}

export function useStand(bench: BenchBody, take: Take, say: (trouble: string | null) => void) {
  const design = useWorkspace((w) => w.content.document.design);
  const [at, setAt] = useState<StandAt | null>(null);
  const running = useRef<AbortController | null>(null);
  const keep = async (runs: Runs) => {
    const refused = await take((b) => ({ ...b, runs: [...b.runs, ...named(runs, b.runs.length)] }));
    if (refused) say(refused);
  };
  const run = async (options: RunOptions) => {
    const refused = fullWith(bench, options.repeats);
    if (refused) return say(refused);
    const end = new AbortController(),
      runs = new Map<number, BenchRow[]>();
    running.current = end;
    say(null);
    setAt({ run: 0, step: 0, steps: THROTTLES.length, throttle: 0, thrust: 0 });
    const power = benchPower(design, bench.runs.length === 0 ? { ...bench, fitted: undefined } : bench);
    const asked = { power, throttles: THROTTLES, ...options, seed: FIRST_SEED + bench.runs.length };
    try {
      for await (const step of stepsOf(asked, end.signal)) {
        runs.set(step.run, [...(runs.get(step.run) ?? []), ...step.rows]);
        setAt(standAt(step));
      }
      await keep(runs);
    } catch (e) {
      if (!end.signal.aborted) say(e instanceof Error ? e.message : String(e));
      else {
        // the run that was cut short is not one
        runs.delete(Math.max(...runs.keys()));
        say(
          `Stopped; the motor is off. ${runs.size ? 'The runs that were whole are kept.' : 'Nothing was kept.'}`,
        );
        if (runs.size) await keep(runs);
      }
    }
    setAt(null);
  };
  return { at, run, stop: () => running.current?.abort() };
}

function standAt({ run, step, steps, rows }: Step): StandAt {
  const last = rows.at(-1);
  return { run, step: step + 1, steps, throttle: last?.[1] ?? 0, thrust: last?.[4] ?? 0 };
}

function named(runs: Runs, before: number) {
  return [...runs.values()].map((rows, i) => ({
    name: `run ${before + i + 1}`,
    kind: 'log' as const,
    rows: [...rows],
  }));
}

/** What the stand does, step by step. @throws with its own sentence where it fails */
async function* stepsOf(asked: unknown, signal: AbortSignal): AsyncGenerator<Step> {
  const response = await fetch('/api/bench', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    signal,
    body: JSON.stringify(asked),
  });
  if (!response.ok || !response.body) {
    const said = z.object({ message: z.string() }).safeParse(await response.json().catch(() => null));
    throw new Error(said.success ? said.data.message : 'The server does not answer.');
  }
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return;
    const lines = (rest + value).split('\n');
    rest = lines.pop() ?? '';
    for (const text of lines) {
      const line = lineSchema.parse(JSON.parse(text));
      if ('error' in line) throw new Error(line.error);
      if ('run' in line) yield line;
    }
  }
}
