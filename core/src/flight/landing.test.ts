/** The landing run against the closed forms of constant forces, and its laws. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { G0 } from '../air';
import { landingRun, TOUCH_DOWN, type LandingInput } from './index';

const at = (more: Partial<LandingInput> = {}) => {
  const r = landingRun({
    mass: 2.4,
    density: 1.225,
    area: 0.5,
    stall: 9,
    friction: 0.08,
    wind: 0,
    groundCl: 0,
    dragArea: 0,
    ...more,
  });
  return r.status === 'stops' ? r : { distance: Infinity, time: Infinity, touchDown: r.touchDown };
};
const V = TOUCH_DOWN * 9;

describe('landing run', () => {
  it('by friction alone it is V²/(2 mu g), in V/(mu g) (uniform deceleration)', () => {
    expect(at().distance).toBeCloseTo((V * V) / (2 * 0.08 * G0), 6);
    expect(at().time).toBeCloseTo(V / (0.08 * G0), 6);
  });
  it('with drag it is m/(2k) ln(1 + k V²/(mu W)) (closed form of m V dV = -(mu W + k V²) ds)', () => {
    const k = 0.5 * 1.225 * 0.04,
      W = 2.4 * G0;
    const closed = (2.4 / (2 * k)) * Math.log(1 + (k * V * V) / (0.08 * W));
    expect(at({ dragArea: 0.04 }).distance / closed).toBeCloseTo(1, 4);
  });
  it('a head wind takes the run away; as fast as the touch-down there is none', () => {
    expect(at({ wind: 4 }).distance).toBeLessThan(at({ wind: 2 }).distance);
    expect(at({ wind: 20 }).distance).toBe(0);
  });
  it('law: more friction or drag shortens, more stall speed lengthens; always at the same touch-down', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        fc.double({ min: 3, max: 20, noNaN: true }),
        (friction, dragArea, stall) => {
          const base = at({ friction, dragArea, stall }).distance;
          expect(at({ friction: 1.1 * friction, dragArea, stall }).distance).toBeLessThan(base);
          expect(at({ friction, dragArea: dragArea + 0.01, stall }).distance).toBeLessThan(base);
          expect(at({ friction, dragArea, stall: 1.1 * stall }).distance).toBeGreaterThan(base);
          expect(at({ friction, dragArea, stall }).touchDown).toBeCloseTo(1.15 * stall, 12);
        },
      ),
      { seed: 3, numRuns: 80 },
    );
  });
  it('without friction and drag it never stops, and says so', () =>
    expect(at({ friction: 0 }).distance).toBe(Infinity));
  it.each([{ mass: 0 }, { stall: NaN }, { area: -1 }])('%o is refused', (bad) =>
    expect(() => at(bad)).toThrow(/above zero/),
  );
});
