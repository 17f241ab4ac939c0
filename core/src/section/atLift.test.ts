import { describe, expect, it } from 'vitest';
import { flowAtLift } from './atLift';
import { dragAtLift } from './choice';
import { naca4, polarOf } from './index';

const polar = polarOf(naca4('2412'), 300_000);

describe('a section at the lift it works at', () => {
  it('agrees with the tables of lift and drag that ranking reads', () => {
    for (const lift of [0.2, 0.5, 0.8]) {
      const flow = flowAtLift(polar, lift)!;
      expect(flow.cd / dragAtLift(polar, lift)).toBeCloseTo(1, 6);
    }
  });
  it('meets the points of the polar at their own lift', () => {
    const p = polar.points.find((q) => !q.stalled && q.cl > 0.3)!;
    const flow = flowAtLift(polar, p.cl)!;
    expect(flow.alpha).toBeCloseTo(p.alpha, 9);
    expect(flow.laminarUpper).toBeCloseTo(p.transitionUpper, 9);
    expect(flow.toStall).toBeCloseTo(polar.alphaStall - p.alpha, 9);
  });
  it('more lift turns the upper face rough sooner', () => {
    expect(flowAtLift(polar, 0.8)!.laminarUpper).toBeLessThan(flowAtLift(polar, 0.2)!.laminarUpper);
  });
  it('says nothing of a lift that the section does not reach', () => {
    expect(flowAtLift(polar, polar.clMax + 0.1)).toBeNull();
    expect(flowAtLift(polar, Number.NaN)).toBeNull();
  });
});
