/** What is asked of states, legs and cases, and what proves it. */
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import type { Measurement, Requirement } from '../design';
import { assess, checkRequirements, entriesByKey } from './index';

const base = bitternDocument();
const asked = (more: Partial<Requirement>): Requirement => ({
  id: 'r',
  quantity: 'groundRun',
  state: 'all',
  op: 'atMost',
  min: null,
  max: 20,
  rule: '',
  wish: false,
  ...more,
});
function checked(more: Partial<Requirement>, measured: Measurement[] = []) {
  const brief = { ...base.brief, requirements: [asked(more)] },
    ledger = assess(brief, base.design, base.calibration);
  return { ledger, check: checkRequirements(brief, base.design, ledger, measured)[0] };
}
const measurement = (more: Partial<Measurement>): Measurement => ({
  quantity: 'groundRun',
  state: 'tubes-12',
  value: 17,
  sigma: 0.4,
  from: 'tape',
  source: 'typed',
  setAside: false,
  ...more,
});

describe('requirements', () => {
  it('of a leg of a mission are held against that leg', () => {
    const { check, ledger } = checked({
        quantity: 'legVolts',
        part: 'relay',
        leg: 'out',
        op: 'atLeast',
        min: 12,
        max: null,
      }),
      volts = entriesByKey(ledger).get('legVolts@all;leg=out;part=relay')!.value;
    expect(check.value).toBe(volts);
    expect(check.margin).toBeCloseTo(volts - 12, 12);
  });
  it('of a mission that any state flies are told for it, though no formula names it', () => {
    const { check } = checked({ quantity: 'missionTime', part: 'laps', state: 'tubes-8', max: 480 });
    expect(check.status).not.toBe('unknown');
    expect(check.state).toBe('tubes-8');
  });
  it('of load cases take the worst case where none is named', () => {
    const one = { quantity: 'caseFactor', state: 'tubes-12', op: 'atLeast', min: 1, max: null } as const,
      all = checked(one).check,
      gust = checked({ ...one, case: 'gust-up' }).check;
    expect(all.value).toBeLessThanOrEqual(gust.value);
  });
  it('a measurement of the state proves, the prediction stands beside it', () => {
    const { check } = checked({ state: 'tubes-12' }, [measurement({})]);
    expect(check).toMatchObject({ proof: 'measured', state: 'tubes-12', value: 17, status: 'met' });
    expect(check.predicted).toBeGreaterThan(20);
  });
  it('once the worst state is measured, the worst of the others is what counts', () =>
    expect(checked({}, [measurement({ value: 12 })]).check).toMatchObject({
      proof: 'predicted',
      state: 'tubes-11',
    }));
  it('one of another state leaves the worst as predicted; one set aside proves nothing', () => {
    for (const m of [measurement({ state: 'ferry', value: 8 }), measurement({ setAside: true })])
      expect(checked({}, [m]).check).toMatchObject({
        proof: 'predicted',
        state: 'tubes-12',
        status: 'missed',
      });
  });
  it('the last of several measurements counts', () =>
    expect(
      checked({ state: 'tubes-12' }, [measurement({ value: 25 }), measurement({ value: 16 })]).check.value,
    ).toBe(16));
  it('a measured value nearer to the limit than its own spread has not proven it', () =>
    expect(checked({ state: 'tubes-12' }, [measurement({ value: 19.9 })]).check.status).toBe('unproven'));
});
