/** Drag of outside parts and towed lines against tables and statics. */
import { describe, expect, it } from 'vitest';
import { G0 } from '../src/air';
import { outsideDragArea, parasiteItems, towedLine } from '../src/drag';
import { bitternDocument } from '../src/demo';

const nu = 1.46e-5;

describe('outside parts (Hoerner, Fluid-Dynamic Drag, from memory)', () => {
  it('a metre of 3 mm wire: CD 1.1 on its frontal area, some ten times a faired strut of that thickness', () => {
    expect(outsideDragArea({ kind: 'wire', length: 1, diameter: 0.003, count: 1 }, 15, nu)).toBeCloseTo(
      0.0033,
      6,
    );
    const strut = outsideDragArea(
      { kind: 'strut', length: 1, chord: 0.012, thickness: 0.003, count: 1 },
      15,
      nu,
    );
    expect(0.0033 / strut).toBeGreaterThan(4);
    expect(0.0033 / strut).toBeLessThan(15);
  });
  it('two bare 60 by 20 mm wheels cost 7 cm2, spats take half', () => {
    const w = (faired: boolean) =>
      outsideDragArea({ kind: 'wheel', diameter: 0.06, width: 0.02, count: 2, faired }, 15, nu);
    expect(w(false)).toBeCloseTo(0.00072, 9);
    expect(w(true)).toBeLessThan(0.5 * w(false));
  });
  it('a ball is 0.47, a box 1.05 of its frontal area', () => {
    expect(outsideDragArea({ kind: 'bluff', frontal: 0.01, shape: 'ball' }, 15, nu)).toBeCloseTo(0.0047, 9);
    expect(outsideDragArea({ kind: 'bluff', frontal: 0.01, shape: 'box' }, 15, nu)).toBeCloseTo(0.0105, 9);
  });
});

describe('towing', () => {
  it('a weightless thin line hangs straight along weight and drag (statics)', () => {
    const t = towedLine({ mass: 0.5, dragArea: 0.01, line: 10, lineDiameter: 0, x: 0, z: 0 }, 14, 1.225),
      D = 0.5 * 1.225 * 196 * 0.01;
    expect(t.angle).toBeCloseTo(Math.atan2(0.5 * G0, D), 9);
    expect(t.behind).toBeCloseTo(10 * Math.cos(t.angle), 9);
    expect(t.drag).toBeCloseTo(D, 9);
  });
  it('without drag a heavy line hangs down and weighs what it weighs', () => {
    const t = towedLine({ mass: 1, dragArea: 0, line: 10, lineDiameter: 0.002, x: 0, z: 0 }, 0.001, 1.225);
    expect(t.below).toBeCloseTo(10, 3);
    expect(t.weight).toBeCloseTo(G0 * (1 + (1000 * Math.PI * 0.004 ** 2 * 10) / 16), 3);
  });
  it('a state that tows or opens something shows it as an item of its own', () => {
    const { design } = bitternDocument(),
      names = parasiteItems(design, 15, nu, {
        addedDrag: 0.002,
        towed: { mass: 0.3, dragArea: 0.004, line: 5, lineDiameter: 0.001, x: 0.4, z: 0 },
      }).map((i) => i.name);
    expect(names).toContain('open or lowered in this state');
    expect(names).toContain('towed body and line');
  });
});
