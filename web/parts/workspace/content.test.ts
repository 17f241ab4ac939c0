import { sparOf } from '@skiametra/core/design';
import { describe, expect, it } from 'vitest';
import { bitternDocument, bitternProject } from '@skiametra/core/demo';
import { reduceContent, type Content } from './content';

const content = (): Content => ({
  document: bitternDocument(),
  tests: bitternProject().tests.map((t, i) => ({
    id: String(i + 1),
    versionId: 1,
    airframeId: null,
    body: t.body,
  })),
});
const ok = (r: ReturnType<typeof reduceContent>): Content => {
  if (r.status !== 'ok') throw new Error(r.message);
  return r.content;
};

describe('edits', () => {
  it('sets, inserts and removes without touching the old state', () => {
    const c = content();
    const a = ok(reduceContent(c, { type: 'set', path: 'document.design.items.battery.x', value: 0.18 }));
    expect(a.document.design.items.find((i) => i.id === 'battery')!.x).toBe(0.18);
    expect(c.document.design.items.find((i) => i.id === 'battery')!.x).toBe(0.23);
    const b = ok(
      reduceContent(a, {
        type: 'insert',
        path: 'document.design.states',
        value: { id: 'new', name: 'New', count: 3 },
        at: 1,
      }),
    );
    expect(b.document.design.states[1]!.id).toBe('new');
    expect(
      ok(reduceContent(b, { type: 'remove', path: 'document.design.states', index: 1 })).document.design
        .states,
    ).toEqual(a.document.design.states);
  });
  it('body stations typed tail-first are put in order (they stayed red though they were right)', () => {
    const c = content();
    const xs = (k: Content) => k.document.design.body.map((b) => b.x);
    const last = xs(c).length - 1;
    // the first line typed as the farthest aft
    const a = ok(reduceContent(c, { type: 'set', path: 'document.design.body.0.x', value: 1.5 }));
    expect(xs(a)).toEqual([...xs(c).slice(1), 1.5]);
    expect(a.document.design.body[last]!.width).toBe(c.document.design.body[0]!.width);
    const reversed = [...c.document.design.body].reverse();
    const b = ok(reduceContent(c, { type: 'set', path: 'document.design.body', value: reversed }));
    expect(b.document.design.body).toEqual(c.document.design.body);
    expect(
      reduceContent(c, { type: 'set', path: 'document.design.body.0.x', value: xs(c)[1] }),
    ).toMatchObject({
      status: 'refused',
      message: expect.stringMatching(/aft from the nose/),
    });
  });
  it('stations of a surface typed from the tip are put in order, and what is in order is not touched', () => {
    const c = content(),
      at = c.document.design.surfaces.findIndex((s) => s.id === 'tail');
    const path = `document.design.surfaces.${at}.stations`;
    const stations = c.document.design.surfaces[at]!.stations;
    const a = ok(reduceContent(c, { type: 'set', path, value: [...stations].reverse() }));
    expect(a.document.design.surfaces[at]!.stations).toEqual(stations);
    const b = ok(reduceContent(c, { type: 'set', path: 'document.brief.site.wind', value: 3 }));
    expect(b.document.design).toBe(c.document.design);
  });
  it('several changes are one step', () => {
    const r = ok(
      reduceContent(content(), {
        type: 'apply',
        changes: [
          { path: 'document.brief.site.wind', value: 2 },
          { path: 'document.design.structure.members.spar.shape.outer', value: 0.012 },
        ],
      }),
    );
    expect([
      r.document.brief.site.wind,
      (sparOf(r.document.design)!.shape as { outer: number }).outer,
    ]).toEqual([2, 0.012]);
  });
  it.each([
    ['document.design.surfaces.wing.stations.0.chord', -0.1],
    ['document.design.items.motor.x', NaN],
    ['document.brief.requirements.strip.max', null],
    ['document.design.surfaces.wing.stations.0.section', 'ghost'],
    ['tests.1.body.record.wind', 400],
    ['document.design.states', []],
  ])('refuses %s = %s with a sentence', (path, value) => {
    const r = reduceContent(content(), { type: 'set', path, value });
    expect(r.status).toBe('refused');
    if (r.status === 'refused') expect(r.message).toMatch(/^[A-Z].{6,}/);
  });
});
