/** Largest lift from coupled sweeps: smooth in everything, also where a root stalls early on purpose. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import type { Design, DesignDocument } from '../design';
import { stripSections, sweepStall } from '../surface';
import { coupled as coupledStep, latticeFree, sections, shape, sweeps } from '../steps';
import { assess, entryOf, runOf, StepCache } from './index';

const base = bitternDocument();
const cache: StepCache = new StepCache();
const rootUp = (degrees: number): Design => ({
  ...base.design,
  surfaces: base.design.surfaces.map((s) =>
    s.role === 'wing'
      ? {
          ...s,
          stations: s.stations.map((p, i) => (i === 0 ? { ...p, twist: (degrees * Math.PI) / 180 } : p)),
        }
      : s,
  ),
});
const clMax = (d: DesignDocument, kept: StepCache = cache) =>
  entryOf(assess(d.brief, d.design, d.calibration, kept), 'clMax', 'tubes-8')!;

describe('largest lift does not fall off a cliff where the critical section says little', () => {
  it('a root turned up by 0 to 10 degrees loses lift by degrees, never by a jump (1.12 to 0.70 before)', () => {
    const values = Array.from(
      { length: 11 },
      (_, k) => clMax({ ...base, design: rootUp(k) }, new StepCache()).value,
    );
    for (let i = 1; i < values.length; i++) {
      expect(Math.abs(values[i] / values[i - 1] - 1), `root ${i} degrees: ${values}`).toBeLessThan(0.06);
    }
    expect(values[10]).toBeGreaterThan(0.75 * values[0]);
  }, 60_000);
  it('grams and millimetres move it by grams and millimetres: no key rounder than its argument', () => {
    const at = (mass: number, x: number) =>
      clMax({
        ...base,
        design: {
          ...base.design,
          items: base.design.items.map((i) => (i.id === 'battery' ? { ...i, weighed: mass, x } : i)),
        },
      }).value;
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 0.5, noNaN: true }),
        fc.double({ min: 0.13, max: 0.32, noNaN: true }),
        (mass, x) => {
          expect(Math.abs(at(mass + 0.001, x + 0.0005) / at(mass, x) - 1)).toBeLessThan(0.0008);
        },
      ),
      { seed: 6, numRuns: 6 },
    );
  }, 120_000);
  it('between its nodes it is what a sweep made there says, within 1 %', () => {
    const run = runOf(base, base.calibration, cache),
      { wing } = run.of(shape),
      coupled = run.of(coupledStep);
    for (const [scale, share] of [
      [4.1e5, 0.3],
      [6.2e5, 0.44],
      [9.9e5, 0.37],
    ]) {
      const x = wing.macX + share * wing.mac;
      const direct = sweepStall({
        coupled,
        sections: stripSections(coupled, run.of(sections).polars, (c) => scale * c),
        design: base.design,
        aero: run.of(latticeFree),
        x,
        z: 0,
      });
      expect(Math.abs(run.of(sweeps).at(scale, x).clMax / direct.clMax - 1)).toBeLessThan(0.01);
    }
  });
  it('a section that carries a tenth more gives the wing a tenth more, at a larger angle', () => {
    const shifted = {
      ...base,
      calibration: { ...base.calibration, mean: base.calibration.mean.map((v, i) => (i === 5 ? 1.1 : v)) },
    };
    const more = clMax(shifted).value / clMax(base).value;
    expect(more).toBeGreaterThan(1.07);
    expect(more).toBeLessThan(1.12);
  });
});
