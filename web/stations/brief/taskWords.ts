/** Rules of a task beside its formula, in words. */
import type { Task } from '@skiametra/core/design';
import { successOf } from '@skiametra/core/score';
import { formatNumber } from '@skiametra/core/units';

const percent = (p: number) => `${(100 * p).toFixed(0)} %`;

function oddsWords({ odds }: Task): string[] {
  if (!odds) return [];
  const all = successOf(odds),
    best = odds.attempts > 1 ? `best of ${odds.attempts}` : 'one attempt';
  if (!all) return [`${best}, never tried`];
  const counted =
      odds.chance === null
        ? `, ${percent(all.low)} to ${percent(all.high)} by ${odds.won} of ${odds.tried}`
        : '',
    failed = odds.failed === 0 ? '' : `, else ${formatNumber(odds.failed, 3)}`;
  return [`${best}: comes off ${percent(all.chance)}${counted}${failed}`];
}

/** Weight, caps and odds; nothing for a plain task. */
export function rulesOf(t: Task): string[] {
  return [
    ...(t.weight !== undefined && t.weight !== 1 ? [`times ${formatNumber(t.weight, 3)}`] : []),
    ...(t.most !== undefined ? [`at most ${formatNumber(t.most, 4)}`] : []),
    ...(t.least !== undefined ? [`at least ${formatNumber(t.least, 4)}`] : []),
    ...oddsWords(t),
  ];
}
