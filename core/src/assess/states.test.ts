/** States that carry what differs: their own stall, run, trim, parts and shape; the plain ones stay as they are. */
import { beforeAll, describe, expect, it } from 'vitest';
import { readDocument, type DesignDocument, type State } from '../design';
import { bitternDocument, craneDocument } from '../demo';
import { lattice, type QuantityId } from '../steps';
import { loadPolars } from '../../testing/polarStore';
import { assess, runOf } from './assess';
import { StepCache } from './cache';
import { entryOf, type Ledger } from './ledger';

beforeAll(loadPolars);
const cache = new StepCache();

/** Bittern with a state beside its own first one, which is as that but for what is given. */
function withState(other: Partial<State>, doc: DesignDocument = bitternDocument()): DesignDocument {
  const [first] = doc.design.states;
  return {
    ...doc,
    design: {
      ...doc.design,
      states: [...doc.design.states, { ...first!, id: 'other', name: 'Other', ...other }],
    },
  };
}
const ledgerOf = ({ brief, design, calibration }: DesignDocument) =>
  assess(brief, design, calibration, cache);
const at = (l: Ledger, id: QuantityId, state: string) => entryOf(l, id, state)!.value;

const plain = bitternDocument(),
  first = plain.design.states[0]!.id,
  wing = plain.design.surfaces.find((s) => s.role === 'wing')!,
  droop = (angle: number) => [{ surface: wing.id, control: wing.controls[0]!.id, angle }];

describe('a state with its flaps down', () => {
  const doc = withState({ flaps: droop((10 * Math.PI) / 180) });
  it('has its own stall, run, drag and trim; the others are untouched', () => {
    const was = ledgerOf(plain),
      is = ledgerOf(doc);
    expect(is.stopped).toBeNull();
    for (const e of was.entries) {
      const now = entryOf(is, e.id, e.state, e.part);
      // legs have a place of their own in their reference
      if (e.case === undefined && e.leg === undefined && !/^(best|strip)/.test(e.id))
        expect(now?.value, `${e.id}@${e.state}`).toBe(e.value);
    }
    expect(at(is, 'clMax', 'other')).toBeGreaterThan(at(is, 'clMax', first));
    expect(at(is, 'stallSpeed', 'other')).toBeLessThan(at(is, 'stallSpeed', first));
    expect(at(is, 'glideRatio', 'other')).toBeLessThan(at(is, 'glideRatio', first));
    expect(at(is, 'trimElevator', 'other')).not.toBeCloseTo(at(is, 'trimElevator', first), 4);
    expect(at(is, 'mass', 'other')).toBe(at(is, 'mass', first));
    expect(at(is, 'cgX', 'other')).toBe(at(is, 'cgX', first));
  });
  it('asked from that state, what is done once is done with the flaps down', () => {
    const run = runOf(doc, doc.calibration, cache),
      down = run.inState('other');
    expect(down.of(lattice)).not.toBe(run.of(lattice));
    expect(down.of(lattice).coefficients.cl0).toBeGreaterThan(run.of(lattice).coefficients.cl0);
    expect(run.inState(first)).toBe(run);
    expect(down.inState(first).of(lattice)).toBe(run.of(lattice));
  });
});

describe('a state flown with other parts', () => {
  it('of the swap set: their mass and their numbers', () => {
    const doc = withState({ fitted: ['pack-b', 'prop-9x6'] }),
      l = ledgerOf(doc),
      swap = (id: string) => doc.design.swaps!.find((s) => s.id === id)!.mass;
    const own = (kind: string) => doc.design.items.find((i) => i.part?.kind === kind)!;
    expect(own('pack')).toBeDefined();
    const gained = at(l, 'mass', 'other') - at(l, 'mass', first);
    expect(gained).toBeGreaterThan(0.5 * (swap('pack-b') - swap('pack-a')));
    expect(gained).toBeLessThan(2 * (swap('pack-b') - swap('pack-a')));
    expect(at(l, 'topSpeed', 'other')).not.toBeCloseTo(at(l, 'topSpeed', first), 2);
    expect(at(l, 'staticThrust', 'all')).toBe(at(ledgerOf(plain), 'staticThrust', 'all'));
  });
  it('gear up: less drag where all of it goes in', () => {
    const doc = withState({ gear: 'up' });
    doc.design.wheels = doc.design.wheels?.map((w) => ({ ...w, retracts: true }));
    doc.design.dragItems = [
      ...doc.design.dragItems,
      { id: 'legs', name: 'Legs', dragArea: 0.004, note: '', part: { kind: 'gear' } },
    ];
    const l = ledgerOf(doc);
    expect(at(l, 'glideRatio', 'other')).toBeGreaterThan(1.02 * at(l, 'glideRatio', first));
  });
  it('a propeller folded in pulls nothing; a surface set otherwise trims otherwise', () => {
    const [thruster] = plain.design.thrusters,
      stopped = ledgerOf(withState({ stowed: [thruster!.id] }));
    expect(entryOf(stopped, 'topSpeed', 'other')).toBeUndefined();
    expect(at(stopped, 'glideRatio', 'other')).toBeCloseTo(at(stopped, 'glideRatio', first), 6);
    const tail = plain.design.surfaces.find((s) => s.role === 'tail')!,
      set = ledgerOf(withState({ set: [{ surface: tail.id, incidence: tail.incidence + 0.02 }] }));
    // the elevator takes back what the tail was given, in its measure: tail 1.15° down, elevator more than that up
    const moved = at(set, 'trimElevator', 'other') - at(set, 'trimElevator', first);
    expect(moved).toBeLessThan(-0.02);
    expect(moved).toBeGreaterThan(-0.06);
  });
  it('lift rotors folded in no longer carry, the rest flies on', () => {
    const crane = craneDocument(),
      lifting = crane.design.thrusters.filter((t) => (t.down ?? 0) < -1).map((t) => t.id);
    const cruise = crane.design.states.find((s) => !s.hover)!,
      doc = {
        ...crane,
        design: {
          ...crane.design,
          states: [...crane.design.states, { ...cruise, id: 'other', name: 'Other', stowed: lifting }],
        },
      };
    const l = ledgerOf(doc);
    expect(l.stopped).toBeNull();
    expect(entryOf(l, 'hoverPower', 'other')).toBeUndefined();
    expect(at(l, 'stallSpeed', 'other')).toBeCloseTo(at(l, 'stallSpeed', cruise.id), 6);
  });
});

describe('what does not go together', () => {
  const codes = (d: DesignDocument) => ledgerOf(d).findings.map((f) => f.code);
  it('wheels in on a run; a flap past its throw', () => {
    const doc = withState({ gear: 'up', flaps: droop(0.5) });
    doc.design.wheels = [{ id: 'w', name: 'Wheel', x: 0.3, y: 0, z: -0.1, retracts: true }];
    expect(codes(doc)).toContain('gear-up-runs');
    expect(codes(doc)).toContain('flap-past-throw');
    expect(codes(withState({ gear: 'up', leaving: 'hand', returning: 'belly' }))).not.toContain(
      'gear-up-runs',
    );
  });
});

describe('what is towed', () => {
  it('turns the aircraft in trim by the height of its hook', () => {
    const towed = { mass: 0.1, dragArea: 0.01, line: 4, lineDiameter: 0.001, x: 0.4, z: 0.06 },
      trimOf = (z: number) => at(ledgerOf(withState({ towed: { ...towed, z } })), 'trimElevator', 'other');
    const high = trimOf(0.1),
      low = trimOf(-0.1);
    // a pull above the CG lifts the nose: more elevator down holds it
    expect(high).toBeGreaterThan(low);
  });
});

describe('a document whose states name what is not there', () => {
  it.each([
    [{ flaps: [{ surface: 'wing', control: 'none', angle: 0.1 }] }, /sets a flap “none”/],
    [{ set: [{ surface: 'nowhere', incidence: 0 }] }, /surface “nowhere” that does not exist/],
    [{ stowed: ['ghost'] }, /thruster “ghost” that does not exist/],
    [{ fitted: ['nothing'] }, /“nothing”, which is not in the swap set/],
  ] as [Partial<State>, RegExp][])('%o', (other, words) => {
    const read = readDocument(JSON.parse(JSON.stringify(withState(other))));
    expect(read.status === 'error' ? read.message : '').toMatch(words);
  });
});
