/** The way to a version: its ancestors, what each began with, and the numbers that were measured on it. */
import { describe, expect, it } from 'vitest';
import { assess } from '@skiametra/core/assess';
import { bitternDocument, bitternProject } from '@skiametra/core/demo';
import { priorCalibration } from '@skiametra/core/design';
import { ancestry, begunWith, sameFit, waysOf, type Stop } from './way';

const head = (id: number, parentId: number | null) => ({ id, parentId });

describe('the way to a version', () => {
  it('goes from the first drawing; sisters are not on it', () =>
    expect(ancestry([head(1, null), head(2, 1), head(3, 1), head(4, 3)], 4)).toEqual([1, 3, 4]));
  it('ends at a version that is gone, and where two are said to come of each other', () => {
    expect(ancestry([head(2, 1), head(3, 2)], 3)).toEqual([2, 3]);
    expect(ancestry([head(1, 2), head(2, 1)], 2)).toEqual([1, 2]);
  });
});

describe('what a version began with', () => {
  const learnt = { ...priorCalibration(), from: ['t1'], mean: priorCalibration().mean.map((m) => 1.1 * m) },
    parent = { ...bitternDocument(), calibration: learnt };
  it('what its parent had learnt', () => expect(begunWith(parent, ['t2'])).toBe(learnt));
  it('not what the parent learnt of it since', () =>
    expect(sameFit(begunWith(parent, ['t1']), priorCalibration())).toBe(true));
  it('before any test where it has no parent', () =>
    expect(sameFit(begunWith(null, []), priorCalibration())).toBe(true));
});

describe('ways of numbers', () => {
  const document = bitternDocument(),
    now = assess(document.brief, document.design, document.calibration),
    hops = bitternProject().tests.find((t) => t.body.record.groundRun !== null)!.body;
  const stop = (id: number, of: Partial<Stop>): Stop => ({
    id,
    name: `v${id}`,
    before: null,
    now,
    tests: [],
    ...of,
  });
  it('a number that was measured once has a lane of every version that has it', () => {
    const ways = waysOf([stop(1, {}), stop(2, { tests: [{ body: hops }] })]),
      run = ways.find((w) => w.key.startsWith('groundRun@'))!;
    expect(run.lanes.map((l) => l.readings.length)).toEqual([0, 1]);
    expect(run.lanes[0]!.now!.id).toBe('groundRun');
  });
  it('a version that is not computed yet stands with its readings alone', () => {
    const [way] = waysOf([stop(1, { now: null, tests: [{ body: hops }] }), stop(2, {})]);
    expect(way!.lanes.map((l) => l.now === null)).toEqual([true, false]);
  });
  it('readings of two legs are of two numbers', () => {
    const [m] = hops.measurements,
      of = (leg: string) => ({ ...m!, quantity: 'legTime', state: 'all', part: 'relay', leg });
    const body = { ...hops, measurements: [of('out'), of('home'), of('out')] },
      ways = waysOf([stop(1, { tests: [{ body }] })]);
    expect(ways.map((w) => [w.key, w.lanes[0]!.readings.length])).toEqual([
      ['legTime@all;leg=out;part=relay', 2],
      ['legTime@all;leg=home;part=relay', 1],
    ]);
  });
});
