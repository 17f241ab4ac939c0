/** Names of missions, legs and states in the formulas of tasks. */
import { beforeAll, describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import { setPath, type DesignDocument } from '../design';
import { compileFormula } from '../score';
import { assess, entryOf, flownOf, formulaNames, StepCache, type Ledger } from './index';

const doc = bitternDocument();
const cache = new StepCache();
const scored = (formula: string, state = 'each', d: DesignDocument = doc): Ledger => {
  const task = { id: 'asked', name: 'Asked', mission: null, formula, state };
  return assess({ ...d.brief, tasks: [task] }, d.design, d.calibration, cache);
};
const points = (l: Ledger, state: string) => entryOf(l, 'points', state, 'asked')!;

describe('a formula that names a mission, a leg or a state', () => {
  let plain: Ledger;
  beforeAll(() => {
    plain = assess(doc.brief, doc.design, doc.calibration, cache);
  });

  it('reads the ledger’s own numbers, and their spread', () => {
    const l = scored('relay.time + relay.out.time + out.time', 'tubes-8'),
      relay = flownOf(plain, 'missionTime', { mission: 'relay', state: 'all' })!,
      out = flownOf(plain, 'legTime', { mission: 'relay', leg: 'out', state: 'all' })!;
    expect(points(l, 'tubes-8').value).toBeCloseTo(relay.value + 2 * out.value, 9);
    expect(points(l, 'tubes-8').sigma).toBeGreaterThan(0.5 * relay.sigma);
  });

  it('of another state, with what is no letter in its id as a low line', () => {
    const l = scored('tubes_8.mass / ferry.mass', 'ferry'),
      mass = (s: string) => entryOf(plain, 'mass', s)!.value;
    expect(points(l, 'ferry').value).toBeCloseTo(mass('tubes-8') / mass('ferry'), 9);
  });

  it('a mission that asks no state is flown by each state that is scored on it', () => {
    const l = scored('laps.rounds');
    for (const s of ['ferry', 'tubes-8'])
      expect(points(l, s).value).toBeCloseTo(
        flownOf(l, 'missionRounds', { mission: 'laps', state: s })!.value,
        9,
      );
    // nobody asks for it without such a formula
    expect(flownOf(plain, 'missionRounds', { mission: 'laps', state: 'ferry' })).toBeUndefined();
  });

  it.each([
    ['relay.tim', /“relay” is there, but it has no “tim”\. Did you mean “time”\?/],
    ['rely.time', /“rely” is no mission, leg or state of this project\. Did you mean “relay”\?/],
    [
      'relay.ot.time',
      /“relay\.ot” is no mission, leg or state of this project\. Did you mean “relay\.out”\?/,
    ],
    ['lapTme', /“lapTme” is not a name known here\. Did you mean “lapTime”\?/],
    ['relay["time"]', /relay|names|read/],
    ['relay[1]', /Only names may stand/],
  ])('%s: the name that is missing, and the nearest', (formula, says) => {
    const r = compileFormula(formula, formulaNames(doc.brief, doc.design));
    if (r.status === 'ok') return expect(formula).toBe('relay["time"]');
    expect(r.message).toMatch(says);
  });
});

describe('numbers of missions in the ledger', () => {
  it('every leg of a mission that names its states, with a spread', () => {
    const l = assess(doc.brief, doc.design, doc.calibration, cache),
      of = l.entries.filter((e) => e.part === 'relay');
    expect(new Set(of.map((e) => e.leg ?? '')).size).toBe(1 + 9);
    for (const id of ['legTime', 'legEnergy', 'legMass', 'legMargin'] as const)
      expect(flownOf(l, id, { mission: 'relay', leg: 'out', state: 'all' })!.sigma).toBeGreaterThan(0);
    // typed times are exact
    expect(flownOf(l, 'legTime', { mission: 'relay', leg: 'arm', state: 'all' })!.sigma).toBe(0);
  });

  it('more wind to within makes its time less certain', () => {
    const calm = flownOf(assess(doc.brief, doc.design, doc.calibration, cache), 'missionTime', {
        mission: 'relay',
        state: 'all',
      })!,
      gusty = setPath(doc, 'brief.site.spread', { wind: 3 });
    const l = assess(gusty.brief, gusty.design, gusty.calibration, cache);
    expect(flownOf(l, 'missionTime', { mission: 'relay', state: 'all' })!.sigma).toBeGreaterThan(calm.sigma);
  });

  it('a leg that does not fit is a finding under Flight', () => {
    const long = setPath(doc, 'brief.missions.relay.rounds.crossing.legs.out.time', 18),
      l = assess(long.brief, long.design, long.calibration, cache);
    expect(l.findings.some((f) => f.code === 'of-mission' && f.station === 'flight')).toBe(true);
  });
});
