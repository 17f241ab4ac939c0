import { say, sentence } from '../words';
import { describe, expect, it } from 'vitest';
import { bitternDocument, bitternProject } from '../demo';
import { assess } from '../assess';
import { emptyRecord, type TestBody } from '../design';
import { preflightFor, combine, reduceRecord, rubberSeason, stopLine } from './index';

const doc = bitternDocument();

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
