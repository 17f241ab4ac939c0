import { say, sentence } from '../words';
import { describe, expect, it } from 'vitest';
import { bitternDocument, bitternProject } from '../demo';
import { assess } from '../assess';
import { emptyRecord, type LogRow, type TestBody } from '../design';
import {
  preflightFor,
  cleanLog,
  combine,
  fitWind,
  measurementsOf,
  reduceLog,
  reduceRecord,
  rubberSeason,
  stopLine,
} from './index';

const doc = bitternDocument();

/** A racetrack of straight L and half turns of radius R at airspeed V in wind w along x, 5 rows a second. */
function racetrack(V: number, w: number, laps: number): LogRow[] {
  const rows: LogRow[] = [];
  let x = 0,
    y = 0,
    t = 0,
    h = 0;
  const dt = 0.2;
  const put = () => rows.push([t, x, y, 20, Math.hypot(V * Math.cos(h) + w, V * Math.sin(h)), 15, 8]);
  const fly = (s: number, rate: number) => {
    for (let k = 0; k < Math.round(s / dt); k++) {
      h += rate * dt;
      x += (V * Math.cos(h) + w) * dt;
      y += V * Math.sin(h) * dt;
      t += dt;
      put();
    }
  };
  for (let k = 0; k < laps; k++) {
    fly(120 / (V + w), 0);
    fly(5, Math.PI / 5);
    fly(120 / (V - w), 0);
    fly(5, Math.PI / 5);
  }
  return rows;
}

describe('wind and airspeed', () => {
  it('opposite runs: airspeed is the mean, wind half the difference (fact of the trade)', () => {
    const v = Array.from({ length: 12 }, (_, i): [number, number] =>
      i % 2 ? [18, 0.01 * i] : [-12, -0.01 * i],
    );
    const f = fitWind(v)!;
    expect(f.airspeed).toBeCloseTo(15, 1);
    expect(f.east).toBeCloseTo(3, 1);
  });
  it('a full circle gives both to a hundredth', () => {
    const f = fitWind(
      Array.from({ length: 24 }, (_, i) => [2 + 14 * Math.cos(i), -1 + 14 * Math.sin(i)] as const),
    )!;
    expect([f.airspeed, f.east, f.north]).toEqual([
      expect.closeTo(14, 6),
      expect.closeTo(2, 6),
      expect.closeTo(-1, 6),
    ]);
  });
  it('one heading, or a handful of points, is refused', () => {
    expect(fitWind(Array.from({ length: 20 }, () => [12, 0.1] as const))).toBeNull();
    expect(fitWind([[1, 2]])).toBeNull();
  });
});

describe('logs', () => {
  it('finds laps, lap energy and airspeed of a known racetrack', () => {
    const r = reduceLog(racetrack(16, 0, 5), 'ferry');
    const got = (q: string) => r.measurements.find((m) => m.quantity === q)!;
    const lap = 2 * Math.round(120 / 16 / 0.2) * 0.2 + 10;
    expect(got('lapTime').value).toBeCloseTo(lap, 1);
    expect(got('lapEnergy').value).toBeCloseTo(lap * 120, -1);
    expect(got('lapSpeed').value).toBeCloseTo(16, 1);
    expect(reduceLog(racetrack(16, 3, 5), 'ferry').wind!.speed).toBeCloseTo(3, 1);
    expect(r.remarks.join(' ')).toMatch(/take-off is not in the log/);
  });
  it('sorts, drops repeats and impossible rows, and tells of gaps', () => {
    const rows = racetrack(16, 0, 2);
    const broken: LogRow[] = [
      rows[5],
      ...rows.slice(0, 40),
      rows[39],
      [4, NaN, 0, 0, 0, 0, 0],
      [5, 1e9, 0, 0, 0, 0, 0],
      ...rows.slice(60),
    ];
    const c = cleanLog(broken);
    expect(c.rows.every((r, i) => i === 0 || r[0] > c.rows[i - 1][0])).toBe(true);
    expect(c.remarks.join(' ')).toMatch(/impossible.*out of order.*repeated.*gap/s);
  });
  it('a log on the ground says so and measures nothing', () => {
    const r = reduceLog(
      racetrack(16, 0, 1).map((q) => [q[0], q[1], q[2], 0, q[4], q[5], q[6]] as LogRow),
      'ferry',
    );
    expect(r.measurements).toEqual([]);
    expect(r.remarks[0]).toMatch(/never shows the aircraft in the air/);
  });
  it('energy is the integral of volts times amps', () =>
    expect(
      reduceLog(racetrack(16, 0, 2), 'ferry').energyUsed / (15 * 8 * (racetrack(16, 0, 2).at(-1)![0] - 0.2)),
    ).toBeCloseTo(1, 6));
});

describe('records', () => {
  const body = (patch: Partial<TestBody['record']>): TestBody => ({
    card: {
      title: '',
      question: '',
      oneChange: '',
      expected: '',
      stopWhen: '',
      state: 'tubes-6',
      overrideReason: '',
    },
    checklist: [],
    signedBy: '',
    log: null,
    measurements: [],
    record: emptyRecord({
      flown: true,
      temperature: 288,
      ...patch,
    }),
  });
  it('laps average with their spread; charge over time is current', () => {
    const m = reduceRecord(
      body({ laps: [26, 27, 28], chargeBefore: 9360, chargeAfter: 7560, duration: 300 }),
    );
    expect(m.find((x) => x.quantity === 'lapTime')).toMatchObject({ value: 27, state: 'tubes-6' });
    expect(m.find((x) => x.quantity === 'lapTime')!.sigma).toBeCloseTo(1 / Math.sqrt(3), 6);
    const mean = m.find((x) => x.quantity === 'lapCurrent')!;
    expect(mean.value).toBeCloseTo(6, 9);
    // a mean over take-off, climb and turns is not the current on the straights
    expect(mean.setAside).toBe(true);
  });
  it('nothing typed, nothing measured; charge that rose is not used', () => {
    expect(reduceRecord(body({}))).toEqual([]);
    expect(reduceRecord(body({ chargeBefore: 1, chargeAfter: 5, duration: 10 }))).toEqual([]);
  });
  it('form and log that disagree are told; both are kept, the reading of the person stands', () => {
    const b = { ...body({ laps: [60, 60, 60] }), log: { name: 'x', rows: racetrack(16, 0, 4), remarks: [] } };
    const r = measurementsOf(b);
    expect(r.measurements.filter((m) => m.quantity === 'lapTime').map((m) => m.setAside)).toEqual([
      false,
      true,
    ]);
    expect(r.remarks.join(' ')).toMatch(/disagree on lapTime/);
  });
  it('combining: equal readings halve the variance, scattered ones do not pretend to', () => {
    expect(
      combine([
        { value: 10, sigma: 1 },
        { value: 10, sigma: 1 },
      ]).sigma,
    ).toBeCloseTo(Math.SQRT1_2, 9);
    expect(
      combine([
        { value: 5, sigma: 1 },
        { value: 15, sigma: 1 },
      ]).sigma,
    ).toBeGreaterThan(4);
  });
});

describe('stop line', () => {
  const ledger = assess(doc.brief, doc.design, doc.calibration);
  it('names strength first for the weak-sparred demo, and the strip with twelve tubes', () => {
    const s = stopLine(doc.brief, doc.design, ledger, 'tubes-12').map((x) => sentence(x));
    expect(s[0]).toMatch(/break at [45]\.\d/);
    expect(s.some((x) => /ground run/i.test(x))).toBe(true);
  });
  it('is empty for a sound state and speaks when there is no ledger', () => {
    expect(
      stopLine(
        doc.brief,
        { ...doc.design, structure: { ...doc.design.structure, requiredLoadFactor: 1, requiredNegative: 1 } },
        ledger,
        'ferry',
      ),
    ).toEqual([]);
    expect(
      stopLine(
        doc.brief,
        doc.design,
        { entries: [], curves: [], findings: [], stopped: say('no-number', { name: 'Span' }) },
        'ferry',
      ),
    ).toEqual([say('no-number', { name: 'Span' })]);
  });
  it('the pre-flight list cautions of propeller, pack, people and rules', () =>
    expect(
      preflightFor(doc.design, doc.design.states[0])
        .filter((c) => c.caution)
        .map((c) => c.text)
        .join(' '),
    ).toMatch(/rules.*People.*Pack.*Propellers/s));
});

describe('one advance for the season', () => {
  const base = bitternProject().tests[0].body;
  const flight = (
    id: string,
    date: string,
    pitch: number | null,
    launchTurns: number,
    left: number,
    s: number,
  ) => ({
    id,
    body: {
      ...base,
      record: {
        ...base.record,
        flown: true,
        date,
        rubber: {
          launchTurns,
          turnsLeft: left,
          launchTorque: null,
          seconds: s,
          height: null,
          motorLength: null,
          pitch,
          clean: true,
        },
      },
    },
  });
  const INCH = 0.0254;
  it('24 in at 157.5 rpm flown at 150 rpm is 25.2 in, whatever the second flight was set to', () => {
    for (const set of [24, 20, 28]) {
      const [, second] = rubberSeason(
        [
          flight('a', '2026-01-01', 24 * INCH, 1400, 560, 320),
          flight('b', '2026-01-02', set * INCH, 1400, 650, 300),
        ],
        24 * INCH,
      );
      expect(second.pitch! / INCH).toBeCloseTo(25.2, 6);
    }
  });
  it('set to 450 mm but flown like 484: 480 mm at 157.5 rpm against 156.1 rpm (worked by hand)', () => {
    const [, second] = rubberSeason(
      [flight('a', '2026-01-01', 0.48, 1400, 560, 320), flight('b', '2026-01-02', 0.45, 1500, 610, 342)],
      0.48,
    );
    expect(second.pitch! * 1000).toBeCloseTo(484, 0);
  });
});
