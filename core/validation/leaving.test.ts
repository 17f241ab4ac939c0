/** Leaving and coming back against elementary mechanics and figures of the trade. */
import { describe, expect, it } from 'vitest';
import { G0 } from '../src/air';
import { waferDocument, bitternDocument } from '../src/demo';
import {
  away,
  groundRun,
  overObstacle,
  railSpeed,
  slungSpeed,
  stallSpeed,
  stoppingLoad,
  throwNeeded,
  type PointModel,
} from '../src/flight';
import { assess, entryOf } from '../src/assess';
import { loadPolars } from '../testing/polarStore';
import { beforeAll } from 'vitest';

beforeAll(loadPolars);

/** A plain glider: CD0 0.03, e 0.8, aspect ratio 8. */
function glider(mass: number, clMax = 1.1, thrust = 0): PointModel {
  const area = 0.25,
    density = 1.225;
  return {
    mass,
    density,
    area,
    clMax,
    fastest: 40,
    fullThrust: () => thrust,
    drag: (v, n = 1) => {
      const q = 0.5 * density * v * v,
        cl = (n * mass * G0) / (q * area);
      return q * area * (0.03 + (cl * cl) / (Math.PI * 0.8 * 8));
    },
  };
}

describe('thrown', () => {
  it('without lift or drag it is a projectile: 50 m down in √(2 h / g), V t ahead', () => {
    const stone: PointModel = { ...glider(1), clMax: 1e-9, drag: () => 0 },
      fall = away(stone, { speed: 10, angle: 0, height: 0, aim: 0.3 });
    const t = Math.sqrt((2 * 50) / G0);
    expect(fall.flies).toBe(false);
    expect(Math.abs(fall.time - t)).toBeLessThan(0.05);
    expect(Math.abs(fall.distance - 10 * t)).toBeLessThan(0.6);
  });
  it('faster, it loses less height; heavier, more; with head wind it needs less of a throw', () => {
    const at = (mass: number, speed: number) =>
      away(glider(mass), { speed, angle: 0, height: 1.8, aim: -0.1 }).lost;
    expect(at(0.9, 6)).toBeGreaterThan(at(0.9, 8));
    expect(at(1.1, 7)).toBeGreaterThanOrEqual(at(0.9, 7));
    const from = { angle: 0.05, height: 1.8, aim: -0.1 };
    expect(throwNeeded(glider(0.9), { ...from, wind: 2 }, 0.3, 25)!).toBeLessThan(
      throwNeeded(glider(0.9), { ...from, wind: 0 }, 0.3, 25)! - 1,
    );
  });
  it('above the stall it flies off the hand and loses nothing', () => {
    const m = glider(0.9, 1.1, 6);
    const a = away(m, { speed: 1.4 * stallSpeed(m), angle: 0.05, height: 1.8, aim: 0.1 });
    expect(a.flies).toBe(true);
    expect(a.lost).toBeLessThan(0.05);
  });
});

describe('lines, rails, stops', () => {
  it('a line gives half of pull times stretch, what is lost taken out', () => {
    const v = slungSpeed(2, { pull: 100, stretch: 10, efficiency: 1 }, 0);
    expect(0.5 * 2 * v * v).toBeCloseTo(500, 9);
    expect(slungSpeed(2, { pull: 100, stretch: 10, efficiency: 0.75 }, 0) / v).toBeCloseTo(
      Math.sqrt(0.75),
      9,
    );
  });
  it('a rail without friction or slope: v² = 2 a L; upright it loses the weight', () => {
    expect(railSpeed(2, { force: 50, length: 1, angle: 0, friction: 0 })).toBeCloseTo(Math.sqrt(50), 9);
    expect(railSpeed(2, { force: 2 * G0, length: 1, angle: Math.PI / 2, friction: 0 })).toBeCloseTo(0, 6);
  });
  // 7.62 m to or from 10 m/s is 0.67 g: a fact of the trade
  it('7.62 m from 10 m/s is 0.67 g', () => expect(stoppingLoad(10, 7.62)).toBeCloseTo(0.67, 2));
  it('over an obstacle: no lower than its own geometry, longer the higher it is', () => {
    const flat = overObstacle(8, 0.12, 0, 20),
      high = overObstacle(8, 0.12, 5, 20);
    expect(flat).toBeGreaterThan(20);
    // beyond the flare every metre costs 1 / tan
    expect(overObstacle(8, 0.12, 6, 20) - high).toBeCloseTo(1 / Math.tan(0.12), 9);
  });
});

describe('the run on a slope and on a dolly', () => {
  const run = (slope: number, carried: number, mass = 2) => {
    const r = groundRun(glider(mass, 1.2, 12), {
      friction: 0.05,
      wind: 0,
      liftOffFactor: 1.15,
      groundCl: 0.3,
      dragArea: 0.01,
      slope,
      carried,
    });
    return r.status === 'airborne' ? r.distance : Infinity;
  };
  it('uphill is longer, by the share of thrust that the slope takes', () => {
    // almost even acceleration: distance goes with one over the net force
    expect(run(0.05, 0) / run(0, 0)).toBeGreaterThan(1.08);
    expect(run(-0.05, 0)).toBeLessThan(run(0, 0));
  });
  it('a dolly is rolled along; more mass never shortens a run', () => {
    expect(run(0, 0.5)).toBeGreaterThan(1.2 * run(0, 0));
    expect(run(0, 0, 2.4)).toBeGreaterThan(run(0, 0, 2));
  });
});

describe('in the ledger', () => {
  it('the Wafer is thrown faster than it needs; a heavy motor model at its stall is told what it needs', () => {
    const { brief, design, calibration } = waferDocument(),
      ledger = assess(brief, design, calibration);
    const at = (id: 'launchSpeed' | 'throwNeeded' | 'launchOverStall' | 'stallSpeed') =>
      entryOf(ledger, id, 'clay-front')!.value;
    expect(at('launchOverStall')).toBeCloseTo(at('launchSpeed') / at('stallSpeed'), 9);
    expect(at('throwNeeded')).toBeLessThan(at('launchSpeed'));
  });
  it('nothing is told of a bungee that nobody described, and of what runs along a strip', () => {
    const doc = bitternDocument();
    doc.design.states[0].leaving = 'bungee';
    const ledger = assess(doc.brief, doc.design, doc.calibration);
    expect(ledger.entries.filter((e) => e.id.startsWith('launch'))).toEqual([]);
  });
});
