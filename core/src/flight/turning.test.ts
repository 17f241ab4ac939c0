/** Laws of turns against the stall. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { G0 } from '../air';
import { gustMargin, innerStall, type StallingWing } from './turning';

const wings = fc
  .record({
    stall: fc.double({ min: 0.8, max: 15, noNaN: true }),
    half: fc.double({ min: 0.1, max: 2.5, noNaN: true }),
    ratios: fc.array(fc.double({ min: 0.2, max: 1, noNaN: true }), { minLength: 4, maxLength: 16 }),
  })
  .map(({ stall, half, ratios }): StallingWing => {
    const most = Math.max(...ratios);
    return {
      stall,
      half,
      eta: ratios.map((_, i) => (i + 0.5) / ratios.length),
      ratio: ratios.map((r) => r / most),
    };
  });
const banks = fc.double({ min: 0, max: 1.2, noNaN: true });

describe('the inner wing', () => {
  it('stalls no slower than the whole wing in that turn, and as it does in straight flight', () => {
    fc.assert(
      fc.property(wings, banks, (w, bank) => {
        expect(innerStall(w, bank)).toBeGreaterThanOrEqual(w.stall / Math.sqrt(Math.cos(bank)) - 1e-12);
        expect(innerStall(w, 0)).toBeCloseTo(w.stall, 9);
      }),
    );
  });
  it('has no margin to a gust exactly where it stalls, and more of it faster', () => {
    fc.assert(
      fc.property(wings, banks, fc.double({ min: 0, max: 5, noNaN: true }), (w, bank, faster) => {
        const at = innerStall(w, bank);
        expect(gustMargin(w, bank, at)).toBeCloseTo(0, 6);
        expect(gustMargin(w, bank, at + faster)).toBeGreaterThanOrEqual(gustMargin(w, bank, at) - 1e-9);
      }),
    );
  });
  it('a steeper turn stalls faster; a wider wing too', () => {
    fc.assert(
      fc.property(wings, banks, banks, (w, a, b) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        expect(innerStall(w, high)).toBeGreaterThanOrEqual(innerStall(w, low) - 1e-12);
        expect(innerStall({ ...w, half: 1.3 * w.half }, high)).toBeGreaterThanOrEqual(
          innerStall(w, high) - 1e-12,
        );
      }),
    );
  });
  it('by hand: a strip at 1 m that needs 5 m/s, bank of 30°', () => {
    const wing = { stall: 5 * Math.sqrt(Math.cos(Math.PI / 6)), half: 1, eta: [1], ratio: [1] },
      v = innerStall(wing, Math.PI / 6);
    // v − 1 · g · sin 30° / v = 5
    expect(v - (0.5 * G0) / v).toBeCloseTo(5, 9);
  });
});
