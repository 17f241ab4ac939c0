/** Holds one log off the page's thread. Jobs come one after another; whoever wants it to stop ends the worker. */
import { HeldLog } from './heldLog';
import type { LogAnswers, LogJob, LogReply } from './logJobs';

const held = new HeldLog();

function done(job: LogJob, id: number): Promise<LogAnswers[LogJob['task']]> {
  const progress = (bytes: number) => self.postMessage({ id, status: 'progress', bytes } satisfies LogReply);
  if (job.task === 'open') return held.open(job, progress);
  return Promise.resolve(job.task === 'reduce' ? held.reduce(job) : held.trace(job));
}

let before: Promise<unknown> = Promise.resolve();
self.onmessage = (event: MessageEvent<{ id: number; job: LogJob }>) => {
  const { id, job } = event.data;
  before = before
    .then(() => done(job, id))
    .then(
      (value) => self.postMessage({ id, status: 'done', value } satisfies LogReply),
      (e: unknown) =>
        self.postMessage({
          id,
          status: 'failed',
          message: e instanceof Error ? e.message : String(e),
        } satisfies LogReply),
    );
};
