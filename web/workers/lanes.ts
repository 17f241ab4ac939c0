/** Lanes: each is a worker that does one job after another; jobs spread over a few of them can be stopped. */
import type { Answers, Job, Reply } from './jobs';

/** The person stopped it. */
export class Stopped extends Error {
  constructor() {
    super('Stopped.');
  }
}

export class Lane {
  private worker: Worker | null = null;
  private waiting = new Map<number, { done: (v: never) => void; failed: (e: Error) => void }>();
  private next = 1;

  ask<K extends Job['task']>(job: Extract<Job, { task: K }>): Promise<Answers[K]> {
    this.worker ??= this.open();
    const id = this.next++;
    return new Promise<Answers[K]>((done, failed) => {
      this.waiting.set(id, { done: done as (v: never) => void, failed });
      this.worker!.postMessage({ id, job });
    });
  }

  /** Ends whatever runs; those who wait are told. */
  stop(): void {
    this.worker?.terminate();
    this.worker = null;
    for (const w of this.waiting.values()) w.failed(new Stopped());
    this.waiting.clear();
  }

  private open(): Worker {
    const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = (e: MessageEvent<Reply>) => {
      const w = this.waiting.get(e.data.id);
      this.waiting.delete(e.data.id);
      if (e.data.status === 'done') w?.done(e.data.value as never);
      else w?.failed(new Error(e.data.message));
    };
    worker.onerror = (e) => {
      for (const w of this.waiting.values()) w.failed(new Error(e.message || 'the worker stopped'));
      this.waiting.clear();
      this.worker = null;
    };
    return worker;
  }
}

/** Calls `show` with the newest answer; requests made while one runs replace each other. */
export function newestOnly<T>(ask: (input: T, stale: () => boolean) => Promise<void>): (input: T) => void {
  let running = false;
  let queued: { input: T } | null = null;
  const go = async (input: T): Promise<void> => {
    running = true;
    try {
      await ask(input, () => queued !== null);
    } finally {
      running = false;
      const n = queued;
      queued = null;
      if (n) void go(n.input);
    }
  };
  return (input) => {
    if (running) queued = { input };
    else void go(input);
  };
}

export interface Progress {
  done: number;
  total: number;
}

/** At most four polar workers; one core is left to the page. */
export const POOL =
  typeof navigator === 'undefined' ? 1 : Math.max(1, Math.min(4, navigator.hardwareConcurrency || 2));

/** Runs jobs over a few workers of their own; `signal` ends them. */
export async function spread<T, R>(
  items: readonly T[],
  task: (lane: Lane, item: T) => Promise<R>,
  done: (result: R, item: T) => void,
  signal?: AbortSignal,
  prepare: (lane: Lane) => Promise<unknown> = () => Promise.resolve(),
): Promise<void> {
  if (items.length === 0) return;
  const lanes = Array.from({ length: Math.min(POOL, items.length) }, () => new Lane());
  const stop = () => {
    for (const l of lanes) l.stop();
  };
  signal?.addEventListener('abort', stop);
  let next = 0;
  try {
    await Promise.all(
      lanes.map(async (lane) => {
        await prepare(lane);
        while (next < items.length && !signal?.aborted) {
          const item = items[next++]!;
          done(await task(lane, item), item);
        }
      }),
    );
    if (signal?.aborted) throw new Stopped();
  } finally {
    signal?.removeEventListener('abort', stop);
    stop();
  }
}
