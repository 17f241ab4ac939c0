/** What a log said becomes measurements under the numbers that they are of. */
import { describe, expect, it } from 'vitest';
import { quantityDef } from '../assess';
import { bitternProject } from '../demo';
import { measurementSchema, type LogEntry, type TestBody } from '../design';
import { RESULTS, type LogResult, type ResultId } from '../log';
import { chosenAside, logMeasurements, logQuantity, teachesNothing, withLog, type LogTold } from './fromLog';

const FILE = 'b'.repeat(64);
const told: LogTold = {
  file: FILE,
  source: 'logged',
  state: 'ferry',
  conditions: { mass: 2.1, wind: 1 },
  aspectRatio: 6.4,
};
const result = (id: ResultId, value: number, sigma = 0.1 * value): LogResult => ({
  id,
  value,
  sigma,
  kind: RESULTS[id].kind,
  segment: 'flight',
  method: 'm',
  count: 9,
});
const entry: LogEntry = {
  file: FILE,
  name: 'x.csv',
  origin: 'logged',
  rows: 9,
  length: 60,
  begun: null,
  columns: null,
  kept: [],
  segments: null,
  faults: {},
};

describe('results of a log', () => {
  it('each is of a number of the computation, or says why it teaches nothing', () => {
    for (const id of Object.keys(RESULTS) as ResultId[]) {
      const [m] = logMeasurements([result(id, 2)], told);
      expect(measurementSchema.safeParse(m).success, id).toBe(true);
      if (quantityDef(m.quantity) && !teachesNothing(id)) expect(m.setAside, id).toBe(false);
      else expect(m.reason, id).toBeTruthy();
      expect(quantityDef(m.quantity) ?? logQuantity(m.quantity), id).toBeDefined();
    }
  });
  it('sink is the least sink, the induced factor is told as span efficiency: e = 1 / (pi A k)', () => {
    const [sink, induced] = logMeasurements(
      [result('sinkRate', 0.8), result('inducedFactor', 0.06, 0.003)],
      told,
    );
    expect(sink).toMatchObject({ quantity: 'minSink', state: 'ferry', value: 0.8, source: 'logged' });
    expect(induced).toMatchObject({ quantity: 'spanEfficiency', state: 'all' });
    expect(induced.value).toBeCloseTo(1 / (Math.PI * 6.4 * 0.06), 9);
    expect(induced.sigma / induced.value).toBeCloseTo(0.05, 9);
  });
  it('the mean current of a flight is not the current on the straights', () => {
    const [m] = logMeasurements([result('meanCurrent', 8)], told);
    expect(m).toMatchObject({ quantity: 'log-meanCurrent', setAside: true });
  });
  it('conditions, segment and file go with each', () =>
    expect(logMeasurements([result('climbRate', 2)], told)[0]).toMatchObject({
      conditions: { mass: 2.1 },
      segment: { log: FILE, name: 'flight', count: 9 },
    }));
});

describe('a log in a test', () => {
  const hops = bitternProject().tests.find((t) => t.body.record.groundRun !== null)!.body,
    said = (v: number) => logMeasurements([result('climbRate', v)], told),
    of = (b: TestBody) => b.measurements.filter((m) => m.segment);
  it('reduced again it takes the place of what it said before, typed values stay', () => {
    const once = withLog(hops, entry, said(2)),
      twice = withLog(once, { ...entry, kept: ['spikes  1.000'] }, said(2.2));
    expect(of(twice).map((m) => m.value)).toEqual([2.2]);
    expect(twice.logs).toHaveLength(1);
    expect(twice.measurements.filter((m) => !m.segment)).toEqual(hops.measurements);
  });
  it('what a person set aside stays so', () => {
    const once = withLog(hops, entry, said(2)),
      aside = { ...once, measurements: once.measurements.map((m) => (m.segment ? chosenAside(m, true) : m)) };
    expect(of(withLog(aside, entry, said(2.1)))[0]).toMatchObject({
      setAside: true,
      reason: 'set aside by hand',
    });
  });
});
