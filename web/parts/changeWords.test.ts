/** What changed, in words: all of it, in a person's units, and never “changed to changed”. */
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { listChanges, setPath, type DesignDocument } from '@skiametra/core/design';
import { changedGroups } from '@skiametra/core/refine';
import { changeWords, oneChange } from './changeWords';

const doc = bitternDocument();
const words = (next: DesignDocument, units: 'metric' | 'imperial' = 'metric') =>
  changedGroups(doc, next).map((g) => `${g.path}: ${changeWords(g.changes, g.path, units)}`);
const edited = (...edits: [string, unknown][]) =>
  edits.reduce<DesignDocument>((d, [path, value]) => setPath(d, path, value), doc);

describe('changes in words', () => {
  it('an item changed twice names both (only the first was named, and blamed for all)', () => {
    expect(words(edited(['design.items.battery.z', 0.01], ['design.items.battery.x', 0.15]))).toEqual([
      'design.items.battery: x 230 mm → 150 mm, z 0 mm → 10 mm',
    ]);
  });
  it('in the person’s units', () =>
    expect(words(edited(['design.items.battery.x', 0.254]), 'imperial')[0]).toMatch(/x 9\.055 in → 10 in$/));
  it('a list that is longer is counted, one that is redrawn is said so (“stations changed to changed”)', () => {
    const wing = doc.design.surfaces.find((s) => s.id === 'wing')!;
    const tip = wing.stations[wing.stations.length - 1]!;
    const more = edited(['design.surfaces.wing.stations', [...wing.stations, { ...tip, y: tip.y + 0.1 }]]);
    expect(words(more)[0]).toMatch(
      new RegExp(`stations ${wing.stations.length} entries → ${wing.stations.length + 1} entries$`),
    );
    const wider = edited(['design.surfaces.wing.stations.0.chord', 0.3]);
    expect(words(wider)[0]).toMatch(/station 1 chord [\d.]+ mm → 300 mm$/);
  });
  it('what is added, taken out, renamed, switched or unknown', () => {
    const items = doc.design.items.slice(1);
    expect(words(edited(['design.items', items]))[0]).toBe('design.items.wing-shell: taken out');
    expect(words(edited(['design.items', [...doc.design.items, { ...items[0], id: 'new' }]]))[0]).toBe(
      'design.items.new: added',
    );
    expect(words(edited(['design.items.battery.name', 'Pack']))[0]).toMatch(/name “Battery” → “Pack”/);
    expect(words(edited(['design.items.battery.weighed', 0.28]))[0]).toMatch(/weighed mass unknown → 280 g/);
    expect(words(edited(['design.items.battery.inWing', true]))[0]).toMatch(/in wing no → yes/);
  });
  it('more than three are counted', () => {
    const many = edited(
      ['design.items.battery.x', 0.2],
      ['design.items.battery.y', 0.02],
      ['design.items.battery.z', 0.02],
      ['design.items.battery.spread', 0.1],
      ['design.items.battery.name', 'Pack'],
    );
    expect(words(many)[0]).toMatch(/ and 2 more$/);
  });
  it('law: no change of any leaf of the demo is wordless or “changed”', () => {
    const leaves = listChanges({}, doc.design as unknown as object).length;
    expect(leaves).toBeGreaterThan(3);
    const numbers: string[] = [];
    const walk = (v: unknown, path: string): void => {
      if (typeof v === 'number') numbers.push(path);
      else if (Array.isArray(v))
        v.forEach((e, i) => walk(e, `${path}.${(e as { id?: string } | null)?.id ?? i}`));
      else if (typeof v === 'object' && v !== null)
        for (const [k, e] of Object.entries(v)) walk(e, `${path}.${k}`);
    };
    walk(doc.design, 'design');
    for (const path of numbers.filter((p) => !p.includes('basis')).slice(0, 400)) {
      const [group] = changedGroups(doc, setPath(doc, path, 0.123));
      if (!group) continue;
      const said = changeWords(group.changes, group.path, 'metric');
      expect(said, path).toMatch(/→/);
      expect(said, path).not.toMatch(/changed|undefined|NaN|\[object/);
    }
  });
  it('a whole group rewritten is one word', () =>
    expect(
      oneChange(
        { path: 'design.drives.main.fan', before: { a: 1 }, after: 'x' },
        'design.drives.main.fan',
        'metric',
      ),
    ).toBe('rewritten'));
});
