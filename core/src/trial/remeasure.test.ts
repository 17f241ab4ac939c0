/** What a test says is what a person or an instrument read, under its own source; nothing invented, nothing replaced unasked. */
import { beforeAll, describe, expect, it } from 'vitest';
import { assess, type Ledger } from '../assess';
import { bitternDocument, gnatDocument } from '../demo';
import { emptyRecord, type LogRow, type TestBody } from '../design';
import {
  designOfTheDay,
  measurementsOf,
  recordQuestions,
  reduceRubber,
  remeasured,
  rubberSeason,
  SIMULATED_LOG,
} from './index';

const record = emptyRecord({
  flown: true,
  date: '2026-06-01',
  temperature: 288,
  wind: 1,
});
const body = (patch: Partial<TestBody['record']>, log: TestBody['log'] = null): TestBody => {
  const made: TestBody = {
    card: {
      title: 'Hop',
      question: '',
      oneChange: '',
      expected: '',
      stopWhen: '',
      state: 'tubes-8',
      overrideReason: '',
    },
    checklist: [],
    signedBy: '',
    log,
    measurements: [],
    record: { ...record, ...patch },
  };
  return { ...made, measurements: measurementsOf(made).measurements };
};
const rubber = {
  turnsLeft: null,
  launchTorque: null,
  height: null,
  motorLength: null,
  pitch: null,
  clean: true,
};
const of = (b: Pick<TestBody, 'measurements'>, quantity: string) =>
  b.measurements.filter((m) => m.quantity === quantity);
const edit = (b: TestBody, patch: Partial<TestBody['record']>): TestBody => {
  const next = { ...b, record: { ...b.record, ...patch } };
  return { ...next, measurements: remeasured(b, next) };
};

/** Laps of 20 s at 12 m/s on a racetrack, five rows a second. */
function flight(laps: number): LogRow[] {
  const rows: LogRow[] = [];
  let x = 0,
    y = 0,
    h = 0;
  for (let k = 0; k < laps * 100; k++) {
    const turning = k % 50 >= 40;
    h += turning ? Math.PI / 10 : 0;
    x += 12 * Math.cos(h) * 0.2;
    y += 12 * Math.sin(h) * 0.2;
    rows.push([k * 0.2, x, y, 20, 12, 15, 8]);
  }
  return rows;
}
const log = (name: string) => ({ name, rows: flight(6), remarks: [] });

describe('turns of a rubber model', () => {
  it('typing them measures nothing but themselves (“time aloft 1 s” was made up)', () => {
    expect(reduceRubber({ ...rubber, launchTurns: 1400, seconds: null }, 'flight')).toEqual([]);
    expect(body({ rubber: { ...rubber, launchTurns: 1400, seconds: null } }).measurements).toEqual([]);
  });
  it('time without turns is a time; with turns left it is no rotation', () => {
    const m = reduceRubber({ ...rubber, launchTurns: null, seconds: 90, turnsLeft: 100 }, 'flight');
    expect(m.map((x) => x.quantity)).toEqual(['flightTime']);
  });
  it('a flight without its time is not in the season, and flies the design’s own turns', () => {
    const b = body({ rubber: { ...rubber, launchTurns: 900, seconds: null } });
    expect(rubberSeason([{ id: '1', body: b }], 0.5)).toEqual([]);
    const own = gnatDocument().design,
      same = designOfTheDay(own, { ...record, rubber: { ...rubber, launchTurns: null, seconds: 80 } });
    expect(same.power.rubber!.wound).toBeCloseTo(own.power.rubber!.wound, 9);
    expect(same.power.rubber!.backedOff).toBeCloseTo(own.power.rubber!.backedOff, 6);
  });
});

describe('two readings of one thing', () => {
  it('a simulated log never stands over what a person timed, and says what it is', () => {
    const b = body({ laps: [24, 25, 24], groundRun: 14 }, log(SIMULATED_LOG));
    const laps = of(b, 'lapTime');
    expect(laps.map((m) => [m.from.split(':')[0], m.setAside])).toEqual([
      ['3 timed laps', false],
      [SIMULATED_LOG, true],
    ]);
    expect(of(b, 'groundRun').find((m) => m.from.startsWith('tape'))).toMatchObject({
      value: 14,
      setAside: false,
    });
  });
  it('a log that agrees is used beside the form; one that does not waits to be asked for', () => {
    const agreeing = body({ laps: [20, 20, 20] }, log('hop.csv'));
    expect(of(agreeing, 'lapTime').map((m) => m.setAside)).toEqual([false, false]);
    const other = body({ laps: [31, 32, 31] }, log('hop.csv'));
    expect(of(other, 'lapTime').map((m) => m.setAside)).toEqual([false, true]);
    expect(measurementsOf(other).remarks.join()).toMatch(
      /disagree on lapTime: 31\.3 against 20\.\d\. .*choose/,
    );
  });
  it('what only the log has is used', () => {
    const b = body({}, log('hop.csv'));
    expect(b.measurements.length).toBeGreaterThan(0);
    expect(b.measurements.every((m) => !m.setAside && m.from.startsWith('log: '))).toBe(true);
  });
});

describe('set aside', () => {
  it('unticking “clean” and ticking it again leaves nothing set aside', () => {
    const b = body({ rubber: { ...rubber, launchTurns: 1000, seconds: 100 } });
    const dirty = edit(b, { rubber: { ...b.record.rubber!, clean: false } });
    expect(dirty.measurements.every((m) => m.setAside)).toBe(true);
    const again = edit(dirty, { rubber: { ...dirty.record.rubber!, clean: true } });
    expect(again.measurements.some((m) => m.setAside)).toBe(false);
  });
  it('what a person set aside stays so through other edits, and what was taken back too', () => {
    const b = body({ laps: [24, 25, 24], groundRun: 14 });
    const chosen = {
      ...b,
      measurements: b.measurements.map((m) => ({ ...m, setAside: m.quantity === 'lapTime' })),
    };
    const later = edit(chosen, { stallSpeed: 8 });
    expect(later.measurements.filter((m) => m.setAside).map((m) => m.quantity)).toEqual(['lapTime']);
    const disagreeing = body({ laps: [31, 32, 31] }, log('hop.csv'));
    const taken = {
      ...disagreeing,
      measurements: disagreeing.measurements.map((m) => ({ ...m, setAside: false })),
    };
    expect(
      edit(taken, { notes: 'gusty' }).measurements.some((m) => m.quantity === 'lapTime' && m.setAside),
    ).toBe(false);
  });
  it('a test taken back to planned has no measurements', () =>
    expect(edit(body({ groundRun: 14 }), { flown: false }).measurements).toEqual([]));
});

describe('figures that nothing is made of are told (charge was ignored without a word)', () => {
  const said = (patch: Partial<TestBody['record']>) => measurementsOf(body(patch)).remarks.join();
  it.each([
    [{ chargeBefore: 9000 }, /One charge alone/],
    [{ chargeBefore: 9000, chargeAfter: 9000 }, /not below the charge before/],
    [{ chargeBefore: 9000, chargeAfter: 4000 }, /without the motor time/],
    [{ chargeBefore: 9000, chargeAfter: 4000, duration: 300 }, /^$/],
    [{}, /^$/],
  ] as [Partial<TestBody['record']>, RegExp][])('%o', (patch, re) => expect(said(patch)).toMatch(re));
});

describe('questions of a record', () => {
  const doc = bitternDocument();
  let ledger: Ledger;
  beforeAll(() => {
    ledger = assess(doc.brief, doc.design, doc.calibration);
  });
  it('a reading far from the prediction is asked about, with the slip of ten where it is one', () => {
    const run = ledger.entries.find((e) => e.id === 'groundRun' && e.state === 'tubes-8')!.value;
    expect(recordQuestions(body({ groundRun: run * 1.3 }), ledger)).toEqual([]);
    expect(recordQuestions(body({ groundRun: run * 10 }), ledger).join()).toMatch(
      /Ground run is 10 times .*slip of ten/,
    );
    expect(recordQuestions(body({ groundRun: run / 4 }), ledger).join()).toMatch(/Ground run is 25 % of/);
  });
  it('a gale and a frost are asked about', () => {
    expect(recordQuestions(body({ wind: 18 }), ledger).join()).toMatch(/18 m\/s is a gale/);
    expect(recordQuestions(body({ temperature: 250 }), ledger).join()).toMatch(/-23 °C is rare/);
    expect(recordQuestions(body({}), ledger)).toEqual([]);
  });
});
