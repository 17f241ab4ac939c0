/** Strip edges of every layout: ascending, matched where surfaces meet, and the vortex that leaves them. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bitternCanardDocument,
  bitternDocument,
  craneDocument,
  gnatDocument,
  starterDocument,
  waferDocument,
} from '../demo';
import type { Surface } from '../design';
import { LAYOUT_TEMPLATES } from '../layout';
import { horseshoe } from './horseshoe';
import { planEdges } from './index';

const base = starterDocument().design;
const layouts: { name: string; surfaces: Surface[] }[] = [
  ...[bitternDocument, bitternCanardDocument, craneDocument, gnatDocument, waferDocument].map((make) => ({
    name: make.name,
    surfaces: make().design.surfaces,
  })),
  ...LAYOUT_TEMPLATES.map((t) => ({ name: t.id, surfaces: t.make(base).surfaces })),
];

describe('strip edges', () => {
  it.each(layouts)(
    '$name: from root to tip, ascending, each control place inside its strip',
    ({ surfaces }) => {
      for (const refine of [1, 2]) {
        const { edges } = planEdges(surfaces, refine);
        surfaces.forEach((s, i) => {
          const { at, mid } = edges[i],
            half = s.stations[s.stations.length - 1].y;
          expect(at[0]).toBe(0);
          expect(at[at.length - 1]).toBeCloseTo(half, 9);
          expect(mid.length).toBe(at.length - 1);
          for (let k = 0; k < mid.length; k++) {
            expect(at[k + 1], `${s.id} ${k}`).toBeGreaterThan(at[k]);
            expect(mid[k] > at[k] && mid[k] < at[k + 1], `${s.id} ${k}`).toBe(true);
          }
        });
      }
    },
  );
  it.each(layouts)('$name: matching is mutual, and every surface matches itself', ({ surfaces }) => {
    const { matched } = planEdges(surfaces);
    surfaces.forEach((_, i) => {
      expect(matched[i][i]).toBe(true);
      surfaces.forEach((__, j) => expect(matched[i][j]).toBe(matched[j][i]));
    });
  });
  it('a tail close above the wing’s wake gives the wing its edges, one far above does not', () => {
    const conventional = starterDocument().design.surfaces,
      tail = conventional.findIndex((s) => s.role === 'tail'),
      wing = conventional.findIndex((s) => s.role === 'wing');
    const at = (z: number) =>
      planEdges(conventional.map((s, i) => (i === tail ? { ...s, z } : s)).filter((s) => s.role !== 'fin'));
    const wingZ = conventional[wing].z,
      near = at(wingZ + 0.02),
      far = at(wingZ + 0.5);
    const inner = near.edges[tail].at;
    inner.forEach((y) =>
      expect(Math.min(...near.edges[wing].at.map((e) => Math.abs(e - y)))).toBeLessThan(1e-9),
    );
    expect(near.matched[wing][tail]).toBe(true);
    expect(far.matched[wing][tail]).toBe(false);
  });
  it('tip fins stand on an edge of the wing and the wing on an edge of theirs', () => {
    const canard = bitternCanardDocument().design.surfaces,
      fins = canard.findIndex((s) => s.role === 'fin'),
      wing = canard.findIndex((s) => s.role === 'wing');
    const { edges, matched } = planEdges(canard);
    expect(matched[wing][fins]).toBe(true);
    // the wing's tip lies 46 mm above the fins' foot
    const tipZ = canard[wing].z + canard[wing].stations.at(-1)!.z - canard[fins].z;
    expect(Math.min(...edges[fins].at.map((s) => Math.abs(s - tipZ)))).toBeLessThan(1e-9);
  });
});

const place = fc.double({ min: -2, max: 2, noNaN: true });
const velocity = (core2: number, p: number[], a: number[], b: number[]) => {
  const v = new Float64Array(3);
  horseshoe(v, core2, p[0], p[1], p[2], a[0], a[1], a[2], b[0], b[1], b[2]);
  return v;
};

describe('a horseshoe vortex (Biot and Savart)', () => {
  it('law: mirrored about the middle plane its velocity is mirrored', () => {
    fc.assert(
      fc.property(place, place, place, fc.double({ min: 0.1, max: 1, noNaN: true }), (x, y, z, half) => {
        fc.pre(Math.abs(Math.abs(y) - half) > 0.05 || Math.abs(z) > 0.05);
        const right = velocity(0, [x, y, z], [0, -half, 0], [0, half, 0]),
          left = velocity(0, [x, -y, z], [0, -half, 0], [0, half, 0]);
        expect(right[0]).toBeCloseTo(left[0], 9);
        expect(right[1]).toBeCloseTo(-left[1], 9);
        expect(right[2]).toBeCloseTo(left[2], 9);
      }),
      { seed: 2, numRuns: 100 },
    );
  });
  it('law: twice the size, half the velocity', () => {
    fc.assert(
      fc.property(place, place, fc.double({ min: 0.2, max: 2, noNaN: true }), (x, y, z) => {
        const a = velocity(0, [x, y, z], [0.1, -0.4, 0], [0.2, 0.5, 0.1]),
          b = velocity(0, [2 * x, 2 * y, 2 * z], [0.2, -0.8, 0], [0.4, 1, 0.2]);
        for (let k = 0; k < 3; k++) expect(b[k]).toBeCloseTo(a[k] / 2, 8);
      }),
      { seed: 2, numRuns: 100 },
    );
  });
  it('far behind it is a pair of line vortices: downwash b / (2 pi (b/2)^2) in the middle at unit strength', () => {
    const v = velocity(0, [500, 0, 0], [0, -0.5, 0], [0, 0.5, 0]);
    expect(v[2]).toBeCloseTo(-2 / (2 * Math.PI * 0.5), 4);
  });
  it('a core takes away little beyond two of its widths and all of the infinity at the leg', () => {
    const core = 0.05,
      at = (y: number) => velocity(core * core, [5, y, 0], [0, -0.5, 0], [0, 0.5, 0])[2],
      bare = (y: number) => velocity(0, [5, y, 0], [0, -0.5, 0], [0, 0.5, 0])[2];
    expect(Math.abs(at(0.5 - 2.5 * core) / bare(0.5 - 2.5 * core) - 1)).toBeLessThan(0.03);
    expect(Math.abs(at(0.5 - 1e-6))).toBeLessThan(1 / (2 * Math.PI * core) + 1);
  });
});
