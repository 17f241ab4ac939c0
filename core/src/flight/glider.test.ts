import { describe, expect, it } from 'vitest';
import { climbGlide, glideRange, slopeWindow, stallSpeed, type PointModel } from './index';

/** A parabolic polar: CD = 0.02 + 0.05 CL². */
const model: PointModel = {
  mass: 1,
  density: 1.2,
  area: 0.3,
  clMax: 1.2,
  drag: (v, n = 1) => {
    const q = 0.6 * v * v,
      cl = (n * 9.80665) / (q * 0.3);
    return q * 0.3 * (0.02 + 0.05 * cl * cl);
  },
  fullThrust: () => 4,
};

describe('gliding', () => {
  const g = glideRange(model);
  it('best glide is 1 / (2 sqrt(CD0 k)) (closed form of the parabolic polar)', () =>
    expect(g.ratio).toBeCloseTo(1 / (2 * Math.sqrt(0.02 * 0.05)), 2));
  it('glide 8 from 100 m is 800 m; against 5 m/s at 10 m/s airspeed 400 m (trade)', () => {
    const eight: PointModel = { ...model, drag: () => 9.80665 / 8, clMax: 0.55 };
    expect(glideRange(eight).reach(100, 0).distance).toBeCloseTo(800, 6);
    const at10 = ((10 - 5) / (10 / 8)) * 100;
    expect(at10).toBeCloseTo(400, 9);
    expect(glideRange(eight).reach(100, 5).distance).toBeGreaterThanOrEqual(at10);
  });
  it('against the wind the best speed is faster, and too much wind blows it back', () => {
    expect(g.reach(100, 6).speed).toBeGreaterThan(g.reach(100, 0).speed);
    expect(g.reach(100, 60).distance).toBe(0);
    expect(g.fast).toBeGreaterThan(g.glideSpeed);
  });
  it('climb and glide: total time is energy over mean power; no climb, no cycle', () => {
    const c = climbGlide(model, 100, { climb: 80, off: 2 }, 30_000)!;
    expect(c.total).toBeCloseTo(30_000 / c.meanPower, 6);
    expect(c.glideTime).toBeCloseTo(100 / g.sink, 3);
    expect(climbGlide({ ...model, fullThrust: () => 0.1 }, 100, { climb: 80, off: 2 }, 30_000)).toBeNull();
  });
  it('a slope needs wind enough to lift the least sink, and not so much that it is blown back', () => {
    const s = slopeWindow(model, 0.35)!;
    expect(0.6 * s.from * Math.sin(0.35)).toBeGreaterThanOrEqual(g.sink - 0.05);
    expect(s.to * Math.cos(0.35)).toBeLessThanOrEqual(g.fast);
    expect(s.to).toBeGreaterThan(stallSpeed(model));
    expect(slopeWindow(model, 0.001)).toBeNull();
  });
});
