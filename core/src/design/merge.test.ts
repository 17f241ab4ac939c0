/** Laws of the three-way merge: what one side alone changed survives, whichever side it was. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import { listChanges, mergeThreeWay } from './merge';
import { getPath, setPath } from './paths';
import type { DesignDocument } from './schema';

interface Leaf {
  path: string;
  value: unknown;
}

/** Every number and word of a document by its path, lists with ids by id. */
function leaves(v: unknown, path = ''): Leaf[] {
  if (Array.isArray(v))
    return v.flatMap((e: unknown, i) => {
      const id = (e as { id?: unknown } | null)?.id;
      return leaves(e, `${path}.${typeof id === 'string' ? id : i}`);
    });
  if (typeof v === 'object' && v !== null)
    return Object.entries(v).flatMap(([k, e]) => (k === 'id' ? [] : leaves(e, path ? `${path}.${k}` : k)));
  return [{ path, value: v }];
}

const base = bitternDocument();
// keys of `basis` are paths themselves and hold dots: they have a check of their own
const all = leaves({ ...base, design: { ...base.design, basis: {} } }).filter(
  (l) => typeof l.value === 'number' || typeof l.value === 'string',
);
const otherValue = (v: unknown, by: number) =>
  typeof v === 'number' ? v + by : `${String(v)} ${by > 0 ? 'mine' : 'theirs'}`;
const edited = (doc: DesignDocument, which: Leaf[], by: number) =>
  which.reduce((d, l) => setPath(d, l.path, otherValue(l.value, by)), doc);
const some = fc.uniqueArray(fc.integer({ min: 0, max: all.length - 1 }), { minLength: 1, maxLength: 12 });

describe('merging two edits', () => {
  it('law: every leaf changed by one side only survives, and what both changed is mine and reported', () => {
    fc.assert(
      fc.property(some, some, (a, b) => {
        const m = a.map((i) => all[i]),
          t = b.map((i) => all[i]);
        const { merged, conflicts } = mergeThreeWay(base, edited(base, m, 1), edited(base, t, -1));
        for (const l of m) expect(getPath(merged, l.path), l.path).toEqual(otherValue(l.value, 1));
        for (const l of t)
          if (m.includes(l)) expect(conflicts).toContain(l.path);
          else expect(getPath(merged, l.path), l.path).toEqual(otherValue(l.value, -1));
        const touched = new Set([...m, ...t].map((l) => l.path));
        expect(new Set(listChanges(base, merged).map((c) => c.path))).toEqual(touched);
      }),
      { numRuns: 300 },
    );
  });
  it('law: entries added by either side are all there, entries taken away by one side are gone', () => {
    const items = base.design.items;
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: items.length - 1 }), { maxLength: 3 }),
        fc.integer({ min: 0, max: 4 }),
        fc.integer({ min: 0, max: 4 }),
        (gone, mine, theirs) => {
          const added = (who: string, n: number) =>
            Array.from({ length: n }, (_, i) => ({ ...items[0], id: `${who}-${i}` }));
          const m = { list: [...items.filter((_, i) => !gone.includes(i)), ...added('m', mine)] };
          const t = { list: [...added('t', theirs), ...items] };
          const ids = mergeThreeWay({ list: items }, m, t).merged.list.map((e) => e.id);
          const wanted = [...m.list, ...added('t', theirs)].map((e) => e.id);
          expect(new Set(ids)).toEqual(new Set(wanted));
          expect(ids).toHaveLength(wanted.length);
        },
      ),
    );
  });
  it('two places of one list without ids, as two stations of a body, both survive (theirs was lost)', () => {
    const m = setPath(base, 'design.body.0.width', 0.011),
      t = setPath(base, 'design.body.1.height', 0.077);
    const { merged, conflicts } = mergeThreeWay(base, m, t);
    expect(merged.design.body[0].width).toBe(0.011);
    expect(merged.design.body[1].height).toBe(0.077);
    expect(conflicts).toEqual([]);
  });
  it('the basis of two numbers, one changed by each', () => {
    const of = (basis: DesignDocument['design']['basis']) => ({ ...base, design: { ...base.design, basis } });
    const { merged } = mergeThreeWay(
      of({ 'drives.main.motor.kv': 'claimed' }),
      of({ 'drives.main.motor.kv': 'measured' }),
      of({ 'drives.main.motor.kv': 'claimed', 'power.packs.main.mass': 'weighed' }),
    );
    expect(merged.design.basis).toEqual({
      'drives.main.motor.kv': 'measured',
      'power.packs.main.mass': 'weighed',
    });
  });
  it('their new order of a list survives where I only changed a value in it', () => {
    const items = base.design.items;
    const t = { list: [...items].reverse() },
      m = { list: items.map((e, i) => (i === 0 ? { ...e, name: 'mine' } : e)) };
    const { merged } = mergeThreeWay({ list: items }, m, t);
    expect(merged.list.map((e) => e.id)).toEqual(t.list.map((e) => e.id));
    expect(merged.list.at(-1)!.name).toBe('mine');
  });
});
