import { describe, expect, it } from 'vitest';
import { bitternDocument, bitternProject } from '@skiametra/core/demo';
import { setPath } from '@skiametra/core/design';
import { saveWords } from './saveWords';

const base = bitternDocument();

describe('a save in words', () => {
  it('names the thing and its values', () => {
    const pack = base.design.items.find((i) => i.id === 'battery')!.name;
    expect(saveWords(base, setPath(base, 'design.items.battery.x', 0.18), 'metric')).toEqual([
      `${pack}: x 230 mm → 180 mm`,
    ]);
    expect(saveWords(base, setPath(base, 'brief.site.wind', 3), 'metric')).toEqual([
      'Site: wind 0.5 m/s → 3 m/s',
    ]);
  });
  it('nothing changed is no line; many things are counted', () => {
    expect(saveWords(base, bitternDocument(), 'metric')).toEqual([]);
    const many = {
      ...base,
      design: { ...base.design, items: base.design.items.map((i) => ({ ...i, x: i.x + 0.01 })) },
    };
    const lines = saveWords(base, many, 'metric');
    expect(lines).toHaveLength(5);
    expect(lines[4]).toMatch(/^and \d+ more$/);
  });
  it('of a test too', () => {
    const { body } = bitternProject().tests[0]!;
    const next = { ...body, record: { ...body.record, notes: 'gusty' } };
    expect(saveWords(body, next, 'metric')[0]).toMatch(/^Record: notes “.*” → “gusty”$/);
  });
  it('an entry taken out goes by the name it had', () => {
    const [first] = base.design.items;
    const next = { ...base, design: { ...base.design, items: base.design.items.slice(1) } };
    expect(saveWords(base, next, 'metric')).toEqual([`${first!.name}: taken out`]);
  });
});
