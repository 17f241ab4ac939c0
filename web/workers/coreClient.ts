/** Two workers: one for the live assessment (only the newest request is run), one for everything longer. */
import type { Answers, Job, Reply } from './jobs';

class Lane {
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

const live = new Lane();
const long = new Lane();

/** Anything that may take longer than a blink. */
export function askCore<K extends Job['task']>(job: Extract<Job, { task: K }>): Promise<Answers[K]> {
  return long.ask<K>(job);
}

/** Calls `show` with the newest answer; requests made while one runs replace each other. */
export function newestOnly<T>(ask: (input: T) => Promise<void>): (input: T) => void {
  let running = false;
  let queued: { input: T } | null = null;
  const go = async (input: T): Promise<void> => {
    running = true;
    try { await ask(input); } finally {
      running = false;
      const n = queued;
      queued = null;
      if (n) void go(n.input);
    }
  };
  return (input) => { if (running) queued = { input }; else void go(input); };
}

export function assessLive(document: Extract<Job, { task: 'assess' }>['document']): Promise<Answers['assess']> {
  return live.ask<'assess'>({ task: 'assess', document });
}
