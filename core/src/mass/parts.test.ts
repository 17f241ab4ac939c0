/** Lines of the mass list that are parts: they follow them, by what they are and not by what they are called. */
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitternDocument, bitternSolarDocument, craneDocument, gnatDocument, starterDocument } from '../demo';
import {
  PART_KINDS,
  readDocument,
  setPath,
  upgradeDocument,
  type Design,
  powertrainOf,
  type Powertrain,
  withPowertrain,
  withSecondPack,
  arranged,
} from '../design';
import { genericParts } from '../power';
import {
  aboard,
  combinationChanges,
  fitChanges,
  growthOf,
  itemMass,
  itemOfPart,
  linkParts,
  loadedState,
  partMass,
  partsFor,
  plannedItem,
} from './index';

const design = bitternDocument().design;
const empty = (d: Design) => loadedState(d, { count: 0 }, 'best', 1).mass;
const with_ = (path: string, value: unknown, of = design): Design => setPath(of, path, value);
const renamed = (d: Design, to: string): Design => ({
  ...d,
  items: d.items.map((i, k) => ({ ...i, name: `${to} ${k}` })),
});

describe('the aircraft weighs what is drawn (nothing moved in the mass list before)', () => {
  it('a thicker spar by what it weighs more', () => {
    const thick = with_('structure.members.spar.shape', {
      kind: 'tube',
      outer: 0.016,
      wall: 0.0015,
      material: 'carbon-tube',
    });
    const more = partMass(thick, { kind: 'spar' })! - partMass(design, { kind: 'spar' })!;
    expect(more).toBeGreaterThan(0.05);
    expect(empty(thick) - empty(design)).toBeCloseTo(more, 9);
  });
  it('six cells for four by half of the pack', () => {
    const six = with_('power.packs.main.series', 6),
      pack = itemOfPart(design, 'pack')!;
    expect(itemMass(itemOfPart(six, 'pack')!, six) / itemMass(pack, design)).toBeGreaterThan(1.45);
    expect(empty(six) - empty(design)).toBeCloseTo(
      itemMass(itemOfPart(six, 'pack')!, six) - itemMass(pack, design),
      9,
    );
  });
  it('without a motor by motor, propeller, controller and pack, weighed or not', () => {
    const weighed = {
      ...design,
      items: design.items.map((i) => (i.part?.kind === 'motor' ? { ...i, weighed: 0.131 } : i)),
    };
    for (const d of [design, weighed]) {
      const bare = with_('drives.main.fitted', false, d);
      const drive = d.items
        .filter((i) => ['motor', 'propeller', 'controller', 'pack'].includes(i.part?.kind ?? ''))
        .reduce((s, i) => s + itemMass(i, d), 0);
      expect(empty(d) - empty(bare)).toBeCloseTo(drive, 9);
      expect(growthOf(bare).planned).toBeLessThan(growthOf(d).planned);
    }
  });
  it('a longer span by a longer spar', () => {
    const wing = design.surfaces.findIndex((s) => s.role === 'wing'),
      tip = design.surfaces[wing].stations.length - 1;
    const wide = with_(`surfaces.${wing}.stations.${tip}.y`, 1);
    const spar = itemOfPart(wide, 'spar')!;
    expect(itemMass(spar, wide)).toBeGreaterThan(itemMass(spar, design));
  });
  it('the scale’s reading stands over the part', () => {
    const read = {
      ...design,
      items: design.items.map((i) => (i.part?.kind === 'pack' ? { ...i, weighed: 0.3 } : i)),
    };
    expect(empty(with_('power.packs.main.series', 6, read))).toBeCloseTo(empty(read), 12);
  });
});

describe('names are words', () => {
  it('law: no name of an item bears on mass, swap set or matching', () => {
    fc.assert(
      fc.property(fc.constantFrom('Rubber motor', 'Lift rotor', 'Klappe', 'ESC', '🪶'), (name) => {
        const other = renamed(design, name);
        expect(empty(other)).toBe(empty(design));
        expect(partsFor(other).motors[0].mass).toBe(partsFor(design).motors[0].mass);
        expect(fitChanges(other, design.swaps![0])).toEqual(fitChanges(design, design.swaps![0]));
      }),
      { seed: 71, numRuns: 5 },
    );
  });
  it('two lines may be called alike: the linked one is the part', () => {
    const twin = {
      ...design.items.find((i) => i.id === 'motor')!,
      id: 'spare',
      name: 'Motor',
      part: undefined,
    };
    const d = { ...design, items: [twin, ...design.items] };
    expect(itemOfPart(d, 'motor')!.id).toBe('motor');
  });
});

describe('what is aboard', () => {
  it('law: a part that the design has not weighs nothing and has no usual mass', () => {
    for (const kind of PART_KINDS) {
      const item = { ...design.items[0], part: { kind }, planned: { kind: 'mass' as const, mass: 0.5 } };
      if (!aboard(design, item)) expect(itemMass(item, design), kind).toBe(0);
      else expect(itemMass(item, design), kind).toBe(0.5);
    }
    expect(aboard(design, { part: { kind: 'rubber' } })).toBe(false);
    expect(aboard(gnatDocument().design, { part: { kind: 'rubber' } })).toBe(true);
    expect(aboard(gnatDocument().design, { part: { kind: 'motor' } })).toBe(false);
    expect(aboard(design, { part: undefined })).toBe(true);
  });
  it('the second pack is a part of its own', () => {
    const both = withSecondPack(design).reduce((d, c) => setPath(d, c.path, c.value), design),
      two = with_('power.packs.second.series', 3, both);
    expect(aboard(design, { part: { kind: 'pack', of: 'second' } })).toBe(false);
    expect(aboard(two, { part: { kind: 'pack', of: 'second' } })).toBe(true);
    expect(partMass(two, { kind: 'pack', of: 'second' })!).toBeLessThan(partMass(two, { kind: 'pack' })!);
  });
  it('one of four lift motors is a quarter of all', () => {
    const crane = craneDocument().design;
    expect(4 * partMass(crane, { kind: 'lift motor', of: 'fl' })!).toBeCloseTo(
      partMass(crane, { kind: 'lift motor' })!,
      12,
    );
  });
  it('two shafts carry two motors, propellers and controllers', () => {
    const two = arranged(design, { count: 2, kind: 'apart', tilt: false }),
      twin = two.reduce((d, c) => setPath(d, c.path, c.value), design);
    for (const kind of ['motor', 'propeller', 'controller'] as const)
      expect(partMass(twin, { kind })).toBeCloseTo(2 * partMass(design, { kind })!, 12);
    expect(partMass(twin, { kind: 'pack' })).toBe(partMass(design, { kind: 'pack' }));
  });
});

describe('what parts weigh in the trade (from memory, common practice)', () => {
  const weigh = (power: Partial<Powertrain>, kind: (typeof PART_KINDS)[number], of?: string) =>
    1000 *
    partMass(withPowertrain(design, { ...powertrainOf(design), ...power }), { kind, ...(of ? { of } : {}) })!;
  it.each([
    ['a 40 A controller', () => weigh({ esc: { resistance: 0.005, maxCurrent: 40 } }, 'controller'), 32, 48],
    [
      'half a metre of AWG 16 there and back',
      () => weigh({ wire: { length: 0.5, area: 1.31e-6 } }, 'wire'),
      13,
      21,
    ],
    [
      'a 3S 2200 mAh pack',
      () =>
        weigh(
          { battery: { ...powertrainOf(design).battery, series: 3, parallel: 1, capacity: 7920 } },
          'pack',
        ),
      150,
      210,
    ],
    [
      'a 35 A outrunner',
      () => weigh({ motor: { ...powertrainOf(design).motor, maxCurrent: 35, mass: undefined } }, 'motor'),
      110,
      180,
    ],
    [
      'an 11 by 7 propeller',
      () =>
        weigh(
          { propeller: { ...powertrainOf(design).propeller, diameter: 0.2794, pitch: 0.1778 } },
          'propeller',
        ),
      14,
      34,
    ],
  ] as const)('%s', (_what, grams, least, most) => {
    expect(grams()).toBeGreaterThan(least);
    expect(grams()).toBeLessThan(most);
  });
  it('a motor that says what it weighs weighs that', () =>
    expect(weigh({ motor: { ...powertrainOf(design).motor, mass: 0.1 } }, 'motor')).toBeCloseTo(100, 9));
  it('a part without a model is a mass like any other', () => {
    for (const kind of ['servo', 'gear', 'fan'] as const) expect(partMass(design, { kind })).toBeNull();
  });
});

describe('linking', () => {
  it.each([
    ['Bittern', bitternDocument],
    ['Crane', craneDocument],
    ['Gnat', gnatDocument],
    ['long wing', bitternSolarDocument],
    ['starter', starterDocument],
  ] as const)('%s: following changes no mass today', (_name, make) => {
    const d = make().design;
    expect(empty(linkParts(d))).toBeCloseTo(empty(d), 9);
    expect(linkParts(linkParts(d))).toEqual(linkParts(d));
  });
  it('law: a line that follows goes with its part by the same share, however large', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.6, noNaN: true }),
        fc.integer({ min: 1, max: 14 }),
        (kg, series) => {
          const typed = {
            ...design,
            items: design.items.map((i) =>
              i.part?.kind === 'pack' ? { ...i, planned: { kind: 'mass' as const, mass: kg } } : i,
            ),
          };
          const linked = with_('power.packs.main.series', series, linkParts(typed));
          const share = kg / partMass(design, { kind: 'pack' })!;
          expect(plannedItem(itemOfPart(linked, 'pack')!, linked).mass).toBeCloseTo(
            share * partMass(linked, { kind: 'pack' })!,
            9,
          );
        },
      ),
      { seed: 72, numRuns: 60 },
    );
  });
  it('fitting a part of the shelf makes the line weigh that part, and follow it from there', () => {
    const b = design.swaps!.find((s) => s.kind === 'pack')!;
    const fitted = fitChanges(design, { ...b, weighed: false }).reduce(
      (d, c) => setPath(d, c.path, c.value),
      design,
    );
    expect(itemMass(itemOfPart(fitted, 'pack')!, fitted)).toBeCloseTo(b.mass, 9);
    const more = setPath(fitted, 'power.packs.main.capacity', 2 * powertrainOf(fitted).battery.capacity);
    expect(itemMass(itemOfPart(more, 'pack')!, more)).toBeGreaterThan(1.5 * b.mass);
  });
  it('a whole combination of the catalogue is in the list as the catalogue weighs it', () => {
    const list = genericParts(),
      ids = {
        motor: list.motors[3].id,
        propeller: list.propellers[5].id,
        pack: list.packs[2].id,
        esc: list.escs[1].id,
      };
    const next = combinationChanges(design, partsFor(design), ids).reduce(
      (d, c) => setPath(d, c.path, c.value),
      design,
    );
    for (const [kind, part] of [
      ['motor', list.motors[3]],
      ['propeller', list.propellers[5]],
      ['pack', list.packs[2]],
      ['controller', list.escs[1]],
    ] as const)
      expect(itemMass(itemOfPart(next, kind)!, next), kind).toBeCloseTo(part.mass, 9);
  });
  it('a line that follows nothing is refused with a sentence', () => {
    const doc = bitternDocument();
    doc.design.items.find((i) => i.id === 'motor')!.part = undefined;
    const r = readDocument(doc);
    expect(r.status === 'error' && r.message).toMatch(/“Motor” follows a part, but does not say which/);
  });
});

describe('documents of schema 3', () => {
  type Old = { design: { items: { planned: unknown }[] } };
  const old = (name = 'bittern') =>
    JSON.parse(readFileSync(new URL(`../../golden/old/${name}-3.json`, import.meta.url), 'utf8')) as Old;
  const linksOf = (doc: unknown) =>
    (upgradeDocument(doc) as { design: Design }).design.items.flatMap((i) =>
      i.part ? [`${i.id}: ${i.part.kind}${i.part.of ? ` of ${i.part.of}` : ''}`] : [],
    );
  it('say what their names said, once, and keep their masses', () => {
    expect(linksOf(old())).toEqual([
      'motor: motor',
      'propeller: propeller',
      'esc: controller',
      'battery: pack',
    ]);
    const read = readDocument(old());
    const planned = (items: { planned: unknown }[]) => items.map((i) => i.planned);
    expect(read.status === 'ok' && planned(read.value.design.items)).toEqual(planned(old().design.items));
  });
  it('a rubber model has rubber and its propeller, and no motor', () => {
    expect(linksOf(old('gnat'))).toEqual(['propeller: propeller of rubber', 'rubber: rubber']);
  });
  it('lift motors and stopped rotors are told from the drive', () => {
    const up = upgradeDocument(old('crane')) as { design: Design };
    expect(up.design.items.filter((i) => i.part?.kind === 'lift motor')).toHaveLength(4);
    expect(itemOfPart(up.design, 'motor')!.id).toBe('motor');
    expect(itemOfPart(up.design, 'controller')!.id).toBe('esc');
    expect(up.design.dragItems.filter((d) => d.part)).toHaveLength(1);
  });
  it('what is damaged is left to the schema to refuse', () => {
    for (const items of [null, 3, [null, 4, { name: 7 }]]) {
      const doc = old();
      expect(readDocument({ ...doc, design: { ...doc.design, items } }).status).toBe('error');
    }
  });
});
