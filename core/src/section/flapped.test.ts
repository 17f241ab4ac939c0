/** Laws of flaps beyond what the flow follows. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { beyondFlow, effectiveAngle, FLOW, flapClMax, movedPolar } from './flapped';
import { platePolar } from './plate';
import { sectionModel } from './shape';

const hinge = fc.double({ min: 0.6, max: 0.9, noNaN: true }),
  angle = fc.double({ min: 0, max: 0.7, noNaN: true });

describe('a flap set far', () => {
  it('adds nothing where the flow is followed, and grows from there without a jump', () => {
    fc.assert(
      fc.property(hinge, (h) => {
        const at = beyondFlow({ hinge: h, angle: FLOW + 1e-6 });
        for (const v of Object.values(at)) expect(Math.abs(v)).toBeLessThan(1e-4);
        expect(Object.values(beyondFlow({ hinge: h, angle: 0.9 * FLOW }))).toEqual([0, 0, 0, 0]);
      }),
    );
  });
  it('gives more lift and more drag the further it goes, each degree less than the one before', () => {
    fc.assert(
      fc.property(hinge, angle, angle, (h, a, b) => {
        const [p, q] = [Math.min(a, b), Math.max(a, b)].map((x) => beyondFlow({ hinge: h, angle: x }));
        expect(q!.lift).toBeGreaterThanOrEqual(p!.lift - 1e-9);
        expect(q!.drag).toBeGreaterThanOrEqual(p!.drag - 1e-12);
        expect(q!.clMax).toBeGreaterThanOrEqual(p!.clMax);
        expect(q!.clMax).toBeLessThanOrEqual(q!.lift + 0.02);
        expect(Math.abs(effectiveAngle(a))).toBeLessThanOrEqual(a);
      }),
    );
  });
  it('upward is the mirror of downward', () => {
    fc.assert(
      fc.property(hinge, angle, (h, a) => {
        const down = beyondFlow({ hinge: h, angle: a }),
          up = beyondFlow({ hinge: h, angle: -a });
        expect(up.lift).toBeCloseTo(-down.lift, 12);
        expect(up.moment).toBeCloseTo(-down.moment, 12);
        expect(up.drag).toBe(down.drag);
      }),
    );
  });
  it('moves a polar: slope kept, stalls by the increment, angle of the stall lower', () => {
    const plain = platePolar((x) => 0.2 * (0.5 - x), 0.02, 2e5),
      by = beyondFlow({ hinge: 0.75, angle: 0.6 }),
      moved = movedPolar(plain, by);
    expect(moved.clMax).toBeCloseTo(plain.clMax + by.clMax, 9);
    expect(moved.alphaStall).toBeLessThan(plain.alphaStall);
    expect(moved.confidence).toBe('low');
    expect([...moved.points].every((p, i, all) => i === 0 || p.alpha >= all[i - 1]!.alpha)).toBe(true);
    expect(moved.attachedCl.every((c, i, all) => i === 0 || c > all[i - 1]!)).toBe(true);
  });
  it('is drawn where it is, and seen by the wing where it still acts', () => {
    const at = (a: number) =>
      sectionModel(
        { kind: 'naca4', digits: '2412' },
        { thickness: 1, camber: 1, flap: { hinge: 0.75, angle: a } },
      );
    const far = at(0.6);
    const edge = (m: { xy: ArrayLike<number> }) => m.xy[1]!;
    expect(edge(far.outline)).toBeLessThan(edge(far.lifting));
    expect(edge(far.lifting)).toBeLessThan(edge(at(FLOW).outline));
    expect(far.beyond!.clMax).toBeCloseTo(flapClMax(0.25, 0.6) - flapClMax(0.25, FLOW), 12);
    expect(at(0.1).beyond).toBeNull();
  });
});
