/**
 * The catalogue walk has a quick flight model of its own, because it looks at thousands: how far it lies from the assessment of
 * the same parts is bounded here, over parts that it leaves in.
 */
import { expect, it } from 'vitest';
import { assess, evaluate, StepCache, type QuantityId } from '../assess';
import { bitternDocument } from '../demo';
import { setPath } from '../design';
import { combinationChanges, partsFor } from '../mass';
import { combinationCount, matchOne, prepareMatch, type MatchRow } from '../power';
import { powerReport } from './index';

const STATE = 'tubes-8',
  EVERY = 97,
  MOST = 24;

/** How each number is read off a row, and how far it may lie from the assessment's, as a share of it. */
const NUMBERS = {
  mass: [(r) => r.mass, 1e-9],
  // its controller is chosen after the current is known, by a resistance that is usual
  staticThrust: [(r) => r.staticThrust, 0.04],
  staticCurrent: [(r) => r.current, 0.04],
  lapSpeed: [(r) => r.levelSpeed, 0.06],
  climbRate: [(r) => r.climb, 0.15],
  groundRun: [(r) => r.run, 0.13],
  endurance: [(r) => r.time, 0.13],
} as const satisfies Partial<Record<QuantityId, readonly [(r: MatchRow) => number, number]>>;
type Compared = keyof typeof NUMBERS;

it('lies as near to the assessment as is said', { timeout: 240_000 }, () => {
  const doc = bitternDocument(),
    cache = new StepCache();
  const ledger = assess(doc.brief, doc.design, doc.calibration, cache),
    task = powerReport(doc.brief, doc.design, doc.calibration, ledger, STATE, cache).match!,
    parts = partsFor(doc.design),
    bench = prepareMatch(parts);
  const kept: MatchRow[] = [];
  for (let i = 0; i < combinationCount(parts) && kept.length < MOST; i += EVERY) {
    const row = matchOne(parts, bench, task, i);
    if (row.levelSpeed > 0 && Number.isFinite(row.run)) kept.push(row);
  }
  const off = new Map<Compared, number[]>();
  for (const row of kept) {
    const design = combinationChanges(doc.design, parts, row).reduce(
      (d, c) => setPath(d, c.path, c.value),
      doc.design,
    );
    const wanted = Object.keys(NUMBERS) as Compared[],
      refs = wanted.map((id) => ({ id, state: STATE })),
      is = evaluate({ ...doc, design }, refs, cache);
    for (const id of wanted) {
      const value = is[`${id}@${STATE}`] ?? is[`${id}@all`] ?? is[id];
      off.set(id, [...(off.get(id) ?? []), NUMBERS[id][0](row) / value - 1]);
    }
  }
  for (const [id, shares] of off) {
    const most = Math.max(...shares.map(Math.abs));
    expect(most, id).toBeLessThan(NUMBERS[id][1]);
  }
  expect(kept.length).toBe(MOST);
});
