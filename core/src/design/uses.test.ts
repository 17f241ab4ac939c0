/** Taking away what others name: they are told, and mended in one step. */
import { describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument, gnatDocument, waferDocument } from '../demo';
import {
  liftingCount,
  NAMED_LISTS,
  readDocument,
  referenceProblems,
  standIn,
  usesOf,
  withoutEntry,
} from './index';

const doc = bitternDocument();

describe('who names it', () => {
  it('a state: strip, missions, phases, by their names', () => {
    const said = usesOf(doc, 'states', 'tubes-8').join('; ');
    expect(said).toMatch(/7 numbers of the strip/);
    expect(said).toMatch(/legs “Tubes in, plug in”, “Next tubes in”/);
    expect(usesOf(doc, 'states', 'tubes-5')).toEqual([]);
  });
  it('a requirement by its rule', () => {
    const d = structuredClone(doc);
    d.brief.requirements[0] = { ...d.brief.requirements[0], state: 'tubes-5', rule: 'Rule 7' };
    expect(usesOf(d, 'states', 'tubes-5')).toEqual(['the requirement “Rule 7”']);
  });
  it('an item by the states that move it or leave it behind', () => {
    expect(usesOf(gnatDocument(), 'items', 'rubber')).toEqual(['the state “Without rubber”']);
    expect(usesOf(waferDocument(), 'items', 'clay').join()).toMatch(/the state “/);
    expect(usesOf(doc, 'items', 'receiver')).toEqual([]);
  });
  it('a surface by the states that set it or its flaps, which let go of it', () => {
    const d = structuredClone(doc),
      [first, second] = d.design.states;
    first!.set = [{ surface: 'tail', incidence: 0.01 }];
    second!.flaps = [{ surface: 'wing', control: 'aileron', angle: 0.1 }];
    expect(usesOf(d, 'surfaces', 'tail').join()).toMatch(new RegExp(`the state “${first!.name}”`));
    const next = withoutEntry(d, 'surfaces', 'tail')!;
    expect(next.design.states[0]!.set).toBeUndefined();
    expect(next.design.states[1]!.flaps).toHaveLength(1);
    expect(referenceProblems(next)).toEqual([]);
  });
  it('a surface by the lines that are made of it, a section by the surfaces that wear it', () => {
    expect(usesOf(doc, 'surfaces', 'tail')).toEqual(['the line of the mass list “Tailplane”']);
    expect(usesOf(doc, 'sections', 'tail-section').join()).toMatch(/surfaces “Tailplane”, “Fin”/);
  });
});

describe.each([
  ['Bittern', bitternDocument],
  ['Crane', craneDocument],
  ['Gnat', gnatDocument],
  ['Wafer', waferDocument],
] as const)('%s', (_name, make) => {
  it('law: taking any entry away leaves a document that reads, and nobody who names it', () => {
    const whole = make();
    for (const of of NAMED_LISTS)
      for (const { id } of whole.design[of] as { id: string }[]) {
        const next = withoutEntry(whole, of, id);
        if (next === null) {
          expect(whole.design[of]).toHaveLength(1);
          continue;
        }
        expect(usesOf(next, of, id), `${of} ${id}`).toEqual([]);
        expect(next.design[of]).toHaveLength(whole.design[of].length - 1);
        const wing = of === 'surfaces' && whole.design.surfaces.find((s) => s.id === id)!.role === 'wing';
        // the only wing may not go unless rotors carry the rest: that is said by the reader, and nothing else is wrong
        if (wing)
          expect(referenceProblems(next)).toEqual(
            liftingCount(next.design)
              ? []
              : ['nothing carries it: one surface must have the role wing, or rotors must lift it'],
          );
        else expect(readDocument(next).status, `${of} ${id}`).toBe('ok');
      }
    expect(whole).toEqual(make());
  });
});

describe('the mend', () => {
  it('those who named a state name its neighbour, and a number stands once in the strip', () => {
    const next = withoutEntry(doc, 'states', 'tubes-8')!;
    expect(standIn(doc, 'states', 'tubes-8')).toBe(next.brief.watch[0].split('@')[1]);
    expect(next.brief.watch).toHaveLength(doc.brief.watch.length);
    const twice = {
      ...doc,
      brief: { ...doc.brief, watch: ['mass@tubes-8', `mass@${standIn(doc, 'states', 'tubes-8')}`] },
    };
    expect(withoutEntry(twice, 'states', 'tubes-8')!.brief.watch).toHaveLength(1);
  });
  it('weighings of a state that is gone go with it; they say nothing of another', () => {
    const d = {
      ...doc,
      design: { ...doc.design, scale: [{ id: 'w', state: 'tubes-8', mass: 2.6, cgX: null, note: '' }] },
    };
    expect(withoutEntry(d, 'states', 'tubes-8')!.design.scale).toEqual([]);
    expect(withoutEntry(d, 'states', 'tubes-5')!.design.scale).toHaveLength(1);
  });
  it('the last of a list is not taken', () => {
    const one = { ...doc, design: { ...doc.design, states: [doc.design.states[0]] } };
    expect(withoutEntry(one, 'states', doc.design.states[0].id)).toBeNull();
  });
});
