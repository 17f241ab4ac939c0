/** The ribbon stands off the skin by the pressure, outward for suction; the scale stands still while angles are played. */
import { describe, expect, it } from 'vitest';
import type { FlowPicture, SurfaceStation } from '../section';
import { describeFace, leastCp, nearestPlace, ribbonOf, runsOf } from './pressureRibbon';

const station = (x: number, y: number, cp: number, state: SurfaceStation['state']): SurfaceStation => ({
  ...{ x, y, cp, state, dstar: 0.001, theta: 0.0005, cf: 0.003, shape: 2 },
});
const face = (side: 1 | -1, cp: number): SurfaceStation[] =>
  [0, 0.25, 0.5, 0.75, 1].map((x) => station(x, side * 0.05, cp, x < 0.5 ? 'laminar' : 'turbulent'));
const picture = { upper: face(1, -2), lower: face(-1, 0.5), wake: [] } as unknown as FlowPicture;

describe('the pressure ribbon', () => {
  const r = ribbonOf(picture, -2);
  it('suction stands outward above, pressure lies inward below, as wide as the coefficient', () => {
    for (const p of r.upper) expect(p.edge[1] - p.skin[1]).toBeCloseTo(2 * r.perCp, 12);
    // below, inward is upward
    for (const p of r.lower) expect(p.edge[1] - p.skin[1]).toBeCloseTo(0.5 * r.perCp, 12);
  });
  it('the deepest suction of all angles sets the scale, and pressure never crosses a thin section', () => {
    expect(ribbonOf(picture, -20).perCp * 20).toBeLessThanOrEqual(0.2400001);
    expect(ribbonOf(picture, -1).perCp).toBeLessThan(0.05);
    expect(leastCp([picture, null])).toBe(-2);
    expect(leastCp([])).toBe(-1);
  });
  it('runs of a state begin where the one before ends', () => {
    const runs = runsOf(r.upper, (p) => p.state);
    expect(runs.map((q) => q.kind)).toEqual(['laminar', 'turbulent']);
    expect(runs[1].list[0]).toBe(runs[0].list.at(-1));
  });
  it('the nearest place is on the face that is pointed at', () => {
    expect(nearestPlace(r, [0.5, 0.2]).side).toBe('upper');
    expect(nearestPlace(r, [0.76, -0.2])).toMatchObject({ side: 'lower', place: { cp: 0.5 } });
  });
  it('a face in words', () =>
    expect(describeFace(picture, 'upper')).toBe('Upper face: turbulent from 25 to 100 %.'));
});
