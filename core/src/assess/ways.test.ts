/** States judged by how they leave and what they do: strip, margin and lift thrust each where they belong, silence elsewhere. */
import { sentence } from '../words';
import { describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument, gnatDocument, waferDocument } from '../demo';
import { hungMass } from '../drag';
import {
  LEAVING,
  LEAVING_WORDS,
  RETURNING,
  RETURNING_WORDS,
  leavingOf,
  returningOf,
  runsAlongStrip,
  setPath,
  type DesignDocument,
  powertrainOf,
} from '../design';
import { loadedState } from '../mass';
import { stopLine } from '../trial';
import { assess, entryOf, scoreRange, type Ledger, StepCache } from './index';

const cache: StepCache = new StepCache();
const run = (d: DesignDocument) => assess(d.brief, d.design, d.calibration, cache);
const at = (l: Ledger, id: string, state: string) =>
  l.entries.find((e) => e.id === id && e.state === state)?.value;
const leaving = (doc: DesignDocument, way: (typeof LEAVING)[number]): DesignDocument => ({
  ...doc,
  design: { ...doc.design, states: doc.design.states.map((l) => ({ ...l, leaving: way })) },
});
const noted = (l: Ledger, state: string) =>
  l.entries
    .filter((e) => e.id === 'points' && e.state === state)
    .flatMap((e) => e.warnings.map((w) => sentence(w)))
    .join(' ');

describe('ways', () => {
  it('as such an aircraft usually leaves, until it says otherwise', () => {
    const first = (d: DesignDocument) => [
      leavingOf(d.design, d.design.states[0]),
      returningOf(d.design, d.design.states[0]),
    ];
    expect(first(bitternDocument())).toEqual(['run', 'run']);
    expect(first(craneDocument())).toEqual(['hover', 'hover']);
    expect(first(waferDocument())).toEqual(['hand', 'belly']);
    expect(first(gnatDocument())).toEqual(['hand', 'belly']);
    const said = {
      ...bitternDocument().design.states[0],
      leaving: 'bungee' as const,
      returning: 'net' as const,
    };
    expect(leavingOf(bitternDocument().design, said)).toBe('bungee');
    expect(returningOf(bitternDocument().design, said)).toBe('net');
  });
  it('every way has its words, and only run and dolly ask for a strip', () => {
    const { design } = bitternDocument();
    for (const way of LEAVING) {
      expect(LEAVING_WORDS[way].length).toBeGreaterThan(4);
      expect(runsAlongStrip(design, { leaving: way })).toBe(way === 'run' || way === 'dolly');
    }
    for (const way of RETURNING) expect(RETURNING_WORDS[way].length).toBeGreaterThan(4);
  });
});

describe('a powered aircraft thrown by hand (a 2 m strip grounded it before)', () => {
  const short = setPath(bitternDocument(), 'brief.site.stripLength', 2);
  const thrown = run(leaving(short, 'hand')),
    rolling = run(short);
  it('has no ground run, no strip in its way, and scores', () => {
    expect(at(thrown, 'groundRun', 'tubes-4')).toBeUndefined();
    expect(at(thrown, 'stripChance', 'tubes-4')).toBeUndefined();
    expect(noted(thrown, 'tubes-4')).not.toMatch(/strip/);
    expect(at(thrown, 'score', 'tubes-4')!).toBeGreaterThan(0);
    expect(thrown.findings.map((f) => sentence(f)).join()).not.toMatch(/to leave the ground/);
    expect(
      stopLine(short.brief, leaving(short, 'hand').design, thrown, 'tubes-4')
        .map((x) => sentence(x))
        .join(),
    ).not.toMatch(/strip/);
  });
  it('is told of the strip where it comes back on wheels, and not where it slides in', () => {
    const sliding = setPath(
      short,
      'design.states',
      short.design.states.map((l) => ({ ...l, leaving: 'hand', returning: 'belly' })),
    );
    expect(thrown.findings.map((f) => sentence(f)).join()).toMatch(/after landing .*the strip is 2 m/);
    expect(
      run(sliding)
        .findings.map((f) => sentence(f))
        .join(),
    ).not.toMatch(/the strip is/);
  });
  it('while one that rolls is told so', () => {
    expect(noted(rolling, 'tubes-4')).toMatch(/ground run of .* on a strip of 2 m/);
    expect(
      stopLine(short.brief, short.design, rolling, 'tubes-4')
        .map((x) => sentence(x))
        .join(),
    ).toMatch(/longer than the strip/);
    expect(rolling.findings.map((f) => sentence(f)).join()).toMatch(/the strip is 2 m/);
  });
  it('law: no way of leaving changes what it does once it flies', () => {
    for (const id of ['stallSpeed', 'climbRate', 'topSpeed', 'staticMargin', 'failLoadFactor', 'lapTime'])
      expect(at(thrown, id, 'tubes-8'), id).toBe(at(rolling, id, 'tubes-8'));
  });
});

describe('a state that hangs on its rotors', () => {
  const doc = craneDocument(),
    ledger = run(doc),
    hover = doc.design.states.find((l) => l.hover)!.id;
  it('is judged by its lift alone: it scores, and lasts as long as it hovers', () => {
    expect(at(ledger, 'score', hover)!).toBeGreaterThan(0);
    expect(noted(ledger, hover)).toBe('');
    expect(at(ledger, 'endurance', hover)).toBe(at(ledger, 'hoverTime', hover));
    expect(at(ledger, 'groundRun', hover)).toBeUndefined();
    expect(at(ledger, 'climbRate', hover)).toBeUndefined();
  });
  it('its stop line knows neither margin nor strip, and names lift that is short', () => {
    const tail = setPath(doc, 'design.flight.marginMin', 0.59);
    expect(stopLine(tail.brief, tail.design, run(tail), hover)).toEqual([]);
    const heavy = setPath(doc, 'design.items.cradle.planned', { kind: 'mass', mass: 6 });
    expect(
      stopLine(heavy.brief, heavy.design, run(heavy), hover)
        .map((x) => sentence(x))
        .join(),
    ).toMatch(/Lift thrust is 1\.\d\d times the weight/);
  });
  it('more weight than lift scores nothing, with the reason', () => {
    const far = run(setPath(doc, 'design.items.cradle.planned', { kind: 'mass', mass: 40 }));
    expect(noted(far, hover)).toMatch(/lift thrust is 0\.\d\d of the weight/);
    expect(at(far, 'score', hover)).toBe(0);
  });
  it('without lift motors it is said that nothing lifts it', () => {
    const bare = structuredClone(doc);
    delete powertrainOf(bare.design).lift;
    const l = run(bare);
    expect(noted(l, hover)).toMatch(/nothing lifts it in hover/);
    expect(
      stopLine(bare.brief, bare.design, l, hover)
        .map((x) => sentence(x))
        .join(),
    ).toMatch(/Nothing is computed to lift it/);
  });
  it('a craft that only hovers has the energy of its pack, not 0 Wh', () => {
    const only = setPath(doc, 'design.drives.main.fitted', false);
    expect(at(run(only), 'usableEnergy', 'all')!).toBeGreaterThan(0.5 * at(ledger, 'usableEnergy', 'all')!);
  });
});

describe('what is not known', () => {
  it('a way on rotors that are not there is asked about, one that has them is not', () => {
    const said = (d: DesignDocument) =>
      run(d)
        .findings.map((f) => sentence(f))
        .join();
    expect(said(setPath(bitternDocument(), 'design.states.ferry.returning', 'hover'))).toMatch(
      /comes back on rotors, and none are described/,
    );
    expect(said(craneDocument())).not.toMatch(/none are described/);
  });
  it('a limit that was not computed is no leave to fly, and no “NaN g”', () => {
    const doc = bitternDocument();
    const ledger = run(doc);
    const blind = { ...ledger, entries: ledger.entries.filter((e) => e.id !== 'failLoadFactor') };
    expect(stopLine(doc.brief, doc.design, blind, 'ferry').map((x) => sentence(x))).toEqual([
      'Not computed for this state: what the wing breaks at. Unknown is no leave to fly.',
    ]);
  });
});

describe('a state that is not there', () => {
  it('stops the flight with a sentence instead of failing', () => {
    const doc = bitternDocument();
    expect(stopLine(doc.brief, doc.design, run(doc), 'gone').map((x) => sentence(x))).toEqual([
      'This state is not in the design any more: choose one that is.',
    ]);
  });
});

describe('what is towed', () => {
  const towed = { mass: 0.4, dragArea: 0.002, line: 6, lineDiameter: 0.001, x: 0.45, z: -0.05 };
  const doc = bitternDocument();
  const tow = setPath(doc, 'design.states.ferry.towed', towed);
  it('is carried: weight, wing loading and stall speed know of it', () => {
    const [a, b] = [run(doc), run(tow)];
    const more = at(b, 'mass', 'ferry')! - at(a, 'mass', 'ferry')!;
    expect(more).toBeCloseTo(hungMass(towed), 9);
    expect(hungMass(towed)).toBeGreaterThan(towed.mass);
    expect(at(b, 'stallSpeed', 'ferry')!).toBeGreaterThan(1.05 * at(a, 'stallSpeed', 'ferry')!);
    expect(at(b, 'mass', 'tubes-8')).toBe(at(a, 'mass', 'tubes-8'));
  });
  it('bears on its hook: the CG goes towards it by moments', () => {
    const [a, b] = [doc, tow].map((d) => loadedState(d.design, d.design.states[0], 'best', 1));
    expect(b.x).toBeCloseTo((a.mass * a.x + hungMass(towed) * towed.x) / (a.mass + hungMass(towed)), 12);
  });
});

describe('balance', () => {
  const margins = (d: DesignDocument) =>
    run(d).findings.filter((f) => f.station === 'balance' && /heavy|unstable/.test(sentence(f)));
  it('unstable, tail-heavy and nose-heavy are told apart, each with its own severity (one hid the other)', () => {
    const doc = structuredClone(bitternDocument());
    doc.brief.tasks = doc.brief.tasks.map((m) => ({ ...m, state: 'each' }));
    const x = doc.design.items.find((i) => i.id === 'battery')!.x;
    doc.design.states = [
      {
        ...doc.design.states[0],
        id: 'back',
        name: 'Pack far back',
        moved: [{ item: 'battery', x: x + 0.9 }],
      },
      {
        ...doc.design.states[0],
        id: 'front',
        name: 'Pack far forward',
        moved: [{ item: 'battery', x: x - 1.2 }],
      },
    ];
    const found = margins(doc);
    expect(found.map((f) => [f.state, f.severity])).toEqual([
      ['back', 'stop'],
      ['front', 'look'],
    ]);
    expect(sentence(found[0])).toMatch(/Pack far back is unstable: static margin −/);
    expect(sentence(found[1])).toMatch(/Pack far forward is nose-heavy/);
  });
});

describe('the best state', () => {
  it('is named by itself, not by its count: two states of one count are told apart', () => {
    const doc = structuredClone(bitternDocument());
    const eight = doc.design.states.find((l) => l.id === 'tubes-8')!;
    doc.design.states = [
      { ...eight, id: 'slow', name: 'Eight, bay open', addedDrag: 0.02 },
      { ...eight, id: 'clean', name: 'Eight, bay closed' },
    ];
    doc.brief.watch = [];
    doc.brief.tasks = doc.brief.tasks.map((m) => ({ ...m, state: 'each' }));
    doc.brief.missions = doc.brief.missions.slice(0, 1);
    expect(entryOf(run(doc), 'bestScore', 'all')!.names).toBe('clean');
  });
  it('there is none where every task names its state (flying empty was recommended)', () => {
    const doc = structuredClone(bitternDocument());
    doc.brief.tasks = doc.brief.tasks.map((m) => ({ ...m, state: 'tubes-8' }));
    const l = run(doc);
    expect(entryOf(l, 'bestScore', 'all')!.names).toBeUndefined();
    expect(entryOf(l, 'bestCount', 'all')).toBeUndefined();
    expect(entryOf(l, 'bestScore', 'all')!.value).toBe(at(l, 'score', 'tubes-8'));
  });
  it('law: what it scores lies within what it scores over the range of the field', () => {
    const doc = bitternDocument(),
      l = run(doc);
    const values = Object.fromEntries(l.entries.map((e) => [`${e.id}@${e.state}`, e.value]));
    for (const { id } of doc.design.states) {
      const [low, high] = scoreRange(doc.brief, doc.design, values, id);
      expect(low).toBeLessThanOrEqual(at(l, 'score', id)! + 1e-9);
      expect(high).toBeGreaterThanOrEqual(at(l, 'score', id)! - 1e-9);
    }
    const fixed = {
      ...doc.brief,
      rivals: doc.brief.rivals.map((r) => ({ ...r, low: r.likely, high: r.likely })),
    };
    const [low, high] = scoreRange(fixed, doc.design, values, 'tubes-8');
    expect(high).toBe(low);
  });
});
