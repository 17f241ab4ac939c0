/** Spreads: from the items exactly, from the day, from the methods; nil only for what is exact by definition. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument, gnatDocument, waferDocument } from '../demo';
import { setPath, type DesignDocument } from '../design';
import { loadedState } from '../mass';
import { assess, entryOf, INPUT_IDS, StepCache, type QuantityId } from './index';

const base = bitternDocument();
const cache: StepCache = new StepCache();
const run = (doc: DesignDocument) => assess(doc.brief, doc.design, doc.calibration, cache);
const ledger = run(base);
const sigmaOf = (id: QuantityId, state = 'tubes-8', l = ledger) => entryOf(l, id, state)!.sigma;
const without = (doc: DesignDocument, factor: number) => ({
  ...doc,
  calibration: {
    ...doc.calibration,
    covariance: doc.calibration.covariance.map((row, i) =>
      row.map((v, j) => (i === factor || j === factor ? 0 : v)),
    ),
  },
});
const MASS_GROWTH = 9;

describe('item spreads reach mass, CG and margin (CG 391.5 ± 0.44 stood above an uncertainty of 4.1)', () => {
  it('mass and CG have the spreads of the mass ledger, to 1 %, once growth is held', () => {
    const l = run(without(base, MASS_GROWTH));
    for (const loading of base.design.states) {
      const s = loadedState(base.design, loading, 'best', 1);
      expect(sigmaOf('mass', loading.id, l) / s.sigmaMass).toBeCloseTo(1, 2);
      expect(sigmaOf('cgX', loading.id, l) / s.sigmaX).toBeCloseTo(1, 2);
      expect(sigmaOf('cgX', loading.id, l)).toBeCloseTo(entryOf(l, 'cgSpread', loading.id)!.value, 4);
    }
  });
  it('the margin is known no better than the CG over the chord', () => {
    const l = run(base);
    expect(sigmaOf('staticMargin')).toBeGreaterThan(sigmaOf('cgX') / entryOf(l, 'meanChord', 'all')!.value);
  });
  it('a wider spread of any item widens the mass; a weighed item narrows it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: base.design.items.length - 1 }), (k) => {
        const item = base.design.items[k];
        const wide = run(setPath(base, `design.items.${item.id}.spread`, item.spread + 0.3)),
          known = run(setPath(base, `design.items.${item.id}.weighed`, 0.1));
        expect(sigmaOf('mass', 'ferry', wide)).toBeGreaterThan(sigmaOf('mass', 'ferry'));
        expect(sigmaOf('mass', 'ferry', known)).toBeLessThan(sigmaOf('mass', 'ferry'));
      }),
      { seed: 9, numRuns: 5 },
    );
  }, 120_000);
});

describe('the day has a spread', () => {
  it('wind, friction and temperature bear on the ground run, and a day that is known does not', () => {
    const e = entryOf(ledger, 'groundRun', 'tubes-8')!,
      share = (id: (typeof INPUT_IDS)[number]) => e.inputShares[INPUT_IDS.indexOf(id)];
    for (const id of ['wind', 'friction', 'temperature', 'items'] as const)
      expect(share(id), id).toBeGreaterThan(0.001);
    const sure = run(setPath(base, 'brief.site.spread', { wind: 0, temperature: 0, friction: 0 })),
      s = entryOf(sure, 'groundRun', 'tubes-8')!;
    expect(s.inputShares[INPUT_IDS.indexOf('wind')]).toBe(0);
    expect(s.sigma).toBeLessThan(e.sigma);
  });
  it('density over temperature is its own derivative: sigma rho = rho sT / T', () => {
    const T = base.brief.site.temperature,
      rho = entryOf(ledger, 'airDensity', 'all')!;
    expect(rho.sigma / ((rho.value * 4) / T)).toBeCloseTo(1, 2);
  });
});

/**
 * What is exact by definition: geometry and counts of the drawing, what is itself a spread or a chance, and points
 * of what cannot be flown.
 */
const EXACT = new Set([
  'wingArea',
  'wingSpan',
  'aspectRatio',
  'meanChord',
  'tailVolume',
  'finVolume',
  'tailShare',
  'propellerSize',
  'cells',
  'fullVoltage',
  'boxLength',
  'boxWidth',
  'boxHeight',
  'plannedMass',
  'payloadCount',
  'bestCount',
  'stripChance',
  'cgSpread',
  'rubberMass',
  // what is asked of a case is what the card says
  'caseLoad',
  // legs whose time, length or height is typed, what receiver and servos draw in it, units that are let go
  'legTime',
  'legDistance',
  'legHeight',
  'legCharge',
  'missionTime',
  'missionDistance',
  'missionPeak',
  'missionGiven',
]);

describe('a sigma of nil is exact by definition', () => {
  it.each([bitternDocument, craneDocument, gnatDocument, waferDocument].map((make) => ({ make })))(
    '$make.name: no computed quantity beside those listed has none',
    ({ make }) => {
      const doc = make(),
        l = run(doc);
      const bare = l.entries
        .filter((e) => e.sigma === 0 && !EXACT.has(e.id))
        .filter((e) => e.value !== 0)
        .map((e) => `${e.id}@${e.state}`);
      expect(bare).toEqual([]);
    },
    60_000,
  );
  it('shares of factors and inputs sum to one wherever there is a spread', () => {
    for (const e of ledger.entries)
      if (e.sigma > 0) {
        const sum = [...e.shares, ...e.inputShares].reduce((s, x) => s + x, 0);
        expect(sum, `${e.id}@${e.state}`).toBeCloseTo(1, 6);
      }
  });
});
