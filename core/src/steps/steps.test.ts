/** The plan, its quantities and their references. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  PLAN,
  QUANTITIES,
  READ,
  READ_IDS,
  readRef,
  refText,
  type QuantityId,
  type QuantityRef,
} from './index';
import type { Step } from './step';

describe('the plan', () => {
  it('a step needs only what stands above it, once', () => {
    const above = new Set<Step>();
    for (const step of PLAN) {
      for (const [name, need] of step.needs)
        expect(above.has(need), `${step.id} needs ${name}, which does not stand above it`).toBe(true);
      expect(above.has(step), step.id).toBe(false);
      above.add(step);
    }
  });
  it('names are told apart: results are kept under them', () =>
    expect(new Set(PLAN.map((s) => s.id)).size).toBe(PLAN.length));
  it('a step of a state needs no other state; one of the design may need them all', () => {
    for (const s of PLAN) expect(['all', 'state']).toContain(s.scope);
  });
  it('reaches every cause that what it needs is reached by', () => {
    // but for what is taken as it comes out at rest
    for (const s of PLAN.filter((p) => !p.still))
      for (const [, need] of s.needs) for (const c of need.reach) expect(s.reach.has(c), s.id).toBe(true);
  });
  it('every quantity is read off a step of the plan', () => {
    for (const id of READ_IDS) expect(PLAN, id).toContain(READ[id].step);
  });
  it('every name in a formula is a quantity, and every quantity says its source', () => {
    for (const q of Object.values(QUANTITIES)) {
      for (const [, name] of q.formula.matchAll(/\{(\w+)\}/g))
        expect(Object.hasOwn(QUANTITIES, name), `${q.id} names ${name}`).toBe(true);
      expect(q.method.length, q.id).toBeGreaterThan(3);
      expect(q.name.length, q.id).toBeGreaterThan(2);
    }
  });
  it('a quantity that is none does not compile', () => {
    // @ts-expect-error a name of no quantity
    const none: QuantityId = 'liftOffSpeeed';
    expect(Object.hasOwn(QUANTITIES, none)).toBe(false);
  });
});

describe('references', () => {
  it.each([
    ['groundRun@full', { id: 'groundRun', state: 'full' }],
    ['neutralPoint@all', { id: 'neutralPoint' }],
    ['neutralPoint', { id: 'neutralPoint' }],
    ['points@full;part=ferry', { id: 'points', state: 'full', part: 'ferry' }],
    // as they were written before
    ['points-ferry@full', { id: 'points', state: 'full', part: 'ferry' }],
    ['lapTime@a;leg=out;case=windy', { id: 'lapTime', state: 'a', leg: 'out', case: 'windy' }],
  ])('%s', (text, ref) => expect(readRef(text)).toEqual(ref));
  it.each(['', '@full', 'wingspan@all', 'mass@a;side=left', 'constructor@all', 'toString'])(
    '%j is none',
    (text) => expect(readRef(text)).toBeNull(),
  );
  it('law: what is written is read back', () => {
    const name = fc.stringMatching(/^[A-Za-z][\w-]{0,12}$/).filter((s) => s !== 'all');
    const ref = fc.record(
      { id: fc.constantFrom(...READ_IDS), state: name, leg: name, part: name, case: name },
      { requiredKeys: ['id'] },
    ) as fc.Arbitrary<QuantityRef>;
    fc.assert(
      fc.property(ref, (r) => {
        expect(readRef(refText(r))).toEqual({ ...r });
      }),
      { seed: 4, numRuns: 200 },
    );
  });
});
