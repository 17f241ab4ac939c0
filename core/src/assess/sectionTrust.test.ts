/** The two section factors: what they act on, and how far a design's sections are believed. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitternDocument, gnatDocument, waferDocument } from '../demo';
import { FACTOR_IDS, FACTORS, factorsOf, priorCalibration, type DesignDocument } from '../design';
import type { PolarSet } from '../section';
import { trust as trustStep } from '../steps';
import { actingFactors, sectionTrust } from '../surface';
import { assess, entryOf, runOf, StepCache, type QuantityId } from './index';

const cache: StepCache = new StepCache();
const prior = factorsOf(priorCalibration().mean);
const shifted = (doc: DesignDocument, id: (typeof FACTOR_IDS)[number], by: number): DesignDocument => ({
  ...doc,
  calibration: {
    ...doc.calibration,
    mean: doc.calibration.mean.map((v, i) => (FACTOR_IDS[i] === id ? v + by : v)),
  },
});
const value = (doc: DesignDocument, quantity: QuantityId, state: string) =>
  entryOf(assess(doc.brief, doc.design, doc.calibration, cache), quantity, state)!.value;

describe('trust', () => {
  it('the Bittern’s sections are computed and taken at their spread; sheets and films are not the coupled method’s', () => {
    const trust = (doc: DesignDocument) => runOf(doc, doc.calibration, cache).of(trustStep);
    expect(trust(bitternDocument())).toMatchObject({ coupled: true, widen: 1 });
    expect(trust(waferDocument())).toMatchObject({ coupled: false, widen: 2.2 });
    expect(trust(gnatDocument())).toMatchObject({ coupled: false });
  });
  it('at the prior the published correction acts on computed sections and not on those from tests', () => {
    const mean = (id: string) => FACTORS.find((f) => f.id === id)!.mean;
    const computed = actingFactors(prior, { coupled: true, widen: 1, lift: mean('sectionLift') }),
      tested = actingFactors(prior, { coupled: false, widen: 2.2, lift: 1 });
    expect(computed.sectionDrag).toBeCloseTo(mean('sectionDrag'), 12);
    expect(computed.clMax).toBeCloseTo(mean('sectionLift'), 12);
    expect(tested.sectionDrag).toBeCloseTo(1, 12);
    expect(tested.clMax).toBeCloseTo(1, 12);
  });
  it('law: the prior mean of a nose stall runs without a step from the layer’s correction to none', () => {
    const mean = FACTORS.find((f) => f.id === 'sectionLift')!.mean;
    const sections = (layer: number) => {
      const polar = {
        reynolds: 1e6,
        clMax: 1,
        layerClMax: layer,
        confidence: 'good',
        points: [{ how: 'solved' }],
      };
      const set = { polars: [polar], zeroLift: 0, moment: 0 } as unknown as PolarSet;
      return new Map(bitternDocument().design.sections.map((x) => [x.id, set]));
    };
    const lift = (layer: number) => sectionTrust(bitternDocument().design, sections(layer), () => 1e6).lift;
    expect(lift(1)).toBeCloseTo(mean, 12);
    expect(lift(1 / mean)).toBeCloseTo(1, 12);
    fc.assert(
      fc.property(fc.double({ min: 1, max: 1.3, noNaN: true }), (layer) => {
        // what acts is the lower of the corrected layer and the nose's bound
        expect(lift(layer)).toBeCloseTo(Math.min(mean * layer, 1), 12);
      }),
      { seed: 3, numRuns: 60 },
    );
  });
  it('law: low confidence moves further by the same deviation, and nothing else is touched', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.1, max: 0.1, noNaN: true }), fc.boolean(), (by, coupled) => {
        const f = { ...prior, sectionLift: prior.sectionLift + by };
        const [near, far] = [1, 2.2].map((widen) => actingFactors(f, { coupled, widen, lift: 0.95 }).clMax);
        const still = actingFactors(prior, { coupled, widen: 1, lift: 0.95 }).clMax;
        expect(far - still).toBeCloseTo(2.2 * (near - still), 9);
        expect(actingFactors(f, { coupled, widen: 1, lift: 1 }).dragArea).toBe(prior.dragArea);
      }),
      { seed: 7, numRuns: 50 },
    );
  });
});

describe('what they act on', () => {
  const doc = bitternDocument(),
    s = 'tubes-8';
  it('section drag acts on the strips alone: less than on the whole drag area, and not on lift', () => {
    const more = shifted(doc, 'sectionDrag', 0.108);
    const grown = value(more, 'dragArea', s) / value(doc, 'dragArea', s);
    expect(grown).toBeGreaterThan(1.02);
    expect(grown).toBeLessThan(1.09);
    expect(value(more, 'clMax', s)).toBeCloseTo(value(doc, 'clMax', s), 9);
    expect(value(more, 'glideRatio', s)).toBeLessThan(value(doc, 'glideRatio', s));
  });
  it('section largest lift raises the wing’s by about as much and leaves drag alone', () => {
    const more = shifted(doc, 'sectionLift', 0.093);
    expect(value(more, 'clMax', s) / value(doc, 'clMax', s)).toBeGreaterThan(1.07);
    expect(value(more, 'clMax', s) / value(doc, 'clMax', s)).toBeLessThan(1.12);
    expect(value(more, 'dragArea', s)).toBeCloseTo(value(doc, 'dragArea', s), 12);
  });
  it('an uncertain section widens the spread of a sheet’s largest lift over that of a computed one', () => {
    const sigma = (d: DesignDocument, state: string) => {
      const e = entryOf(assess(d.brief, d.design, d.calibration, cache), 'clMax', state)!;
      return e.sigma / e.value;
    };
    const wafer = waferDocument();
    expect(sigma(wafer, wafer.design.states[0].id)).toBeGreaterThan(1.3 * sigma(doc, s));
  });
});
