/** Drives laid out from a plain powertrain and back; changes of shafts, packs and lift rotors. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument, waferDocument } from '../demo';
import {
  arranged,
  drivesOf,
  driveFitted,
  forwardAt,
  layOut,
  powertrainOf,
  readDocument,
  setPath,
  thrustersOf,
  usualDrive,
  withLift,
  withPowertrain,
  withSecondPack,
  withoutLift,
  withoutSecondPack,
  type Design,
  type DesignDocument,
  type PathChange,
  type PlainPowertrain,
} from './index';
import { partMass } from '../mass';
import { BEGINNINGS } from '../start';

const bittern = () => bitternDocument().design,
  crane = () => craneDocument().design;
const CRANE = powertrainOf(crane());
const after = (d: Design, changes: PathChange[]): Design =>
  changes.reduce((at, c) => setPath(at, c.path, c.value), d);
/** It can be stored and read again. */
function sound(doc: DesignDocument, design: Design): Design {
  const read = readDocument({ ...doc, design });
  if (read.status === 'error') throw new Error(read.message);
  return read.value.design;
}

const arrangement = fc.option(
  fc.record({
    count: fc.integer({ min: 2, max: 8 }),
    kind: fc.constantFrom('apart' as const, 'counter-rotating' as const),
    tilt: fc.boolean(),
  }),
  { nil: undefined },
);

describe('a powertrain', () => {
  const plain = fc
    .record({
      arrangement,
      unpowered: fc.option(fc.constant(true), { nil: undefined }),
      second: fc.constantFrom(undefined, 'parallel' as const, 'series' as const),
      lift: fc.constantFrom('none', 'shared', 'own'),
      placed: fc.boolean(),
      down: fc.option(fc.double({ min: -0.2, max: 0.2, noNaN: true }), { nil: undefined }),
    })
    .map(({ second, lift, placed, down, ...rest }): PlainPowertrain => {
      const { rotors, rotorCount: _n, ...own } = CRANE,
        { battery } = own;
      const base: PlainPowertrain = {
        ...own,
        ...rest,
        propeller: { ...own.propeller, ...(down === undefined ? {} : { downThrust: down }) },
        ...(second ? { second: { joined: second, battery } } : {}),
        ...(placed ? { rotors } : {}),
      };
      if (lift === 'none') return { ...base, lift: undefined };
      const { motor, esc, propeller, law } = own.lift!;
      const lifting = { motor, esc, propeller, law };
      if (lift === 'shared') return { ...base, lift: lifting };
      return { ...base, lift: { ...lifting, battery: { ...battery, series: battery.series + 2 } } };
    });
  const said = (p: object) => JSON.parse(JSON.stringify(p)) as Record<string, unknown>;

  it('comes back as it was laid out, the lift motors with the packs that feed them', () =>
    fc.assert(
      fc.property(plain, (p) => {
        const { lift, rotorCount, ...back } = powertrainOf(layOut(p)),
          { lift: typed, ...given } = p;
        expect(said(back)).toEqual(said(given));
        expect(rotorCount).toBe(p.rotors?.length ?? (typed ? 4 : undefined));
        const feed = typed?.battery ? typed : { battery: p.battery, second: p.second, wire: p.wire };
        expect(lift && said(lift)).toEqual(typed && said({ ...typed, ...feed }));
      }),
      { numRuns: 120 },
    ));
  it('of a design without any drive is asleep', () => {
    const bare = { ...bittern(), drives: [], thrusters: [] };
    expect(powertrainOf(bare).unpowered).toBe(true);
    expect(forwardAt(bare)).toBeNull();
  });
  it('of which a part is not known is asleep, and keeps what is known', () => {
    const d = bittern(),
      { motor: _gone, ...rest } = d.drives[0],
      p = powertrainOf({ ...d, drives: [rest] });
    expect(p.unpowered).toBe(true);
    expect(p.propeller.diameter).toBe(d.drives[0].propeller!.diameter);
  });
  it('lift motors on packs of their own draw from those', () => {
    const d = crane(),
      packs = [...d.power.packs, { ...d.power.packs[0], id: 'upper', name: 'Upper', series: 12 }],
      drives = d.drives.map((s) => (s.id === 'lift' ? { ...s, packs: ['upper'] } : s));
    expect(powertrainOf({ ...d, power: { ...d.power, packs }, drives }).lift!.battery.series).toBe(12);
  });
});

describe('changes of drives', () => {
  it('a second pack feeds whatever the first feeds, and goes again', () => {
    const doc = craneDocument(),
      two = sound(doc, after(doc.design, withSecondPack(doc.design)));
    expect(powertrainOf(two).second?.joined).toBe('parallel');
    expect(powertrainOf(two).lift?.second?.joined).toBe('parallel');
    expect(sound(doc, after(two, withoutSecondPack(two)))).toEqual(doc.design);
  });
  it('shafts are added and taken away; the first stays where it is', () =>
    fc.assert(
      fc.property(arrangement, arrangement, (a, b) => {
        const doc = bitternDocument(),
          one = { count: 1, kind: 'apart' as const, tilt: false };
        const first = after(doc.design, arranged(doc.design, a ?? one)),
          d = sound(doc, after(first, arranged(first, b ?? one)));
        expect(powertrainOf(d).arrangement).toEqual(b);
        expect(thrustersOf(d, 'main')[0].x).toBe(0);
        expect(new Set(d.thrusters.map((t) => t.id)).size).toBe(d.thrusters.length);
      }),
    ));
  it('a glider gets its motor back as it was', () => {
    const doc = waferDocument(),
      d = sound(doc, after(doc.design, driveFitted(doc.design, true)));
    expect(powertrainOf(d).unpowered).toBeUndefined();
    expect(after(d, driveFitted(d, false))).toEqual(doc.design);
  });
  it('lift motors take the rotors that are drawn; taken out, the rotors stay', () => {
    const doc = craneDocument(),
      { motor, controller, propeller, law } = drivesOf(doc.design).lift!,
      without = sound(doc, after(doc.design, withoutLift(doc.design)));
    expect(powertrainOf(without).lift).toBeUndefined();
    expect(powertrainOf(without).rotors).toEqual(powertrainOf(doc.design).rotors);
    expect(after(without, withLift(without, { motor, controller, propeller, law }))).toEqual(doc.design);
  });
  it('without any drawn, four are counted and none is placed', () => {
    const doc = bitternDocument(),
      { motor, controller, propeller } = doc.design.drives[0],
      d = sound(doc, after(doc.design, withLift(doc.design, { motor, controller, propeller })));
    expect([powertrainOf(d).rotorCount, powertrainOf(d).rotors]).toEqual([4, undefined]);
    expect(powertrainOf(after(d, withoutLift(d)))).toEqual(powertrainOf(doc.design));
  });
  it('another powertrain replaces the drives and leaves the rest', () => {
    const d = bittern();
    expect(withPowertrain(d, powertrainOf(d))).toEqual(d);
  });
});

describe('a drive for what never had one', () => {
  it('is whole, stands at the nose, weighs in the list, and is computed', () => {
    const doc = BEGINNINGS.find((b) => b.id === 'slope-glider')!.make(),
      design = usualDrive(doc.design).reduce((d, c) => setPath(d, c.path, c.value), doc.design);
    expect(readDocument({ ...doc, design }).status).toBe('ok');
    expect(powertrainOf(design).unpowered).toBeUndefined();
    expect(design.items.filter((i) => i.part).map((i) => partMass(design, i.part!))).not.toContain(null);
  });
});
