import { say, sentence } from '../words';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitternDocument, gnatDocument } from '../demo';
import { ballastStep, scaleResolution, solveBalance, changesOf } from './index';

const { design } = bitternDocument();

/** As a sentence writes a mass to what the scale reads. */
const grams = (mass: number, resolution: number) =>
  /[\d.]+ g/.exec(sentence(say('balance-ballast', { moves: [], mass, resolution, place: 'nose' })))![0];

describe('figures follow the scale, not whole grams (ballast and sums of a 6 g model were rounded to grams)', () => {
  it('by default a two-hundredth of the mass on a step of 1, 2 or 5, at most 1 g; a setting stands over it', () => {
    expect(scaleResolution({}, 2.5)).toBeCloseTo(0.001, 12);
    expect(scaleResolution({}, 0.006)).toBeCloseTo(0.00002, 12);
    expect(scaleResolution({}, 0.085)).toBeCloseTo(0.0002, 12);
    const limits = { longestPiece: null, printer: null, sheet: null, scale: 0.0001 };
    expect(scaleResolution({ limits }, 2.5)).toBe(0.0001);
  });
  it('words carry as many decimals as the scale reads', () => {
    expect(grams(0.0063, 0.00002)).toBe('6.30 g');
    expect(grams(0.045, 0.001)).toBe('45 g');
    expect(grams(0.0847, 0.0005)).toBe('84.5 g');
  });
  it('law: ballast is never less than needed and at most one step more', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-5, max: 0.5, noNaN: true }),
        fc.constantFrom(0.00001, 0.0002, 0.001),
        (m, r) => {
          const b = ballastStep(m, r);
          expect(b).toBeGreaterThanOrEqual(m - 1e-9);
          expect(b).toBeLessThan(m + r + 1e-9);
        },
      ),
      { seed: 14, numRuns: 200 },
    );
  });
  it('a rubber model that needs clay gets hundredths of a gram', () => {
    const gnat = gnatDocument().design,
      far = { ...gnat, items: gnat.items.map((i) => ({ ...i, movable: null })) };
    const p = solveBalance(far, { forward: 0.15, aft: 0.2 });
    expect(p.status).toBe('ballast');
    const item = changesOf(far, p)[0].value as { id: string; planned: { mass: number } }[];
    const clay = item.find((i) => i.id.startsWith('ballast'))!.planned.mass;
    expect(clay).toBeLessThan(p.ballast!.mass + 0.0001);
    expect(sentence(p.said)).toMatch(/\d\.\d\d? g of ballast/);
  });
  it('the Bittern’s is still told in grams', () => {
    const still = { ...design, items: design.items.map((i) => ({ ...i, movable: null })) };
    expect(sentence(solveBalance(still, { forward: 0.3, aft: 0.37 }).said)).toMatch(/ \d+ g of ballast/);
  });
});
