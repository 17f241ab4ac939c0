/** What a task comes to: its formula held within its caps, weighed, by its odds. */
import type { Task } from '../design';
import { successOf } from './odds';

/** @param raw what the formula gives */
export function taskPoints(task: Pick<Task, 'weight' | 'least' | 'most' | 'odds'>, raw: number): number {
  const held = Math.min(task.most ?? Infinity, Math.max(task.least ?? -Infinity, raw)),
    weighed = (task.weight ?? 1) * held;
  if (!task.odds) return weighed;
  // with nothing tried it is counted as if it came off, and that is said
  const chance = successOf(task.odds)?.chance ?? 1;
  return chance * weighed + (1 - chance) * task.odds.failed;
}

/** Its caps leave nothing to be gained: more of what the formula counts brings no more points. */
export function isCapped(task: Pick<Task, 'most'>, raw: number): boolean {
  return task.most !== undefined && raw >= task.most;
}
