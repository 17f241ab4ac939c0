/** Runs the core off the page's thread. One cache per worker: unchanged steps are reused between calls. */
import { assess, type StepCache } from '@skiametra/core/assess';
import { adviseNext, calibrate, effectOf, explainDifference } from '@skiametra/core/refine';
import { logFlight, logToCsv } from '@skiametra/devices';
import type { Answers, Job, Reply } from './jobs';

const cache: StepCache = new Map();

const run: { [K in Job['task']]: (job: Extract<Job, { task: K }>) => Answers[K] } = {
  assess: (j) => assess(j.document.brief, j.document.design, j.document.calibration, cache),
  calibrate: (j) => calibrate(j.prior, j.observed, j.from, cache),
  effect: (j) => effectOf(j.document, j.document.calibration, j.fix, cache),
  explain: (j) => explainDifference(j.before, j.after, j.keys, cache),
  advise: (j) => adviseNext(j.document, j.ledger, j.notes),
  fly: (j) => logToCsv(logFlight(j.document, j.loading, j.laps, j.seed).rows),
};

self.onmessage = (event: MessageEvent<{ id: number; job: Job }>) => {
  const { id, job } = event.data;
  let reply: Reply;
  try {
    reply = { id, status: 'done', value: (run[job.task] as (j: Job) => Answers[Job['task']])(job) };
  } catch (e) {
    reply = { id, status: 'failed', message: e instanceof Error ? e.message : String(e) };
  }
  self.postMessage(reply);
};
