/** Wanted numbers alone; and what is run again for what. */
import { beforeAll, describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument, gnatDocument } from '../demo';
import { setPath, type DesignDocument } from '../design';
import { causesAt, PLAN, READ, refText, type QuantityRef } from '../steps';
import { assess, evaluate, Run, StepCache, type Ledger } from './index';

const doc = bitternDocument();
const cache = new StepCache();
let ledger: Ledger;
beforeAll(() => {
  ledger = assess(doc.brief, doc.design, doc.calibration, cache);
});
const refsOf = (l: Ledger): QuantityRef[] =>
  l.entries.flatMap(({ id, state, part, leg, case: of }) =>
    id === 'stripChance'
      ? []
      : [
          {
            id,
            ...(state === 'all' ? {} : { state }),
            ...(part ? { part } : {}),
            ...(leg ? { leg } : {}),
            ...(of ? { case: of } : {}),
          },
        ],
  );

describe('evaluate', () => {
  it.each([bitternDocument, craneDocument, gnatDocument])('%o: every number is the ledger’s', (make) => {
    const d = make(),
      l = assess(d.brief, d.design, d.calibration, cache),
      values = evaluate(d, refsOf(l), cache);
    for (const e of l.entries)
      if (e.id !== 'stripChance')
        expect(values[refText({ ...e, state: e.state })], `${e.id}@${e.state}`).toBe(e.value);
  });
  it('gives what is wanted and no more, without what needs a wing’s flow for a mass', () => {
    const fresh = new StepCache(),
      wanted: QuantityRef[] = [{ id: 'mass', state: 'ferry' }, { id: 'wingArea' }];
    expect(Object.keys(evaluate(doc, wanted, fresh)).sort()).toEqual(['mass@ferry', 'wingArea@all']);
    expect(fresh.counts('lattice')).toBe(0);
  });
  it('level numbers ask for nothing of the flow to the side', () => {
    const fresh = new StepCache();
    evaluate(
      doc,
      [
        { id: 'stallSpeed', state: 'ferry' },
        { id: 'lapTime', state: 'ferry' },
      ],
      fresh,
    );
    expect(fresh.counts('lattice')).toBe(1);
    expect(fresh.counts('lateral')).toBe(0);
  });
  it('a quantity that the aircraft has not is left out', () =>
    expect(evaluate(doc, [{ id: 'flightTime', state: 'ferry' }], cache)).toEqual({}));
});

describe('what is run again', () => {
  const ran = (d: DesignDocument): string[] => {
    const before = PLAN.map((s) => cache.counts(s.id));
    assess(d.brief, d.design, d.calibration, cache);
    return PLAN.filter((s, k) => cache.counts(s.id) > before[k]).map((s) => s.id);
  };
  it('for the name of the payload: nothing', () =>
    expect(ran(setPath(doc, 'design.payload.name', 'Bottle'))).toEqual([]));
  it('for the name of a state or of a section: nothing', () => {
    expect(ran(setPath(doc, 'design.states.0.name', 'Renamed'))).toEqual([]);
    expect(ran(setPath(doc, 'design.sections.0.name', 'Renamed'))).toEqual([]);
  });
  it('for the throttle of the laps: the laps, not the wing', () => {
    const steps = ran(setPath(doc, 'design.flight.lapThrottle', 0.61));
    expect(steps).toContain('work speed');
    expect(steps).toContain('laps');
    for (const s of [
      'lattice',
      'lift',
      'drag table',
      'airframe',
      'balance',
      'take-off',
      'load cases',
      'structure',
    ])
      expect(steps).not.toContain(s);
  });
  it('for the strength of the spar: what it breaks at', () => {
    const run = new Run(doc, causesAt(doc.calibration.mean), cache),
      more = run.withCause('strength', 1.1);
    expect(more.of(READ.mass.step, 'ferry')).toBe(run.of(READ.mass.step, 'ferry'));
    expect(READ.failLoadFactor.read(more.of(READ.failLoadFactor.step, 'ferry'))).toBeGreaterThan(
      READ.failLoadFactor.read(run.of(READ.failLoadFactor.step, 'ferry'))!,
    );
    expect(READ.glideRatio.step.reach.has('strength')).toBe(false);
  });
  it('a name shows at once where numbers are kept', () => {
    const renamed = setPath(doc, 'design.states.0.name', 'Renamed');
    const l = assess(renamed.brief, renamed.design, renamed.calibration, cache);
    expect(l.entries.map((e) => e.value)).toEqual(ledger.entries.map((e) => e.value));
  });
  it('results are values: nobody changes them', () => {
    const run = new Run(doc, causesAt(doc.calibration.mean), cache);
    for (const s of PLAN) {
      const result: unknown = run.of(s, 'ferry');
      if (result !== null) expect(Object.isFrozen(result), s.id).toBe(true);
    }
  });
});
