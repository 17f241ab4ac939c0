/** Cautions where the work is, and a checklist of what is aboard. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument, gnatDocument, waferDocument } from '../demo';
import { LEAVING, type DesignDocument, type Leaving } from '../design';
import { CAUTIONS, LAST_WORD, PLACES, cautionsAt, preflightFor, type Place } from './index';

const ids = (place: Place, doc: DesignDocument, state = doc.design.states[0]) =>
  cautionsAt(place, doc, state).map((c) => c.id);
const lines = (doc: DesignDocument, state = doc.design.states[0]) =>
  preflightFor(doc.design, state)
    .map((c) => c.text)
    .join('\n');
const leaving = (doc: DesignDocument, way: Leaving) => ({ ...doc.design.states[0], leaving: way });

describe('cautions', () => {
  it('are short, and end in local rules and somebody experienced', () => {
    expect(LAST_WORD).toMatch(/Local rules and somebody experienced/);
    for (const c of CAUTIONS) {
      expect(c.text.length, c.id).toBeLessThan(170);
      expect(c.text, c.id).toMatch(/\.$/);
      expect(c.places.length, c.id).toBeGreaterThan(0);
    }
  });
  it('every place of work has some, for the aircraft that works there', () => {
    for (const place of PLACES) {
      const all = [bitternDocument(), gnatDocument(), waferDocument(), craneDocument()].flatMap((d) =>
        ids(place, d, {
          ...d.design.states[0],
          count: 1,
        }),
      );
      expect(all.length, place).toBeGreaterThan(0);
    }
  });
  it('dropping, towing, hand and line launches, people, tools and fumes are there (nothing was shown)', () => {
    const doc = bitternDocument();
    expect(ids('flight', doc, leaving(doc, 'hand'))).toContain('hand');
    for (const way of ['bungee', 'winch', 'rail'] as const)
      expect(ids('flight', doc, leaving(doc, way))).toContain('line');
    expect(ids('flight', doc, leaving(doc, 'towed'))).toContain('tow');
    expect(ids('flight', doc, leaving(doc, 'dropped'))).toContain('drop');
    expect(ids('flight', doc)).toContain('people');
    expect(ids('export', doc)).toEqual(['tools']);
    const towing = {
      ...doc.design.states[0],
      towed: { mass: 0.2, dragArea: 0, line: 4, lineDiameter: 0.001, x: 0.4, z: 0 },
    };
    expect(ids('states', doc, towing)).toContain('tow');
    expect(
      ids(
        'states',
        doc,
        doc.design.states.find((l) => l.count > 0)!,
      ),
    ).toContain('drop');
  });
  it('law: none speaks of a part that is not aboard', () => {
    const wafer = waferDocument(),
      gnat = gnatDocument();
    for (const place of PLACES) {
      expect(ids(place, wafer)).not.toContain('pack');
      expect(ids(place, wafer)).not.toContain('blades');
      expect(ids(place, wafer)).not.toContain('rubber');
      expect(ids(place, gnat)).not.toContain('pack');
      expect(ids(place, bitternDocument())).not.toContain('rotors');
    }
    expect(ids('flight', gnat)).toContain('rubber');
    expect(ids('hover', craneDocument())).toContain('rotors');
  });
  it('docs/safety.md is written from them', () => {
    const page = readFileSync('docs/safety.md', 'utf8');
    for (const c of CAUTIONS) expect(page, c.id).toContain(`| ${c.hazard} |`);
    for (const c of CAUTIONS) expect(page, c.id).toContain(c.text);
  });
});

describe('checklist', () => {
  it('a rubber model ticks its rubber, never a pack (one electric list stood for all)', () => {
    expect(lines(gnatDocument())).toMatch(/Rubber: no nicks/);
    expect(lines(gnatDocument())).not.toMatch(/Pack|Propellers|failsafe|arming/);
  });
  it('a glider has neither', () =>
    expect(lines(waferDocument())).not.toMatch(/Pack|Propellers|failsafe|Rubber|rotor/));
  it('an electric aircraft has pack, blades, failsafe; a load is latched where there is one', () => {
    const doc = bitternDocument();
    expect(lines(doc)).toMatch(/Pack: no swelling/);
    expect(lines(doc)).toMatch(/failsafe stops every motor/);
    expect(lines(doc)).not.toMatch(/Sample tube/);
    expect(
      lines(
        doc,
        doc.design.states.find((l) => l.count > 0)!,
      ),
    ).toMatch(/Sample tube: latched/);
  });
  it('rotors are tried corner by corner; a hover asks for no wing', () => {
    const crane = craneDocument(),
      hover = crane.design.states.find((l) => l.hover)!;
    expect(lines(crane, hover)).toMatch(/answers its own corner/);
    expect(lines(crane, hover)).not.toMatch(/spar seated/);
    expect(
      lines(
        crane,
        crane.design.states.find((l) => !l.hover)!,
      ),
    ).toMatch(/spar seated/);
  });
  it('law: no line twice, rules first, and the way of leaving bears on one line at most', () => {
    const doc = bitternDocument();
    const plain = preflightFor(doc.design, leaving(doc, 'run')).length;
    for (const way of LEAVING) {
      const list = preflightFor(doc.design, leaving(doc, way));
      expect(new Set(list.map((l) => l.text)).size).toBe(list.length);
      expect(list[0].text).toMatch(/^Local rules read/);
      expect(list.length - plain).toBe(way === 'run' ? 0 : 1);
    }
  });
  it('a state that is gone still has a list', () =>
    expect(preflightFor(bitternDocument().design, undefined).length).toBeGreaterThan(5));
});
