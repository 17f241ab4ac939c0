/** What a load test says and proves: stiffness by its slope, strength by where it broke, a bound by what it held. */
import { describe, expect, it } from 'vitest';
import { assess, entryOf, StepCache } from '../assess';
import { bitternDocument, bitternProject } from '../demo';
import { priorCalibration, setPath, type LoadTest, type TestBody } from '../design';
import { calibrate, observedOf } from '../refine';
import { loadPlan } from '../views';
import { sentence } from '../words';
import { bendingRatio, heldTo, isOwnWing, loadMeasurements, loadRemarks, proofOf, stopLine } from './index';

const project = bitternProject(),
  doc = project.versions.find((v) => v.key === 'v5')!.document,
  test = project.tests.find((t) => t.body.load)!.body,
  load = test.load!,
  cache = new StepCache();
const but = (patch: Partial<LoadTest>): LoadTest => ({ ...load, ...patch });
const day = (of: LoadTest, date = '2026-05-23'): Pick<TestBody, 'load' | 'record'> => ({
  load: of,
  record: { ...test.record, date },
});

describe('the plan', () => {
  const plan = (patch: Partial<LoadTest> = {}, d = doc) =>
    loadPlan(d, 'tubes-12', { ...load, ...patch }, cache)!;
  it('is what the demo wrote down on its day, to its figures', () => {
    const now = plan();
    expect(now.steps.map((s) => s.bags)).toEqual(
      load.plan!.steps.map((s) => s.bags.map((b) => expect.closeTo(b, 6))),
    );
    now.steps.forEach((s, i) => expect(s.tip / load.plan!.steps[i].tip).toBeCloseTo(1, 1));
    expect(now.failsAt / load.plan!.failsAt).toBeCloseTo(1, 2);
  });
  it('reaches what is asked, step by step, and never more bags than in the last', () => {
    for (const kind of ['bags', 'tips'] as const)
      for (const to of [2, 4, 6]) {
        const { steps } = plan({ kind, to });
        steps.forEach((s, i) => i > 0 && expect(s.n).toBeGreaterThan(steps[i - 1].n));
        if (kind === 'bags' || to > 2.6) expect(steps.at(-1)!.n).toBeGreaterThanOrEqual(to);
        expect(steps.at(-1)!.n).toBeLessThan(to + 1);
      }
  });
  it('the bags of both halves with the wing hang as heavy as the air lifts what is not wing: n m g by hand', () => {
    // 4 g of 3.0 kg less the wing’s own 4 g and the 1 g that it weighs turned over
    const { steps, mass } = plan({ count: 12, bag: 0.01 }),
      bags = 2 * steps.at(-1)!.bags.reduce((s, b) => s + b, 0);
    expect(bags).toBeGreaterThan(0.5 * 4 * mass);
    expect(bags).toBeLessThan(4 * mass);
  });
  it('more places leave less untested, and a wing that is stiffer bends less', () => {
    const far = (count: number) => plan({ count, bag: 0.02 }).short.reduce((s, p) => s + p.to - p.from, 0);
    expect(far(10)).toBeLessThan(far(2));
    const thick = setPath(doc, 'design.structure.members.spar.shape.outer', 0.012);
    expect(plan({}, thick).steps[0].tip).toBeLessThan(plan().steps[0].tip);
  });
  it('from above the wing lies upright and the lower face is pressed: it goes to what is asked there too', () => {
    const { steps, failsAt } = plan({ direction: 'down', to: 2 });
    expect(steps.at(-1)!.n).toBeGreaterThanOrEqual(2);
    expect(failsAt).toBeGreaterThan(3);
  });
});

describe('what it says', () => {
  it('readings a tenth further than expected: a tenth softer, to within a few per cent', () => {
    const soft = but({ readings: load.plan!.steps.map((s) => 1.1 * s.tip) }),
      { ratio, sigma } = bendingRatio(soft)!;
    expect(ratio).toBeCloseTo(1.1, 9);
    expect(sigma / ratio).toBeCloseTo(0.03, 9);
    const m = loadMeasurements(soft).find((x) => x.quantity === 'sparStiffness')!;
    expect(m.value).toBeCloseTo(load.plan!.EI / 1.1, 9);
  });
  it('what was held is a bound, what broke is a value, what was not read says nothing', () => {
    expect(loadMeasurements(load).find((m) => m.quantity === 'sparMoment')).toMatchObject({ bound: 'least' });
    const broke = loadMeasurements(but({ held: 4, broke: { n: 4.07, y: 0, what: '' } })).find(
      (m) => m.quantity === 'sparMoment',
    )!;
    expect(broke.bound).toBeUndefined();
    expect(broke.value).toBeCloseTo((load.plan!.moment * 4.07) / load.plan!.failsAt, 6);
    expect(loadMeasurements(but({ held: 0, readings: [] }))).toEqual([]);
    expect(loadMeasurements(but({ plan: null }))).toEqual([]);
  });
  it('what stays bent, and what goes too far, is told', () => {
    const said = (l: LoadTest) =>
      loadRemarks(l)
        .map((s) => sentence(s))
        .join(' ');
    expect(said(but({ remains: 0.02 }))).toMatch(/has given way/);
    expect(said(but({ readings: [0.05, null, null, null, null] }))).toMatch(/At step 1 .*quarter further/);
    expect(said(but({ readings: load.plan!.steps.map((s) => s.tip), remains: 0 }))).toBe('');
  });
});

describe('what it teaches', () => {
  const fit = (l: LoadTest) => {
    const body: TestBody = { ...test, load: l, measurements: loadMeasurements(l) },
      r = calibrate(priorCalibration(), observedOf(doc, body), ['t'], cache);
    if (r.status !== 'updated') throw new Error(r.status);
    const at = (id: string) => {
      const k = r.calibration.factors.indexOf(id as never);
      return { mean: r.calibration.mean[k], sd: Math.sqrt(r.calibration.covariance[k][k]) };
    };
    return { strength: at('strength'), stiffness: at('stiffness') };
  };
  it('a bound far below what is predicted changes next to nothing', () => {
    const low = fit(but({ held: 1 }));
    expect(low.strength.mean).toBeCloseTo(1, 2);
    expect(low.strength.sd).toBeCloseTo(0.15, 2);
  });
  it('a bound above the prediction raises it and narrows it; the higher, the more', () => {
    const to = (n: number) => {
      const steps = load.plan!.steps.map((s, i) => (i === 4 ? { ...s, n } : s));
      return fit(but({ plan: { ...load.plan!, steps } })).strength;
    };
    expect(to(7).mean).toBeGreaterThan(1.05);
    expect(to(8).mean).toBeGreaterThan(to(7).mean);
    expect(to(7).sd).toBeLessThan(0.15);
  });
  it('where it broke is learnt as strength, and how far it bent as stiffness', () => {
    const f = fit(but({ held: 4, broke: { n: 5.35, y: 0, what: '' } }));
    expect(f.strength.mean).toBeGreaterThan(0.78);
    expect(f.strength.mean).toBeLessThan(0.92);
    const soft = fit(but({ readings: load.plan!.steps.map((s) => 1.15 * s.tip) }));
    expect(soft.stiffness.mean).toBeLessThan(0.92);
  });
});

describe('the stop line', () => {
  const base = doc.design,
    ledger = assess(doc.brief, base, doc.calibration, cache),
    codes = (design: typeof base, tests: readonly Pick<TestBody, 'load' | 'record'>[], state = 'tubes-12') =>
      stopLine(doc.brief, design, ledger, state, tests).map((s) => s.code);
  const mended = (date: string, reason = '') =>
    setPath(base, 'structure.members.spar.repair', { date, what: 'splice', at: 0.1, reason });
  it('a proof that reaches what is asked of the state stops nothing; without any test neither', () => {
    expect(heldTo(load)).toBeGreaterThan(4);
    expect(codes(base, [day(load)])).not.toContain('stop-past-proof');
    expect(codes(base, [])).not.toContain('stop-past-proof');
  });
  it('mass grown past the proof stops, and says by how much', () => {
    const light = but({ plan: { ...load.plan!, mass: 2 } });
    expect(codes(base, [day(light)])).toContain('stop-past-proof');
    expect(proofOf([day(light)])).toMatchObject({ mass: 2 });
  });
  it('a repair shuts it until a load test of that day or later, or a written reason', () => {
    expect(codes(mended('2026-06-01'), [day(load, '2026-05-23')])).toContain('stop-repaired');
    expect(codes(mended('2026-06-01'), [day(load, '2026-06-02')])).not.toContain('stop-repaired');
    expect(codes(mended('2026-06-01', 'only the skin was torn'), [])).not.toContain('stop-repaired');
  });
  it('a wing that broke stops until it is mended', () => {
    const broke = but({ held: 3, broke: { n: 3.6, y: 0, what: '' } });
    expect(codes(base, [day(broke)])).toContain('stop-broke');
    expect(codes(mended('2026-05-24', 'new spar'), [day(broke)])).not.toContain('stop-broke');
  });
  it('bags on another spar prove nothing', () => {
    const other = bitternDocument().design;
    expect(isOwnWing(other, load)).toBe(false);
    expect(isOwnWing(mended('2026-06-01'), load)).toBe(true);
    const light = but({ plan: { ...load.plan!, mass: 2 } });
    expect(codes(other, [day(light)])).not.toContain('stop-past-proof');
  });
  it('the sleeve mends what the plain spar does not bear', () => {
    const plain = assess(doc.brief, bitternDocument().design, doc.calibration, cache);
    expect(entryOf(ledger, 'failLoadFactor', 'tubes-12')!.value).toBeGreaterThan(6);
    expect(entryOf(plain, 'failLoadFactor', 'tubes-12')!.value).toBeLessThan(6);
  });
});
