import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import { linePoints, towedLine } from '../drag';
import { lineClearance } from './clearance';

const { design } = bitternDocument(),
  tail = design.surfaces.find((s) => s.id === 'tail')!;
const towed = (more = {}) => ({
  mass: 0.35,
  dragArea: 0.004,
  line: 8,
  lineDiameter: 0.001,
  x: 0.45,
  z: -0.05,
  ...more,
});
const said = (t: ReturnType<typeof towed>, speed = 15) =>
  lineClearance(design, { towed: t }, speed, 1.225).map((s) => s.code);

describe('a line against tail and propeller', () => {
  it('its points end where its body hangs', () => {
    const t = towed(),
      points = linePoints(t, 15, 1.225),
      shape = towedLine(t, 15, 1.225);
    expect(points[0]).toEqual({ behind: 0, below: 0 });
    expect(points.at(-1)!.behind).toBeCloseTo(shape.behind, 9);
    expect(points.at(-1)!.below).toBeCloseTo(shape.below, 9);
  });
  it('nothing hangs: nothing is said; hanging steeply it is clear of the tail', () => {
    expect(lineClearance(design, {}, 15, 1.225)).toEqual([]);
    expect(said(towed({ mass: 3 }))).toEqual([]);
  });
  it('a light body that drags hard streams out level with the hook: through a tail that stands lower', () => {
    const low = tail.z + tail.stations[0]!.z;
    expect(said(towed({ mass: 0.02, dragArea: 0.05, z: low + 0.05 }))).toContain('line-meets-tail');
  });
  it('a propeller behind the hook, in the line’s way, is told', () => {
    const pusher = { ...design.thrusters[0]!, x: 0.6, y: 0, z: -0.06, diameter: 0.25 },
      d = { ...design, thrusters: [pusher] };
    const hung = towed({ mass: 0.05, dragArea: 0.02 });
    expect(lineClearance(d, { towed: hung }, 15, 1.225).map((s) => s.code)).toContain('line-meets-propeller');
    const aside = { ...pusher, y: 0.5 };
    expect(
      lineClearance({ ...d, thrusters: [aside] }, { towed: hung }, 15, 1.225).map((s) => s.code),
    ).not.toContain('line-meets-propeller');
  });
});
