/** What a test says is what a person or an instrument read, under its own source; nothing invented, nothing replaced unasked. */
import { beforeAll, describe, expect, it } from 'vitest';
import { assess, type Ledger } from '../assess';
import { bitternDocument, gnatDocument } from '../demo';
import {
  emptyRecord,
  measurementSchema,
  priorCalibration,
  type LogEntry,
  type Measurement,
  type Reading,
  type TestBody,
} from '../design';
import { calibrate } from '../refine';
import {
  chosenAside,
  designOfTheDay,
  measurementsOf,
  recordQuestions,
  reduceRubber,
  remeasured,
  rubberSeason,
  logMeasurements,
} from './index';

const record = emptyRecord({
  flown: true,
  date: '2026-06-01',
  temperature: 288,
  wind: 1,
});
const body = (patch: Partial<TestBody['record']>): TestBody => {
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
    log: null,
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

/** What a log said of laps of 20 s. */
const FILE = 'a'.repeat(64);
const said = (source: 'logged' | 'simulated'): Measurement[] =>
  logMeasurements(
    [
      { id: 'lapTime', value: 20.2, sigma: 0.3, kind: 'time', segment: '3 laps', method: 'm', count: 3 },
      { id: 'groundRun', value: 11, sigma: 0.6, kind: 'distance', segment: 'run', method: 'm', count: 20 },
      { id: 'windSpeed', value: 3, sigma: 0.1, kind: 'speed', segment: 'flight', method: 'm', count: 900 },
    ],
    { file: FILE, source, state: 'tubes-8', conditions: {}, aspectRatio: 6 },
  );
const withLog = (patch: Partial<TestBody['record']>, source: 'logged' | 'simulated'): TestBody => {
  const plain = body(patch);
  const entry: LogEntry = {
    file: FILE,
    name: 'hop.csv',
    origin: source,
    rows: 900,
    length: 180,
    begun: null,
    columns: null,
    kept: [],
    segments: null,
    faults: {},
  };
  const logged = { ...plain, logs: [entry], measurements: [...plain.measurements, ...said(source)] };
  return { ...logged, measurements: measurementsOf(logged).measurements };
};

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
    const b = withLog({ laps: [24, 25, 24], groundRun: 14 }, 'simulated');
    expect(of(b, 'lapTime').map((m) => [m.source, m.setAside])).toEqual([
      ['timed', false],
      ['simulated', true],
    ]);
    expect(of(b, 'groundRun').find((m) => m.source === 'typed')).toMatchObject({
      value: 14,
      setAside: false,
    });
  });
  it('a log that agrees is used beside the form; one that does not waits to be asked for', () => {
    expect(of(withLog({ laps: [20, 20, 20] }, 'logged'), 'lapTime').map((m) => m.setAside)).toEqual([
      false,
      false,
    ]);
    const other = withLog({ laps: [31, 32, 31] }, 'logged');
    expect(of(other, 'lapTime').map((m) => m.setAside)).toEqual([false, true]);
    expect(measurementsOf(other).remarks.join()).toMatch(
      /disagree on lapTime: 31\.3 against 20\.\d\. .*choose/,
    );
  });
  it('what only the log has is used; what is of the day teaches nothing, and says why', () => {
    const b = withLog({}, 'logged');
    expect(of(b, 'groundRun')[0]).toMatchObject({ setAside: false, source: 'logged' });
    expect(of(b, 'log-windSpeed')[0]).toMatchObject({
      setAside: true,
      reason: 'of the day, not of the aircraft',
    });
  });
  it('a log that is taken out takes what it said with it; the rest of the record stays', () => {
    const b = withLog({ laps: [20, 20, 20] }, 'logged'),
      without = { ...b, logs: [] };
    expect(remeasured(b, without).map((m) => m.source)).toEqual(['timed']);
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
    const disagreeing = withLog({ laps: [31, 32, 31] }, 'logged');
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
  const remarks = (patch: Partial<TestBody['record']>) => measurementsOf(body(patch)).remarks.join();
  it.each([
    [{ chargeBefore: 9000 }, /One charge alone/],
    [{ chargeBefore: 9000, chargeAfter: 9000 }, /not below the charge before/],
    [{ chargeBefore: 9000, chargeAfter: 4000 }, /without the motor time/],
    [{ chargeBefore: 9000, chargeAfter: 4000, duration: 300 }, /^$/],
    [{}, /^$/],
  ] as [Partial<TestBody['record']>, RegExp][])('%o', (patch, re) => expect(remarks(patch)).toMatch(re));
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

describe('readings of numbers that the form does not ask for', () => {
  const reading: Reading = {
    quantity: 'legVolts',
    state: 'all',
    part: 'relay',
    leg: 'out',
    value: 10.9,
    sigma: 0.1,
    source: 'footage',
    from: 'display on the transmitter',
    throttle: 0.6,
  };
  it('stand under the number, the leg and the throttle that they are of', () => {
    const [m] = of(body({ readings: [reading] }), 'legVolts');
    expect(m).toMatchObject({ part: 'relay', leg: 'out', source: 'footage', setAside: false });
    expect(m.conditions).toMatchObject({ throttle: 0.6, wind: 1 });
    expect(measurementSchema.safeParse(m).success).toBe(true);
  });
  it('two of one number are both kept, and what a person set aside stays so when another is added', () => {
    const second = { ...reading, value: 10.6 },
      two = body({ readings: [reading, second] }),
      aside = {
        ...two,
        measurements: two.measurements.map((m, i) => (i === 1 ? chosenAside(m, true) : m)),
      };
    const three = edit(aside, { readings: [reading, second, { ...reading, value: 11.2 }] });
    expect(of(three, 'legVolts').map((m) => m.setAside)).toEqual([false, true, false]);
  });
  it('a log of the same leg is held against it, one of another leg is not', () => {
    const plain = withLog(
      { readings: [{ ...reading, quantity: 'lapTime', state: 'tubes-8', value: 30 }] },
      'logged',
    );
    expect(of(plain, 'lapTime').find((m) => m.source === 'logged')!.setAside).toBe(false);
    const { part: _p, leg: _l, ...whole } = { ...reading, quantity: 'lapTime', state: 'tubes-8', value: 30 };
    const same = withLog({ readings: [whole] }, 'logged');
    expect(of(same, 'lapTime').find((m) => m.source === 'logged')!.setAside).toBe(true);
  });
  it('the fit learns of a leg from its own prediction', () => {
    const { brief, design } = bitternDocument(),
      now = assess(brief, design, priorCalibration()).entries.find(
        (e) => e.id === 'legEnergy' && e.leg === 'out',
      )!,
      [m] = of(
        body({
          readings: [{ ...reading, quantity: 'legEnergy', value: 1.2 * now.value, sigma: 0.02 * now.value }],
        }),
        'legEnergy',
      );
    const r = calibrate(priorCalibration(), [{ brief, design, measurements: [m] }], ['t']);
    expect(r.status === 'updated' && r.rows[0].before).toBeCloseTo(now.value, 6);
    expect(r.status === 'updated' && r.rows[0].after).toBeGreaterThan(1.05 * now.value);
  });
});
