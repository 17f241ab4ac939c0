/** A worker with one log in it; ended with the page that looks at it, or by a person. */
import { Stopped } from './lanes';
import type { LogAnswers, LogJob, LogReply } from './logJobs';

interface Waiting {
  done: (v: never) => void;
  failed: (e: Error) => void;
  progress?: (bytes: number) => void;
}

export class LogLane {
  private worker: Worker | null = null;
  private readonly waiting = new Map<number, Waiting>();
  private next = 1;

  ask<K extends LogJob['task']>(
    job: Extract<LogJob, { task: K }>,
    progress?: (bytes: number) => void,
  ): Promise<LogAnswers[K]> {
    this.worker ??= this.begun();
    const id = this.next++;
    return new Promise<LogAnswers[K]>((done, failed) => {
      this.waiting.set(id, { done: done as (v: never) => void, failed, ...(progress ? { progress } : {}) });
      this.worker!.postMessage({ id, job });
    });
  }

  stop(): void {
    this.worker?.terminate();
    this.worker = null;
    this.fail(new Stopped());
  }

  private fail(e: Error): void {
    for (const w of this.waiting.values()) w.failed(e);
    this.waiting.clear();
  }

  private begun(): Worker {
    const worker = new Worker(new URL('./log.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<LogReply>) => {
      const w = this.waiting.get(data.id);
      if (data.status === 'progress') return w?.progress?.(data.bytes);
      this.waiting.delete(data.id);
      if (data.status === 'done') w?.done(data.value as never);
      else w?.failed(new Error(data.message));
    };
    worker.onerror = (e) => {
      this.worker = null;
      this.fail(new Error(e.message || 'the worker stopped'));
    };
    return worker;
  }
}
