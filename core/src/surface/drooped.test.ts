/** Flaps of a state on the drawing. */
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import { drooped } from './drooped';
import { planformOf, stationAt } from './planform';

const { design } = bitternDocument(),
  wing = design.surfaces.find((s) => s.role === 'wing')!,
  { id: control, from, to, chordFraction } = wing.controls[0]!,
  tip = wing.stations.at(-1)!.y;
const set = (angle: number) => drooped(design, [{ surface: wing.id, control, angle }]);

describe('a wing with its flaps set', () => {
  it('is the drawing itself where they are not, or nil', () => {
    expect(drooped(design, undefined)).toBe(design);
    expect(set(0)).toBe(design);
    expect(set(0.3)).toBe(set(0.3));
  });
  it('keeps its plan', () => {
    const was = planformOf(wing),
      is = planformOf(set(0.3).surfaces.find((s) => s.id === wing.id)!);
    for (const k of ['area', 'span', 'mac', 'macX'] as const) expect(is[k]).toBeCloseTo(was[k], 9);
  });
  it.each([
    ['as drawn', from, to],
    ['from the root to a station', 0, wing.stations[1]!.y / tip],
    ['from a station to the tip', wing.stations[1]!.y / tip, 1],
  ])('has the section with its flap between its ends, its own elsewhere: %s', (_, from, to) => {
    const controls = [{ ...wing.controls[0]!, from, to }],
      drawn = { ...design, surfaces: design.surfaces.map((s) => (s === wing ? { ...s, controls } : s)) };
    const { surfaces, sections } = drooped(drawn, [{ surface: wing.id, control, angle: 0.3 }]),
      lowered = surfaces.find((s) => s.id === wing.id)!;
    for (let k = 0; k <= 200; k++) {
      const y = (k / 200) * tip,
        own = sections.find((s) => s.id === stationAt(lowered, y).section)!;
      const inside = y > (from + 1e-4) * tip && y < (to - 1e-4) * tip,
        outside = y < (from - 1e-4) * tip || y > (to + 1e-4) * tip;
      if (inside) expect(own.change!.flap!.angle, `${y}`).toBeCloseTo(0.3, 9);
      if (inside) expect(own.change!.flap!.hinge).toBeCloseTo(1 - chordFraction, 9);
      if (outside) expect(own.change?.flap ?? null, `${y}`).toBeNull();
    }
  });
  it('leaves the drawn sections beside those with flaps, and stations going outward', () => {
    const { surfaces, sections } = set(0.3);
    for (const s of design.sections) expect(sections).toContain(s);
    for (const s of surfaces)
      for (const st of s.stations) expect(sections.some((q) => q.id === st.section)).toBe(true);
    const ys = surfaces.find((s) => s.id === wing.id)!.stations.map((s) => s.y);
    expect(ys.every((y, i) => i === 0 || y > ys[i - 1]!)).toBe(true);
  });
});
