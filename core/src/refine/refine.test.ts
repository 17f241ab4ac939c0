import { sentence } from '../words';
import { describe, expect, it } from 'vitest';
import { assess, entryNamed, entryOf, StepCache } from '../assess';
import { bitternDocument } from '../demo';
import {
  emptyRecord,
  FACTOR_IDS,
  priorCalibration,
  setPath,
  type Measurement,
  type TestBody,
} from '../design';
import {
  adviseNext,
  applyFix,
  briefOfTheDay,
  calibrate,
  changedGroups,
  effectOf,
  explainDifference,
  observedOf,
} from './index';

const doc = bitternDocument();
const prior = priorCalibration();
const cache = new StepCache();
const idx = (id: (typeof FACTOR_IDS)[number]) => FACTOR_IDS.indexOf(id);

/** Measurements that an aircraft with these factors would give, without noise. */
function measuredBy(
  truth: Partial<Record<(typeof FACTOR_IDS)[number], number>>,
  quantities: string[],
  relative: number,
): Measurement[] {
  const mean = prior.mean.map((m, i) => truth[FACTOR_IDS[i]] ?? m);
  const l = assess(doc.brief, doc.design, { ...prior, mean }, cache);
  return quantities.map((q) => {
    const value = entryNamed(l, q, 'tubes-6')!.value;
    return {
      quantity: q,
      state: 'tubes-6',
      value,
      sigma: relative * value,
      source: 'typed',
      from: 'made',
      setAside: false,
    };
  });
}

describe('calibrate', () => {
  it('pulls drag and thrust towards the aircraft that was flown, and narrows them', () => {
    const r = calibrate(
      prior,
      [
        {
          brief: doc.brief,
          design: doc.design,
          measurements: measuredBy(
            { dragArea: 1.2, thrust: 0.95 },
            ['lapSpeed', 'lapTime', 'lapEnergy', 'climbRate', 'groundRun', 'topSpeed', 'glideRatio'],
            0.01,
          ),
        },
      ],
      ['t1'],
      cache,
    );
    expect(r.status).toBe('updated');
    if (r.status !== 'updated') return;
    const c = r.calibration;
    expect(c.mean[idx('dragArea')]).toBeGreaterThan(1.1);
    expect(c.mean[idx('dragArea')]).toBeLessThan(1.25);
    expect(Math.sqrt(c.covariance[idx('dragArea')][idx('dragArea')])).toBeLessThan(0.6 * 0.15);
    for (const row of r.rows)
      expect(Math.abs(row.after - row.measured)).toBeLessThanOrEqual(
        Math.abs(row.before - row.measured) + 0.02 * row.measured,
      );
    const before = entryOf(assess(doc.brief, doc.design, prior, cache), 'lapTime', 'tubes-6')!.sigma;
    expect(entryOf(assess(doc.brief, doc.design, c, cache), 'lapTime', 'tubes-6')!.sigma).toBeLessThan(
      before,
    );
    expect(c.mean[idx('strength')]).toBeCloseTo(1, 9);
  });
  it('measurements equal to the prediction move nothing', () => {
    const r = calibrate(
      prior,
      [
        {
          brief: doc.brief,
          design: doc.design,
          measurements: measuredBy({}, ['lapSpeed', 'groundRun'], 0.02),
        },
      ],
      [],
      cache,
    );
    if (r.status !== 'updated') throw new Error('not updated');
    r.calibration.mean.forEach((m, i) => expect(m).toBeCloseTo(prior.mean[i], 4));
  });
  it('an absurd reading is pointed at, and set aside it is not used', () => {
    const wild = measuredBy({}, ['lapTime'], 0.01).map((m) => ({ ...m, value: 2 * m.value }));
    const r = calibrate(prior, [{ brief: doc.brief, design: doc.design, measurements: wild }], [], cache);
    expect(r.status === 'updated' && r.rows[0].outlier).toBe(true);
    expect(
      calibrate(
        prior,
        [{ brief: doc.brief, design: doc.design, measurements: wild.map((m) => ({ ...m, setAside: true })) }],
        [],
        cache,
      ).status,
    ).toBe('nothing');
  });
  it('of several readings of one number a wild one counts less, and is pointed at', () => {
    const good = measuredBy({ dragArea: 1.15 }, ['lapTime', 'lapSpeed', 'glideRatio'], 0.01),
      [time] = good,
      wild: Measurement = { ...time, value: 1.3 * time.value, source: 'logged' };
    const observed = (measurements: Measurement[]) => [
      { test: 't1', brief: doc.brief, design: doc.design, measurements },
    ];
    const fit = (list: Measurement[]) => {
      const r = calibrate(prior, observed(list), ['t1'], cache);
      if (r.status !== 'updated') throw new Error('not updated');
      return r;
    };
    const clean = fit(good),
      mixed = fit([...good, wild]),
      drag = (r: typeof clean) => r.calibration.mean[idx('dragArea')];
    expect(Math.abs(drag(mixed) - drag(clean))).toBeLessThan(0.04);
    const row = mixed.rows.find((x) => x.source === 'logged')!;
    expect(row.weight).toBeLessThan(0.1);
    expect(row.outlier).toBe(true);
    for (const x of mixed.rows.filter((q) => q.source === 'typed')) expect(x.weight).toBeGreaterThan(0.8);
  });
  it('what no factor moves, or is set aside, is named with its test and the reason', () => {
    const [time] = measuredBy({}, ['lapTime'], 0.01);
    const kept: Measurement = { ...time, quantity: 'log-windSpeed', setAside: true, reason: 'of the day' },
      odd: Measurement = { ...time, quantity: 'payloadCount' };
    const r = calibrate(
      prior,
      [{ test: 't7', brief: doc.brief, design: doc.design, measurements: [time, kept, odd] }],
      [],
      cache,
    );
    expect(r.status === 'updated' && r.unused).toEqual([
      { quantity: 'log-windSpeed', test: 't7', reason: 'of the day' },
      { quantity: 'payloadCount', test: 't7', reason: 'no factor moves it' },
    ]);
  });
  it('what each test taught: the factor whose spread it narrows, the others known', () => {
    const of = (test: string, list: Measurement[]) => ({
      test,
      brief: doc.brief,
      design: doc.design,
      measurements: list,
    });
    const r = calibrate(
      prior,
      [
        of('stall', measuredBy({ clMax: 0.92 }, ['stallSpeed'], 0.01)),
        of('laps', measuredBy({ dragArea: 1.2 }, ['lapSpeed', 'lapTime'], 0.01)),
      ],
      [],
      cache,
    );
    if (r.status !== 'updated') throw new Error('not updated');
    const [stall, laps] = r.lessons;
    expect(stall.factors.map((f) => f.factor)).toContain('clMax');
    expect(stall.factors.find((f) => f.factor === 'clMax')!.narrowed).toBeGreaterThan(0.2);
    expect(laps.factors[0].factor).toBe('dragArea');
  });
  it('readings are held against the mass, CG and air that they were flown with', () => {
    const body = {
      card: { state: 'tubes-6' },
      record: { ...emptyRecord({ flown: true, mass: 2.6 }) },
      measurements: [
        { ...measuredBy({}, ['climbRate'], 0.01)[0], conditions: { mass: 2.4, wind: 3 } },
        measuredBy({}, ['lapTime'], 0.01)[0],
      ],
    } as unknown as TestBody;
    const groups = observedOf(doc, body);
    expect(groups).toHaveLength(2);
    expect(groups[0].brief.site.wind).toBe(3);
    const massOf = (i: number) =>
      entryOf(assess(groups[i].brief, groups[i].design, prior, cache), 'mass', 'tubes-6')!.value;
    expect(massOf(0)).toBeCloseTo(2.4, 6);
    expect(massOf(1)).toBeCloseTo(2.6, 6);
  });
  it('a windy day is held against a windy prediction', () =>
    expect(briefOfTheDay(doc.brief, 290, 4).site).toMatchObject({
      wind: 4,
      temperature: 290,
      stripLength: 20,
    }));
});

describe('advice', () => {
  const ledger = assess(doc.brief, doc.design, prior, cache);
  const advise = (handling: Parameters<typeof adviseNext>[2][number]['handling']) =>
    adviseNext(doc, ledger, [{ loading: 'tubes-6', handling, test: 'flight 1' }]);
  const margin = (d: typeof doc.design) =>
    entryOf(assess(doc.brief, d, prior, cache), 'staticMargin', 'tubes-6')!.value;
  it('tail-heavy moves the heavy movable item forward and raises the margin by what it says', () => {
    const a = advise(['tail-heavy'])[0];
    expect(sentence(a.said)).toMatch(/Move the battery \d+ mm forward/);
    const said = /to ([\d.]+) %/.exec(sentence(a.said))![1];
    expect(100 * margin(applyFix(doc.design, a.fix!))).toBeCloseTo(Number(said), 0);
    expect(margin(applyFix(doc.design, a.fix!))).toBeGreaterThan(margin(doc.design) + 0.02);
  });
  it('nose-heavy goes the other way, tip-stall asks for washout', () => {
    expect(sentence(advise(['nose-heavy'])[0].said)).toMatch(/aft/);
    const tip = advise(['tip-stall']).find((a) => sentence(a.because).includes('tip-stall'))!;
    expect(applyFix(doc.design, tip.fix!).surfaces[0].stations[2].twist).toBeLessThan(
      doc.design.surfaces[0].stations[2].twist,
    );
  });
  it('the weak spar is made just strong enough', () => {
    const spar = advise(['as expected']).find((a) => a.id === 'spar')!;
    const after = assess(doc.brief, applyFix(doc.design, spar.fix!), prior, cache);
    const least = Math.min(...doc.design.states.map((l) => entryOf(after, 'failLoadFactor', l.id)!.value));
    expect(least).toBeGreaterThan(6);
    expect(least).toBeLessThan(8);
  });
  it('says what else moves', () =>
    expect(
      effectOf(doc, prior, advise(['tail-heavy'])[0].fix!, cache).some((e) => e.id === 'trimElevator'),
    ).toBe(true));
});

describe('explaining versions', () => {
  const b = setPath(
    setPath(doc, 'design.items.battery.x', 0.15),
    'design.structure.members.spar.shape.outer',
    0.012,
  );
  it('each difference is split over the changed inputs and sums up', () => {
    const rows = explainDifference(doc, b, ['staticMargin@tubes-8', 'failLoadFactor@tubes-12'], cache);
    for (const r of rows) expect(r.steps.reduce((s, x) => s + x.delta, 0)).toBeCloseTo(r.after - r.before, 9);
    // a thicker spar weighs more, ahead of the CG: it takes its small part of the margin
    const margin = new Map(rows[0].steps.map((s) => [s.path, Math.abs(s.delta)]));
    expect([...margin.keys()].sort()).toEqual(['design.items.battery', 'design.structure.members.spar']);
    expect(margin.get('design.items.battery')!).toBeGreaterThan(
      10 * margin.get('design.structure.members.spar')!,
    );
    // the battery changes what the tail carries, and so a little of what the spar bears
    const by = new Map(rows[1].steps.map((s) => [s.path, Math.abs(s.delta)]));
    expect([...by.keys()].sort()).toEqual(['design.items.battery', 'design.structure.members.spar']);
    expect(by.get('design.structure.members.spar')!).toBeGreaterThan(20 * by.get('design.items.battery')!);
  });
  it('an added item and a taken one are groups of their own', () => {
    const c = {
      ...doc,
      design: {
        ...doc.design,
        items: [
          ...doc.design.items.slice(1),
          { ...doc.design.items[3], id: 'lead', name: 'Lead', planned: { kind: 'mass' as const, mass: 0.1 } },
        ],
      },
    };
    expect(
      changedGroups(doc, c)
        .map((g) => g.path)
        .sort(),
    ).toEqual(['design.items.lead', 'design.items.wing-shell']);
    const r = explainDifference(doc, c, ['mass@ferry'], cache)[0];
    expect(r.steps.find((s) => s.path === 'design.items.lead')!.delta).toBeCloseTo(0.1, 9);
  });
});
