/** A number does not depend on what was computed before it. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument, gnatDocument, waferDocument } from '../demo';
import { type DesignDocument } from '../design';
import { assess, keyOf, StepCache } from './index';

const values = (doc: DesignDocument, cache?: StepCache) =>
  Object.fromEntries(
    assess(doc.brief, doc.design, doc.calibration, cache).entries.map((e) => [keyOf(e), [e.value, e.sigma]]),
  );
/** a gram here, a millimetre there: the edits that rounded keys took for no change */
const edited = (doc: DesignDocument, grams: number, millimetres: number): DesignDocument => ({
  ...doc,
  design: {
    ...doc.design,
    items: doc.design.items.map((i, k) =>
      k === 0 && i.planned.kind === 'mass'
        ? {
            ...i,
            planned: { kind: 'mass', mass: i.planned.mass * (1 + grams / 1000) },
            x: i.x + millimetres / 1000,
          }
        : i,
    ),
    power: {
      ...doc.design.power,
      ...(doc.design.power.rubber
        ? {
            rubber: {
              ...doc.design.power.rubber,
              wound: doc.design.power.rubber.wound - grams / 1e4,
            },
          }
        : {}),
    },
  },
});

describe('the same with and without a cache (rubber times depended on what was edited before)', () => {
  it.each([gnatDocument, bitternDocument, craneDocument, waferDocument].map((make) => ({ make })))(
    '$make.name',
    ({ make }) => {
      const doc = make(),
        cache: StepCache = new StepCache();
      values(doc, cache);
      fc.assert(
        fc.property(fc.integer({ min: -40, max: 40 }), fc.integer({ min: -9, max: 9 }), (g, mm) => {
          const now = edited(doc, g, mm);
          expect(values(now, cache)).toEqual(values(now));
        }),
        { seed: 10, numRuns: 2 },
      );
    },
    120_000,
  );
});
