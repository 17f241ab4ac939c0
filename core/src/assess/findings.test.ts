/** Findings from a ledger alone: each at its limit, silent inside it, and never a word that is not one. */
import { say, sentence } from '../words';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument } from '../demo';
import { setPath, type Brief, type Design, powertrainOf } from '../design';
import { findingsOf } from './findings';
import { assess, type Finding, type Ledger } from './index';

const { brief } = bitternDocument();
/** Without its supply plan, whose one line is a finding of its own. */
const design: Design = {
  ...bitternDocument().design,
  power: { ...bitternDocument().design.power, supply: undefined },
};
let base: Ledger;
beforeAll(() => {
  const doc = bitternDocument();
  base = assess(doc.brief, doc.design, doc.calibration);
});

/** The ledger with numbers put in by hand, everything else as computed. Keys `id@state`; a bare id is meant for every state. */
function put(values: Record<string, number>): Ledger {
  const of = (id: string, state: string) => values[`${id}@${state}`] ?? values[id];
  return {
    ...base,
    entries: base.entries.map((e) => ({ ...e, value: of(e.id, e.state) ?? e.value })),
  };
}
/** Nothing wrong anywhere: balanced, strong, cool, quick off the ground. */
const SOUND = {
  failLoadFactor: 40,
  failLoadFactorDown: 40,
  groundRun: 8,
  climbRate: 4,
  windingHeat: 330,
  staticCurrent: 15,
  tipMach: 0.3,
  aileronReserve: 0.2,
  yawStiffness: 0.08,
  allowedLoadFactor: 20,
  energyLeft: 0.4,
  reynoldsLap: 2e5,
};
const centred = (): Record<string, number> => {
  const at = (id: string) => base.entries.find((e) => e.id === id && e.state === 'all')!.value;
  return { cgX: (at('cgForward') + at('cgAft')) / 2, staticMargin: 0.12 };
};
const found = (values: Record<string, number>, d: Design = design, b: Brief = brief) =>
  findingsOf(b, d, put({ ...SOUND, ...centred(), ...values }), []).filter((f) => f.severity !== 'ask');
const at = (list: readonly Finding[], station: Finding['station']) =>
  list.filter((f) => f.station === station);

describe('coming back on wheels', () => {
  it('what does not stop on the strip is told of once, by the state that rolls farthest', () => {
    const list = at(
      found({ landingRun: 15, 'landingRun@tubes-12': 48, 'landingRun@tubes-11': 41 }),
      'flight',
    );
    expect(list).toHaveLength(1);
    expect(list[0].state).toBe('tubes-12');
    expect(sentence(list[0])).toMatch(
      /12 tubes rolls 48 m after landing \(so is one other state\); the strip is 20 m/,
    );
  });
  it('what stops on it is silent, and so is what comes back another way', () => {
    expect(at(found({ landingRun: 19.9 }), 'flight')).toEqual([]);
    const doc = craneDocument(),
      l = assess(doc.brief, doc.design, doc.calibration);
    expect(l.entries.some((e) => e.id === 'landingRun')).toBe(false);
    expect(l.findings.some((f) => /after landing/.test(sentence(f)))).toBe(false);
  });
});

describe('a sound aircraft', () => {
  it('is found nothing', () => expect(found({}).map((f) => sentence(f))).toEqual([]));
  it('law: whatever the numbers, every finding is a sentence of a station with a state that exists', () => {
    const states = new Set(['all', ...design.states.map((l) => l.id)]);
    const keys = Object.keys(SOUND);
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -2, max: 60, noNaN: true }), { minLength: 12, maxLength: 12 }),
        (v) => {
          for (const f of found(Object.fromEntries(keys.map((k, i) => [k, v[i]])))) {
            expect(sentence(f)).toMatch(/^.{12,}[.?]$/s);
            expect(sentence(f)).not.toMatch(/NaN|undefined|Infinity|null|\[object/);
            expect(states.has(f.state), f.state).toBe(true);
          }
        },
      ),
      { seed: 81, numRuns: 120 },
    );
  });
});

describe('strength', () => {
  const need = design.structure.requiredLoadFactor * design.structure.safetyFactor,
    down = design.structure.requiredNegative * design.structure.safetyFactor;
  it('is a stop below what is asked, up and down, at the worst state, and silent above', () => {
    expect(at(found({ failLoadFactor: need + 0.01 }), 'structure')).toEqual([]);
    const up = at(found({ 'failLoadFactor@tubes-12': need - 0.1 }), 'structure');
    expect(up.map((f) => [f.severity, f.state])).toEqual([['stop', 'tubes-12']]);
    expect(sentence(up[0])).toContain(`breaks at ${(need - 0.1).toFixed(1)} g in 12 tubes`);
    const below = at(found({ failLoadFactorDown: down - 0.1 }), 'structure');
    expect(sentence(below[0])).toMatch(/^Downward the wing breaks/);
  });
  it('a material that is not in the store and a tube that is a rod are told', () => {
    const odd = setPath(design, 'structure.members.spar.shape.material', 'moonrock');
    expect(sentence(at(found({}, odd), 'structure')[0])).toMatch(/“moonrock” that is not known/);
    const rod = setPath(design, 'structure.members.spar.shape.wall', 0.02);
    expect(findingsOf(brief, rod, put({}), []).some((f) => /solid rod/.test(sentence(f)))).toBe(true);
  });
});

describe('balance', () => {
  const { marginMin, marginMax } = design.flight;
  const off = (margin: number, x: number) => found({ 'staticMargin@tubes-8': margin, 'cgX@tubes-8': x });
  it('unstable and far tail-heavy stop, a little tail-heavy and nose-heavy need a look', () => {
    const said = (margin: number, x: number) =>
      at(off(margin, x), 'balance').map((f) => [
        f.severity,
        /(unstable|tail-heavy|nose-heavy)/.exec(sentence(f))?.[1],
      ]);
    expect(said(-0.02, 2)).toEqual([['stop', 'unstable']]);
    expect(said(0.2 * marginMin, 2)).toEqual([['stop', 'tail-heavy']]);
    expect(said(0.9 * marginMin, 2)).toEqual([['look', 'tail-heavy']]);
    expect(said(marginMax + 0.05, 0)).toEqual([['look', 'nose-heavy']]);
  });
  it('several states of one fault are one finding that counts them; two faults are two', () => {
    const list = at(
      found({
        'staticMargin@tubes-8': 0.01,
        'cgX@tubes-8': 2,
        'staticMargin@tubes-9': 0.02,
        'cgX@tubes-9': 2,
        'staticMargin@ferry': marginMax + 0.1,
        'cgX@ferry': 0,
      }),
      'balance',
    );
    expect(list).toHaveLength(2);
    expect(sentence(list[0])).toMatch(/8 tubes is tail-heavy \(so is one other state\)/);
    expect(sentence(list[1])).toMatch(/^Ferry is nose-heavy: /);
    // what to do is the same for all, and said once
    expect(list[1].fix).toBeNull();
  });
  it('a state that hovers is not judged by its margin', () => {
    const hover = { ...design, states: design.states.map((l) => ({ ...l, hover: true })) };
    expect(at(found({ staticMargin: -1, cgX: 9 }, hover), 'balance')).toEqual([]);
  });
  it('a weak weathercock is told of the weakest state', () => {
    expect(at(found({ 'yawStiffness@tubes-5': 0.005 }), 'balance')[0]).toMatchObject({
      severity: 'look',
      state: 'tubes-5',
    });
    expect(at(found({ 'yawStiffness@tubes-5': -0.01 }), 'balance')[0].severity).toBe('stop');
  });
});

describe('power', () => {
  const { motor, esc } = powertrainOf(design);
  it('a current over a limit is a stop that names the part; near it, a look', () => {
    const least = Math.min(motor.maxCurrent, esc.maxCurrent);
    const over = at(found({ staticCurrent: 3 * least }), 'power').filter((f) => f.severity === 'stop');
    expect(over.map((f) => /over the (\w+)’s/.exec(sentence(f))?.[1])).toEqual(
      expect.arrayContaining(['motor', 'controller']),
    );
    const near = at(found({ staticCurrent: 0.93 * least + powertrainOf(design).avionicsCurrent }), 'power');
    expect(near.map((f) => f.severity)).toContain('look');
    expect(near.every((f) => /under 15 % margin/.test(sentence(f)))).toBe(true);
  });
  it('a hot winding and a fast tip need a look', () => {
    expect(sentence(at(found({ windingHeat: 430 }), 'power')[0])).toMatch(/heats the winding to 157 °C/);
    expect(sentence(at(found({ windingHeat: 700 }), 'power')[0])).toMatch(/far over/);
    expect(sentence(at(found({ tipMach: 0.8 }), 'power')[0])).toMatch(/passes Mach/);
  });
  it('unpowered nothing of it is said', () => {
    const glider = setPath(design, 'drives.main.fitted', false);
    expect(at(found({ staticCurrent: 900, windingHeat: 900, tipMach: 2 }, glider), 'power')).toEqual([]);
  });
});

describe('flight', () => {
  it('a run past the strip is told of the first state, with a word for what never leaves', () => {
    expect(sentence(at(found({ 'groundRun@tubes-9': 25 }), 'flight')[0])).toBe(
      '9 tubes needs 25.0 m to leave the ground; the strip is 20 m.',
    );
    expect(sentence(at(found({ 'groundRun@tubes-9': 9999 }), 'flight')[0])).toMatch(
      /more thrust than there is/,
    );
  });
  it('a climb below half a metre a second stops', () =>
    expect(at(found({ 'climbRate@tubes-11': 0.3 }), 'flight')[0]).toMatchObject({
      severity: 'stop',
      state: 'tubes-11',
    }));
  it('ailerons that stall with the wing are told under Shape', () =>
    expect(sentence(at(found({ aileronReserve: 0.01 }), 'shape')[0])).toMatch(
      /the ailerons lose the wing 0\.6° after/,
    ));
});

describe('brief, score, sections', () => {
  it('a requirement that names what is not there is told, one that is missed too', () => {
    const odd: Brief = {
      ...brief,
      requirements: [
        { ...brief.requirements[0], id: 'odd', quantity: 'hoverTime', state: 'tubes-8' },
        { ...brief.requirements[0], id: 'long', quantity: 'groundRun', state: 'tubes-8', max: 5 },
      ],
    };
    const said = at(found({}, design, odd), 'brief').map((f) => sentence(f));
    expect(said[0]).toMatch(/names “hoverTime” in “tubes-8”, which this design does not have/);
    expect(said[1]).toMatch(/Ground run in 8 tubes is 8 m; at most 5 m is asked/);
  });
  it('a score that cannot be read is a finding of its own', () =>
    expect(
      findingsOf(brief, design, put({}), [
        say('formula-error', { task: 'Relay', problem: '“laps +” stops short.' }),
      ])
        .filter((f) => f.station === 'score')
        .map((f) => sentence(f)),
    ).toEqual(['Relay: “laps +” stops short.']));
  it('sections below 60 thousand are rough', () =>
    expect(sentence(at(found({ reynoldsLap: 4e4 }), 'sections')[0])).toMatch(/40 thousand/));
  it('a computation that stopped is the one finding there is', () =>
    expect(
      findingsOf(brief, design, { ...base, stopped: say('no-number', { name: 'The chord' }) }, [
        say('does-not-climb', {}),
      ]),
    ).toEqual([
      {
        station: 'shape',
        severity: 'stop',
        state: 'all',
        ...say('no-number', { name: 'The chord' }),
        fix: null,
      },
    ]));
});

describe('lift rotors', () => {
  it('lift below twice the weight needs a look, below one and a half stops', () => {
    const crane = craneDocument(),
      ledger = assess(crane.brief, crane.design, crane.calibration);
    const hover = crane.design.states.find((l) => l.hover)!.id;
    const lift = (value: number) =>
      findingsOf(
        crane.brief,
        crane.design,
        { ...ledger, entries: ledger.entries.map((e) => (e.id === 'hoverMargin' ? { ...e, value } : e)) },
        [],
      ).filter((f) => /lift thrust is/.test(sentence(f)));
    expect(lift(2.4)).toEqual([]);
    expect(lift(1.8)[0]).toMatchObject({ severity: 'look', state: hover });
    expect(lift(1.3)[0].severity).toBe('stop');
  });
});

describe('drives beyond what is computed', () => {
  const doc = craneDocument(),
    said = (d: Design) => assess(doc.brief, d, doc.calibration).findings.map((f) => sentence(f));
  it('a third is named as left out', () => {
    const third = { ...doc.design.drives[0], id: 'third', name: 'Booster' };
    expect(said({ ...doc.design, drives: [...doc.design.drives, third] })).toContainEqual(
      expect.stringMatching(/^Booster is not computed/),
    );
  });
  it('one whose propeller stands nowhere is reckoned at the datum, and says so', () => {
    const { thrusters } = doc.design,
      nowhere = (x: number | null) =>
        said({ ...doc.design, thrusters: thrusters.map((t) => (t.drive === 'main' ? { ...t, x } : t)) });
    const asked = expect.stringMatching(/^Where Drive pushes is not said/) as string;
    expect(nowhere(null)).toContainEqual(asked);
    expect(nowhere(0)).not.toContainEqual(asked);
    expect(said({ ...doc.design, thrusters: thrusters.filter((t) => t.drive === 'lift') })).toContainEqual(
      asked,
    );
  });
  it('one without a motor says so, and flies as none', () => {
    const { motor: _gone, ...rest } = doc.design.drives[0],
      drives = [rest, doc.design.drives[1]];
    expect(said({ ...doc.design, drives })).toContainEqual(expect.stringMatching(/^Drive: motor not known/));
  });
});
