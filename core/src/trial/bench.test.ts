import { describe, expect, it } from 'vitest';
import { bitternDocument, bitternProject, gnatDocument, gnatProject } from '../demo';
import { priorCalibration, type BenchBody, type TestBody, setPath } from '../design';
import { assess, entryOf, entryNamed } from '../assess';
import { calibrate } from '../refine';
import { operate } from '../power';
import {
  benchDrive,
  designOfTheDay,
  fittedNow,
  isOwnDrive,
  reduceBench,
  reduceRubber,
  rubberSeason,
  steadyPoints,
  tareOf,
} from './index';

const doc = bitternDocument();
const none = { propeller: null, pack: null, claim: null };

/** A run of a drive with known factors, as a table with a zero of the scale. */
function table(
  truth: { thrust: number; torque: number; loss: number },
  zero = 0,
  throttles = [0.5, 0.75, 1],
): BenchBody['runs'][number] {
  const d = benchDrive(doc.design, none, 1.2244),
    real = {
      ...d,
      thrustFactor: truth.thrust,
      torqueFactor: truth.torque,
      motorResistance: d.motorResistance * truth.loss,
      escResistance: d.escResistance * truth.loss,
      wireResistance: d.wireResistance * truth.loss,
      noLoadFactor: truth.loss,
      avionics: 0,
    };
  return {
    name: 'made',
    kind: 'table',
    rows: [
      [0, 0, 16.7, 0, zero, 0, null],
      ...throttles.map((t, i): BenchBody['runs'][number]['rows'][number] => {
        const o = operate(real, t, 0, 0.95);
        return [10 * (i + 1), t, o.voltage, o.current, o.thrust + zero, o.omega, null];
      }),
      [50, 0, 16.6, 0, zero, 0, null],
    ],
  };
}

describe('thrust stand', () => {
  it('factors of a known drive come back exactly, whatever the zero of the scale', () => {
    for (const zero of [0, 0.3, -0.2]) {
      const r = reduceBench(
        doc.brief,
        doc.design,
        priorCalibration(),
        { ...none, runs: [table({ thrust: 0.92, torque: 1.07, loss: 1.2 }, zero)] },
        288.15,
      );
      expect(r.fit!.thrust).toBeCloseTo(0.92, 2);
      expect(r.fit!.torque).toBeCloseTo(1.07, 2);
      expect(r.fit!.loss).toBeCloseTo(1.2, 1);
      expect(r.remarks.some((x) => /wrong tare/.test(x))).toBe(zero !== 0);
    }
  });
  it('a drifting zero is taken off in proportion to time', () => {
    const run = table({ thrust: 1, torque: 1, loss: 1 });
    run.rows = run.rows.map((r) => [r[0], r[1], r[2], r[3], r[4] + 0.008 * r[0], r[5], r[6]]);
    const r = reduceBench(doc.brief, doc.design, priorCalibration(), { ...none, runs: [run] }, 288.15);
    expect(r.fit!.thrust).toBeCloseTo(1, 2);
    expect(r.remarks.join(' ')).toMatch(/zero wandered by 0\.4/);
  });
  it('no stopped row, no full throttle, runs apart: each is said', () => {
    const whole = table({ thrust: 1, torque: 1, loss: 1 });
    const bare = { ...whole, rows: whole.rows.filter((r) => r[1] > 0) };
    expect(
      reduceBench(doc.brief, doc.design, priorCalibration(), { ...none, runs: [bare] }, 288).remarks.join(
        ' ',
      ),
    ).toMatch(/zero is not known/);
    const part = reduceBench(
      doc.brief,
      doc.design,
      priorCalibration(),
      { ...none, runs: [table({ thrust: 1, torque: 1, loss: 1 }, 0, [0.4, 0.6])] },
      288,
    );
    expect(part.fit).toBeNull();
    expect(part.measurements).toEqual([]);
    expect(part.remarks.join(' ')).toMatch(/No steady point at full throttle/);
    expect(
      reduceBench(
        doc.brief,
        doc.design,
        priorCalibration(),
        { ...none, runs: [whole, table({ thrust: 0.9, torque: 1, loss: 1 })] },
        288,
      ).remarks.join(' '),
    ).toMatch(/Runs differ by 1\d %/);
  });
  it('windows that still change are marked and not used', () => {
    const rows = Array.from({ length: 20 }, (_, i): BenchBody['runs'][number]['rows'][number] => [
      i / 10,
      1,
      16,
      10,
      8,
      500 + 20 * i,
      null,
    ]);
    expect(steadyPoints(rows, 0, 'log')[0].steady).toBe(false);
    expect(
      steadyPoints(
        rows.map((r) => [r[0], r[1], r[2], r[3], r[4], 500, null]),
        0,
        'log',
      )[0].steady,
    ).toBe(true);
    expect(tareOf(rows)).toBeNull();
  });
  it('only the propeller that flies teaches the model; another keeps its factors', () => {
    const bench = bitternProject()
      .tests.map((t) => t.body.bench)
      .filter((b) => b !== undefined);
    expect(bench.length).toBe(4);
    expect(bench.map((b) => isOwnDrive(doc.design, b))).toEqual([true, false, false, true]);
    const other = reduceBench(doc.brief, doc.design, priorCalibration(), bench[2], 286.15);
    expect(other.measurements).toEqual([]);
    expect(other.correction!.thrust).toBeGreaterThan(0.84);
    expect(other.correction!.thrust).toBeLessThan(0.94);
  });
  it('a propeller or motor changed since is not what was measured: its readings teach nothing of the new one', () => {
    const own = {
      ...none,
      fitted: fittedNow(doc.design, null),
      runs: [table({ thrust: 0.92, torque: 1.07, loss: 1.2 })],
    };
    for (const next of [
      setPath(doc.design, 'drives.main.propeller.pitch', 0.2),
      setPath(doc.design, 'drives.main.motor.kv', 80),
    ]) {
      const r = reduceBench(doc.brief, next, priorCalibration(), own, 288.15);
      expect(r.measurements).toEqual([]);
      expect(r.fit!.thrust).toBeCloseTo(0.92, 2);
    }
    expect(reduceBench(doc.brief, doc.design, priorCalibration(), own, 288.15).measurements).toHaveLength(3);
  });
  it('fed to the model, the predictions move to the bench and grow surer', () => {
    const body = bitternProject().tests[0].body,
      before = assess(doc.brief, doc.design, doc.calibration);
    const r = calibrate(
      priorCalibration(),
      [{ brief: doc.brief, design: doc.design, measurements: body.measurements }],
      ['b1'],
    );
    const after = assess(doc.brief, doc.design, r.status === 'updated' ? r.calibration : priorCalibration());
    for (const m of body.measurements) {
      const b = entryNamed(before, m.quantity, 'all')!,
        a = entryNamed(after, m.quantity, 'all')!;
      expect(Math.abs(a.value - m.value)).toBeLessThan(Math.abs(b.value - m.value) + 1e-9);
      expect(a.sigma).toBeLessThan(b.sigma);
    }
  });
});

describe('rubber records', () => {
  const record = {
    launchTurns: 1500,
    turnsLeft: 975,
    launchTorque: 0.0018,
    seconds: 200,
    height: 7,
    motorLength: null,
    pitch: null,
    clean: true,
  };
  it('rpm from turns; a flight that is not clean is set aside', () => {
    const list = reduceRubber(record, 'flight'),
      got = (q: string) => list.find((m) => m.quantity === q)!;
    expect((got('propellerRpm').value * 60) / (2 * Math.PI)).toBeCloseTo(157.5, 6);
    expect(got('flightTime').value).toBe(200);
    expect(reduceRubber({ ...record, clean: false }, 'flight').every((m) => m.setAside)).toBe(true);
    expect(
      reduceRubber({ ...record, turnsLeft: null, height: null, launchTorque: null }, 'flight').map(
        (m) => m.quantity,
      ),
    ).toEqual(['flightTime']);
  });
  it('the prediction of a day is flown with the turns of that day', () => {
    const d = gnatDocument().design,
      day = designOfTheDay(d, { rubber: record } as TestBody['record']);
    const g = assess(gnatDocument().brief, day, priorCalibration());
    expect(entryOf(g, 'launchTurns', 'all')!.value).toBeCloseTo(1500, 3);
    expect(designOfTheDay(doc.design, { rubber: record } as TestBody['record'])).toBe(doc.design);
  });
  it('the season is in order of date, with the pitch that each blade must have flown', () => {
    const p = gnatProject(),
      season = rubberSeason(
        p.tests.map((t, i) => ({ id: String(i), body: t.body })),
        0.52,
      );
    expect(season.length).toBe(8);
    expect(season[0].pitch).toBeCloseTo(0.52, 9);
    expect(season.filter((s) => !s.clean).length).toBe(1);
    expect([...season].sort((a, b) => a.date.localeCompare(b.date)).map((s) => s.id)).toEqual(
      season.map((s) => s.id),
    );
  });
});
