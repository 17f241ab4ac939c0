/** Faults of a log are found, counted and taken back; what is read off it is what was flown. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cleanLog, faultCounts, faultId, placed, reduceFlight, type FlightLog } from './index';
import { slopeWeights } from './motion';
import { glidePolar, sinkOf } from './polar';
import { fitWind, kasaCircle } from './wind';
import { radiiAt } from './place';

const STEP = 0.2;
/** Round and round at one airspeed in a wind, at one height. */
function circling(count: number, noise: () => number = () => 0): FlightLog {
  const V = 14,
    wind = [3, -1.5],
    t = Float64Array.from({ length: count }, (_, i) => STEP * i);
  const east = new Float64Array(count),
    north = new Float64Array(count),
    speed = new Float64Array(count);
  let x = 0,
    y = 0;
  for (let i = 0; i < count; i++) {
    const at = 0.35 * t[i],
      u = V * Math.sin(at) + wind[0],
      v = V * Math.cos(at) + wind[1];
    east[i] = x + 0.3 * noise();
    north[i] = y + 0.3 * noise();
    speed[i] = Math.hypot(u, v);
    x += u * STEP;
    y += v * STEP;
  }
  const height = t.map((_, i) => (i < 10 ? 0 : 40) + 0.1 * noise());
  return { t, channels: { east, north, height, groundSpeed: speed }, events: [], begun: null };
}
/** Normal deviates that are the same every time. */
function normals(seed: number): () => number {
  let s = seed;
  const next = () => ((s = (1103515245 * s + 12345) % 2147483648) + 0.5) / 2147483648;
  return () => Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
}
const rows = (log: FlightLog, order: readonly number[]): FlightLog => ({
  ...log,
  t: Float64Array.from(order, (i) => log.t[i]),
  channels: Object.fromEntries(
    Object.entries(log.channels).map(([id, of]) => [id, Float64Array.from(order, (i) => of[i])]),
  ),
});
const changed = (
  log: FlightLog,
  id: 'east' | 'height' | 'groundSpeed',
  set: (v: number, i: number) => number,
) => ({
  ...log,
  channels: { ...log.channels, [id]: log.channels[id]!.map(set) },
});
const countsOf = (log: FlightLog) => faultCounts(cleanLog(log).faults);
const whole = circling(300, normals(1));
const all = [...whole.t.keys()];

describe('what is wrong with a log', () => {
  it('a clean one has no fault', () =>
    expect(countsOf(whole)).toEqual({
      ...{ duplicates: 0, disorder: 0, jumps: 0, gaps: 0, spikes: 0, frozen: 0, empty: 0 },
    }));
  it('rows twice and rows that came late come back to what it was', () => {
    const late = [...all.slice(0, 50), ...all.slice(52, 60), 50, 51, ...all.slice(60)],
      twice = [...late.slice(0, 100), late[99], ...late.slice(100)];
    const { log, faults } = cleanLog(rows(whole, twice));
    expect(faultCounts(faults)).toMatchObject({ duplicates: 1, disorder: 2 });
    expect([...log.t]).toEqual([...whole.t]);
    expect([...log.channels.east!]).toEqual([...whole.channels.east!]);
  });
  it('a gap, a spike there and back, an empty cell', () => {
    const gone = rows(whole, [...all.slice(0, 80), ...all.slice(95)]);
    expect(countsOf(gone)).toMatchObject({ gaps: 1, spikes: 0 });
    const spiked = changed(whole, 'east', (v, i) => (i === 120 || i === 121 ? v + 300 : v)),
      { log, faults } = cleanLog(spiked);
    expect(faultCounts(faults)).toMatchObject({ spikes: 2 });
    expect(log.channels.east![120]).toBeNaN();
    // taken back by its name
    const spike = faults.find((f) => f.kind === 'spikes')!;
    expect(cleanLog(spiked, new Set([faultId(spike)])).log.channels.east![120]).toBe(
      spiked.channels.east![120],
    );
    expect(countsOf(changed(whole, 'height', (v, i) => (i === 7 ? NaN : v)))).toMatchObject({ empty: 1 });
  });
  it('a fix that stands still while the aircraft flies', () => {
    const still = (v: Float64Array) => v.map((x, i) => (i > 150 && i < 200 ? v[150] : x)),
      { channels } = whole;
    const frozen = {
      ...whole,
      channels: { ...channels, east: still(channels.east!), north: still(channels.north!) },
    };
    expect(countsOf(frozen)).toMatchObject({ frozen: 49, spikes: 0 });
  });
  it('a receiver of one fix a second in a log of five rows a second is none', () => {
    const held = (v: Float64Array) => v.map((_, i) => v[i - (i % 5)]),
      { channels } = whole;
    const slow = {
      ...whole,
      channels: { ...channels, east: held(channels.east!), north: held(channels.north!) },
    };
    expect(countsOf(slow)).toMatchObject({ frozen: 0, spikes: 0 });
  });
  it('a clock that is set back or ahead goes on', () => {
    for (const by of [-3600, 7200]) {
      const set = { ...whole, t: whole.t.map((t, i) => (i >= 140 ? t + by : t)) },
        { log, faults } = cleanLog(set);
      expect(faultCounts(faults)).toMatchObject({ jumps: 1, disorder: 0, gaps: 0 });
      expect(log.t[299]).toBeCloseTo(whole.t[299], 6);
    }
  });
  it('whole seconds are spread over their rows', () => {
    const { log } = cleanLog({ ...whole, t: whole.t.map((t) => Math.floor(t + 1e-9)) });
    expect(log.t[7]).toBeCloseTo(1.4, 9);
    expect(log.t).toHaveLength(300);
  });
  it('law: rows in any order of late ones come back sorted, none lost but repeats', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(299), { maxLength: 20 }), (again) => {
        const { log, faults } = cleanLog(
          rows(
            whole,
            [...all, ...again].sort((a, b) => a - b),
          ),
        );
        expect(log.t).toHaveLength(300);
        expect(faultCounts(faults).duplicates).toBe(again.length);
      }),
      { numRuns: 30, seed: 2 },
    );
  });
});

describe('places', () => {
  it('a second of latitude is 30.92 m at 45 degrees (WGS 84: 111 132 m a degree)', () =>
    expect((radiiAt(Math.PI / 4).meridian * Math.PI) / 180).toBeCloseTo(111132, -1));
  it('across the date line the way goes on', () => {
    const lon = Float64Array.from([179.9999, -179.9999], (d) => (d * Math.PI) / 180),
      lat = new Float64Array(2);
    const { channels } = placed({ t: new Float64Array(2), channels: { lat, lon }, events: [], begun: null });
    expect(channels.east![1]).toBeCloseTo(22.26, 1);
  });
});

describe('slopes and circles', () => {
  it('a local cubic gives the slope of a cubic exactly', () => {
    const w = slopeWeights(4),
      f = (x: number) => 2 - x + 3 * x * x - 0.7 * x ** 3;
    let slope = 0;
    for (let k = 1; k <= 4; k++) slope += w[k] * (f(k) - f(-k));
    expect(slope).toBeCloseTo(-1, 10);
  });
  const on = (n: number, of: (a: number) => [number, number]) => {
    const p = Array.from({ length: n }, (_, i) => of((2 * Math.PI * i) / n));
    return { east: Float64Array.from(p, (q) => q[0]), north: Float64Array.from(p, (q) => q[1]) };
  };
  it('a circle through points of a circle is that circle, by closed form and by the robust fit', () => {
    const points = on(24, (a) => [3 + 12 * Math.cos(a), -2 + 12 * Math.sin(a)]);
    expect(kasaCircle(points).map((v) => v)).toEqual([3, -2, 12].map((v) => expect.closeTo(v, 9)));
    const fit = fitWind({ ...points, sensor: null })!;
    expect([fit.east, fit.north, fit.airspeed]).toEqual([3, -2, 12].map((v) => expect.closeTo(v, 6)));
  });
  it('two opposite headings tell the wind along them; one heading tells nothing', () => {
    const noise = normals(3),
      run = (v: number) => Array.from({ length: 40 }, () => v + 0.1 * noise());
    const both = {
      east: Float64Array.from([...run(16), ...run(-10)]),
      north: Float64Array.from([...run(0), ...run(0)]),
    };
    expect(fitWind({ ...both, sensor: null })!.east).toBeCloseTo(3, 0);
    expect(
      fitWind({ east: Float64Array.from(run(16)), north: Float64Array.from(run(0)), sensor: null }),
    ).toBeNull();
  });
  it('a sensor that reads a tenth short is found so', () => {
    const points = on(60, (a) => [2 + 12 * Math.cos(a), 12 * Math.sin(a)]);
    const fit = fitWind({ ...points, sensor: new Float64Array(60).fill(12 / 1.1) })!;
    expect(fit.factor).toBeCloseTo(1.1, 6);
  });
  it('a factor does not shrink with what its sensor scatters by, nor grow with what the climb does', () => {
    const n = 6000,
      noise = normals(11),
      of = (f: (i: number) => number) => Float64Array.from({ length: n }, (_, i) => f(i)),
      at = (i: number) => (40 * Math.PI * i) / n,
      fit = fitWind({
        east: of((i) => 3 + 12 * Math.cos(at(i))),
        north: of((i) => 12 * Math.sin(at(i))),
        // a tenth of the airspeed: uncorrected the factor would come out a hundredth short
        sensor: of(() => 12 + 1.2 * noise()),
        climb: of(() => 1.2 * noise()),
        climbNoise: 1.2,
      })!;
    expect(fit.factor).toBeGreaterThan(0.998);
    expect(fit.factor).toBeLessThan(1.002);
  });
});

describe('a polar', () => {
  it('is met by its own points', () => {
    const task = { mass: 1.2, area: 0.3, density: 1.225 },
      W = 1.2 * 9.80665,
      drag = (V: number) => {
        const q = 0.5 * 1.225 * V * V;
        return q * 0.009 + (0.06 * W * W) / (q * 0.3);
      };
    const points = [8, 10, 13, 17].map((speed) => ({
      speed,
      sink: (drag(speed) * speed) / W,
      sigma: 0.01,
      missed: 0,
      load: 1,
    }));
    const polar = glidePolar({ ...task, points })!;
    expect(polar.dragArea).toBeCloseTo(0.009, 9);
    expect(polar.k).toBeCloseTo(0.06, 9);
    // best glide: half the root of 1 / (k CD0)
    expect(polar.ratio.value).toBeCloseTo(0.5 / Math.sqrt(0.06 * 0.03), 6);
    expect(polar.sink.value).toBeLessThan(Math.min(...points.map((p) => p.sink)) + 1e-9);
  });
  it('a sensor that is wrong all through widens the best glide by as much and the least sink not at all', () => {
    const task = { mass: 1.2, area: 0.3, density: 1.225 },
      points = [8, 10, 13, 17].map((speed) => ({
        speed,
        sink: sinkOf([0.009, 0.06], speed, task).sink,
        sigma: 1e-5,
        missed: 0,
        load: 1,
      }));
    const polar = glidePolar({ ...task, points, common: 0.05 })!;
    expect(polar.ratio.sigma / polar.ratio.value).toBeCloseTo(0.05, 3);
    expect(polar.sink.sigma / polar.sink.value).toBeLessThan(1e-3);
    // the same by flying it again with every speed read a little too high
    const high = glidePolar({ ...task, points: points.map((p) => ({ ...p, speed: 1.001 * p.speed })) })!;
    expect(high.dragArea / polar.dragArea).toBeCloseTo(1 - 3e-3, 4);
    expect(high.ratio.value / polar.ratio.value).toBeCloseTo(1.001, 5);
    expect(high.sink.value / polar.sink.value).toBeCloseTo(1, 5);
  });
  it('near speeds do not tell its parts apart', () =>
    expect(
      glidePolar({
        mass: 1,
        area: 0.2,
        density: 1.2,
        points: [10, 10.5].map((speed) => ({ speed, sink: 0.6, sigma: 0.02, missed: 0, load: 1 })),
      }),
    ).toBeNull());
});

describe('a flight in circles', () => {
  it('wind and airspeed within three of their spreads, and the time in the air', () => {
    const { results } = reduceFlight(cleanLog(whole).log, { mass: null, area: null, density: null }),
      at = (id: string) => results.find((r) => r.id === id)!;
    const speed = Math.hypot(3, 1.5);
    expect(Math.abs(at('windSpeed').value - speed)).toBeLessThan(3 * at('windSpeed').sigma);
    expect(Math.abs(at('airspeed').value - 14)).toBeLessThan(3 * at('airspeed').sigma);
    expect(at('windSpeed').sigma).toBeLessThan(0.3);
    // blows towards the east and a little south: from the west-north-west
    expect((at('windFrom').value * 180) / Math.PI).toBeCloseTo(296.6, -1);
    // the log never shows the ground: what moves, flies
    expect(at('endurance').value).toBeCloseTo(59, 0);
    expect(results.some((r) => r.id === 'peakHeight')).toBe(false);
    expect(results.some((r) => r.id === 'dragArea')).toBe(false);
  });
});

describe('a spike at the end of a gap', () => {
  it('is seen by how fast it comes back, though the gap would let it go so far', () => {
    const t = Float64Array.from([2.4, 2.6, 2.8, 3, 63, 63.2, 63.4, 63.6, 63.8, 64]),
      log: FlightLog = {
        t,
        begun: null,
        events: [],
        channels: { groundSpeed: t.map((_, i) => (i === 4 ? 45 : 14)) },
      };
    const { log: clean, faults } = cleanLog(log);
    expect(faults.filter((f) => f.kind === 'spikes')).toMatchObject([{ from: 63, to: 63, count: 1 }]);
    expect(clean.channels.groundSpeed![4]).toBeNaN();
    // the last before a gap as well
    const other = { ...log, channels: { groundSpeed: t.map((_, i) => (i === 3 ? 45 : 14)) } };
    expect(cleanLog(other).faults.filter((f) => f.kind === 'spikes')).toMatchObject([{ from: 3, count: 1 }]);
  });
});
