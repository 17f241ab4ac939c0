/** What workers hand back is what an assessment would have computed itself, and kept. */
import { computePolar, missingPolars } from '@skiametra/core/assess';
import { bitternDocument } from '@skiametra/core/demo';
import { describe, expect, it } from 'vitest';
import { polarOfSpec } from './polarOfSpec';
import { specKey } from './specKey';

const { design } = bitternDocument(),
  wing = design.surfaces.find((s) => s.role === 'wing')!,
  [first] = design.states;
const stepped = {
  kind: 'stepped' as const,
  digits: '2412',
  steps: [{ face: 'upper' as const, at: 0.5, depth: 0.02 }],
};
// none that another test keeps
const ownShape = { kind: 'naca4' as const, digits: '2414' };
const asked = missingPolars({
  ...design,
  sections: design.sections.map((s, i) => ({ ...s, shape: i === 1 ? stepped : ownShape })),
  states: [
    {
      ...first!,
      flaps: [{ surface: wing.id, control: wing.controls[0]!.id, angle: (25 * Math.PI) / 180 }],
    },
  ],
});

describe('polars that an assessment waits for', () => {
  it('steps and flaps set far ask for the flow alone, others for what the Sections station shares', () => {
    expect(asked.some((t) => t.flow && t.section.shape.kind === 'stepped')).toBe(true);
    expect(asked.some((t) => t.flow && t.section.change?.flap)).toBe(true);
    expect(asked.some((t) => !t.flow && t.section.shape.kind === 'naca4')).toBe(true);
  });
  it('come back as the assessment would have made them', { timeout: 120_000 }, () => {
    const one = (of: (t: (typeof asked)[number]) => boolean) =>
      asked.find((t) => of(t) && t.reynolds > 1.5e5)!;
    for (const task of [
      one((t) => t.section.shape.kind === 'stepped'),
      one((t) => t.flow === true && t.section.change?.flap !== undefined),
    ]) {
      const { section, reynolds, flow } = task;
      expect(polarOfSpec({ section, reynolds, ...(flow ? { flow } : {}) })).toEqual(computePolar(task));
      // and is not kept under the name of what the Sections station shows
      expect(specKey({ section, reynolds, flow: true })).not.toBe(specKey({ section, reynolds }));
    }
  });
});
