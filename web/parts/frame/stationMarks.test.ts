/** What stations say of themselves: nothing before it is computed, nothing fine that nobody described. */
import { say } from '@skiametra/core/words';
import { beforeAll, describe, expect, it } from 'vitest';
import { assess, type Finding, type Ledger } from '@skiametra/core/assess';
import { bitternDocument, craneDocument, starterDocument, waferDocument } from '@skiametra/core/demo';
import { type DesignDocument } from '@skiametra/core/design';
import { STATIONS, type StationId } from './stationList';
import { refineSentence, stationMark, wellSentence, type Known } from './stationMarks';

const ids = STATIONS.map((s) => s.id) as StationId[];
const ledgerOf = (d: DesignDocument) => assess(d.brief, d.design, d.calibration);
let bittern: Ledger;
beforeAll(() => {
  bittern = ledgerOf(bitternDocument());
});
const known = (ledger: Ledger | null, document = bitternDocument(), flown = false): Known => ({
  ledger,
  document,
  flown,
});
const finding = (station: Finding['station'], severity: Finding['severity']): Finding => ({
  station,
  severity,
  state: 'all',
  ...say('breaks-in-turn', {}),
  fix: null,
});
const clear = (): Ledger => ({ ...bittern, findings: [] });

describe('before the first ledger (a green tick stood at every station for 2 to 9 s)', () => {
  it('every station is computing, and none says that all is well', () => {
    for (const id of ids) {
      expect(stationMark(id, known(null)), id).toBe('computing');
      expect(wellSentence(id, known(null)), id).toBeNull();
    }
  });
  it('Refine gives no advice, not even that there is none', () => {
    expect(refineSentence(null, false)).toMatch(/^Computing/);
    expect(refineSentence(clear(), false)).toMatch(/^Computing/);
  });
  it('a computation that stopped is not well either', () => {
    for (const id of ids)
      expect(
        wellSentence(id, known({ ...clear(), stopped: say('no-number', { name: 'The chord' }) })),
      ).toBeNull();
  });
});

describe('marks', () => {
  it('the worst finding of a station is its mark; a question is none', () => {
    const ledger = {
      ...bittern,
      findings: [finding('power', 'ask'), finding('flight', 'look'), finding('flight', 'stop')],
    };
    expect(stationMark('power', known(ledger))).toBe('fine');
    expect(stationMark('flight', known(ledger))).toBe('stop');
    expect(stationMark('shape', known(ledger))).toBe('fine');
  });
  it('what nobody described is not begun, never fine', () => {
    const bare = structuredClone(bitternDocument());
    bare.brief.requirements = [];
    bare.brief.tasks = [];
    bare.design.items = [];
    for (const id of ['brief', 'score', 'balance', 'test', 'refine'] as const)
      expect(stationMark(id, known(clear(), bare)), id).toBe('not begun');
    expect(stationMark('test', known(clear(), bare, true))).toBe('fine');
  });
  it('a finding stands over “not begun”', () => {
    const bare = { ...bitternDocument(), brief: { ...bitternDocument().brief, requirements: [] } };
    expect(stationMark('brief', known({ ...bittern, findings: [finding('brief', 'look')] }, bare))).toBe(
      'look',
    );
  });
});

describe('all is well', () => {
  it('“every requirement is met” is not said of none', () => {
    const none = starterDocument();
    expect(none.brief.requirements).toEqual([]);
    expect(wellSentence('brief', known(clear(), none))).toBe(
      'No requirement is set: nothing is asked of the prediction yet.',
    );
  });
  it('a requirement met by less than its uncertainty is not simply met', () => {
    const d = structuredClone(bitternDocument());
    const mass = bittern.entries.find((e) => e.id === 'mass' && e.state === 'tubes-8')!;
    d.brief.requirements = [
      {
        id: 'm',
        quantity: 'mass',
        state: 'tubes-8',
        op: 'atMost',
        min: null,
        max: mass.value + 0.2 * mass.sigma,
        rule: '',
        wish: false,
      },
    ];
    expect(wellSentence('brief', known(clear(), d))).toMatch(/1 of them by less than its uncertainty/);
    d.brief.requirements[0]!.max = mass.value + 9 * mass.sigma;
    expect(wellSentence('brief', known(clear(), d))).toMatch(/beyond its uncertainty/);
  });
  it('“inside its limits” is not said of an empty mass list', () => {
    const d = structuredClone(bitternDocument());
    d.design.items = [];
    expect(wellSentence('balance', known(clear(), d))).toMatch(/The mass list is empty/);
  });
  it('nor beside a state that a requirement finds too little: that is said', () => {
    const d = structuredClone(bitternDocument());
    d.brief.requirements = [
      {
        id: 'margin',
        quantity: 'staticMargin',
        state: 'all',
        op: 'atLeast',
        min: 0.9,
        max: null,
        rule: 'Rule 4',
        wish: false,
      },
    ];
    expect(wellSentence('balance', known(clear(), d))).toMatch(/not of the brief: Static margin .*Rule 4/);
    d.brief.requirements = [];
    expect(wellSentence('balance', known(clear(), d))).toBe('Every state lies inside its limits.');
  });
  it('a glider leaves no strip and does not climb', () => {
    expect(wellSentence('flight', known(clear(), waferDocument()))).toMatch(/^It holds its speed/);
    expect(wellSentence('power', known(clear(), waferDocument()))).toBe(
      'No motor is fitted: nothing to judge here.',
    );
    expect(wellSentence('flight', known(clear()))).toMatch(/^It leaves the strip, climbs and turns/);
    expect(wellSentence('flight', known(clear(), craneDocument()))).toMatch(/^It climbs and turns/);
  });
  it('where nothing flies on a wing nothing is said of margin, spar and turns', () => {
    const d = structuredClone(craneDocument());
    d.design.states = d.design.states.filter((l) => l.hover);
    expect(wellSentence('balance', known(clear(), d))).toMatch(/no margin is asked/);
    expect(wellSentence('structure', known(clear(), d))).toMatch(/nothing is asked of the spar/);
    expect(wellSentence('flight', known(clear(), d))).toBeNull();
  });
  it('Refine says what the prediction still asks when no test does', () => {
    const open = { ...bittern, findings: [finding('structure', 'stop'), finding('brief', 'look')] };
    expect(refineSentence(open, true)).toBe(
      'No test asks for a change; the prediction does: the spar breaks in the lap turn (and 1 more)',
    );
    expect(refineSentence({ ...bittern, findings: [finding('brief', 'ask')] }, true)).toMatch(
      /^No handling note/,
    );
  });
});
