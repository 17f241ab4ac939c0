/** Studies: what a step of everything brings, sweeps, combinations of parts, own designs as a field. */
import { SCHEMA_VERSION, type DesignDocument } from '@skiametra/core/design';
import { readyFor } from './coreClient';
import type { Answers, Job } from './jobs';
import { Lane, spread, type Progress } from './lanes';

/** Lists and winners, by a worker of their own. */
const worth = new Lane();

/** What one step of every input brings, by a worker of its own. */
export async function worthOf(document: DesignDocument, state: string): Promise<Answers['worth']> {
  await readyFor(worth, document);
  return worth.ask<'worth'>({ task: 'worth', document, state });
}

/** Designs of one person as a field. */
export async function fieldOf(job: Omit<Extract<Job, { task: 'field' }>, 'task'>): Promise<Answers['field']> {
  for (const { design, calibration } of job.entrants)
    await readyFor(worth, { schemaVersion: SCHEMA_VERSION, brief: job.brief, design, calibration });
  return worth.ask<'field'>({ task: 'field', ...job });
}

/** Cells that go to a worker together. */
const CELLS = 10;

/**
 * Every cell of a study, over the workers; `signal` ends it and what was found so far stays with the caller.
 * @param order of all cells; those that share most are neighbours
 */
export async function sweepOver(
  job: Pick<Extract<Job, { task: 'cells' }>, 'document' | 'study'>,
  order: readonly number[],
  onCells: (cells: Answers['cells'], indices: readonly number[], p: Progress) => void,
  signal?: AbortSignal,
): Promise<void> {
  const total = order.length,
    slices = Array.from({ length: Math.ceil(total / CELLS) }, (_, i) =>
      order.slice(i * CELLS, (i + 1) * CELLS),
    );
  let done = 0;
  await spread(
    slices,
    (lane, indices) => lane.ask<'cells'>({ task: 'cells', ...job, indices }),
    (cells, indices) => {
      done += cells.length;
      onCells(cells, indices, { done, total });
    },
    signal,
    (lane) => readyFor(lane, job.document),
  );
}

/** The best cell of a study with every limit held against it. */
export async function winnerOf(
  job: Omit<Extract<Job, { task: 'winner' }>, 'task'>,
): Promise<Answers['winner']> {
  await readyFor(worth, job.document);
  return worth.ask<'winner'>({ task: 'winner', ...job });
}

const COMBINATIONS = 20;

/** What combinations of parts score, in slices over the workers. */
export async function scoresOf(
  job: Omit<Extract<Job, { task: 'scores' }>, 'task'>,
  onScores: (scores: Answers['scores'], from: number) => void,
  signal?: AbortSignal,
): Promise<void> {
  const slices = Array.from(
    { length: Math.ceil(job.changes.length / COMBINATIONS) },
    (_, i) => i * COMBINATIONS,
  );
  await spread(
    slices,
    (lane, from) =>
      lane.ask<'scores'>({ task: 'scores', ...job, changes: job.changes.slice(from, from + COMBINATIONS) }),
    onScores,
    signal,
    (lane) => readyFor(lane, job.document),
  );
}

/** The same design under other rules. */
export async function underRules(
  job: Omit<Extract<Job, { task: 'rules' }>, 'task'>,
): Promise<Answers['rules']> {
  await readyFor(worth, job.document);
  return worth.ask<'rules'>({ task: 'rules', ...job });
}
