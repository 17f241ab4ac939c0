/** Documents from outside with a leaf gone, of another kind, out of range or not ours: refused with a sentence that names it. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument, gnatDocument, waferDocument } from '../demo';
import { getPath, listChanges, mergeThreeWay, readDocument, setPath, type DesignDocument } from './index';

const DEMOS: Record<string, () => DesignDocument> = {
  Bittern: bitternDocument,
  Gnat: gnatDocument,
  Wafer: waferDocument,
  Crane: craneDocument,
};

/** Every leaf of a value as a path of keys. */
function leaves(value: unknown, at: (string | number)[] = []): (string | number)[][] {
  if (Array.isArray(value)) return value.flatMap((v, i) => leaves(v, [...at, i]));
  if (typeof value === 'object' && value !== null)
    return Object.entries(value).flatMap(([k, v]) => leaves(v, [...at, k]));
  return [at];
}
const at = (doc: unknown, path: (string | number)[]): unknown =>
  path.reduce<unknown>((v, k) => (v as Record<string, unknown>)[k], doc);
function withLeaf(doc: unknown, path: (string | number)[], value: unknown): unknown {
  const copy = structuredClone(doc) as Record<string, unknown>;
  const last = path[path.length - 1],
    owner = path
      .slice(0, -1)
      .reduce<Record<string, unknown>>((v, k) => v[k] as Record<string, unknown>, copy);
  if (value === undefined) delete owner[last];
  else owner[last] = value;
  return copy;
}
const refusedWell = (data: unknown, why: string) => {
  const r = readDocument(data);
  if (r.status === 'ok') return false;
  expect(r.message, why).toMatch(/[.?]$/);
  expect(r.message, why).not.toMatch(/undefined|\[object|ZodError|Invalid |received|\|/);
  expect(r.message.length, why).toBeLessThan(800);
  return true;
};

describe.each(Object.entries(DEMOS))('%s', (_name, make) => {
  const doc = make(),
    paths = leaves(doc);
  const path = fc.constantFrom(...paths);
  it('is read as it is', () => expect(readDocument(doc).status).toBe('ok'));
  it('law: a leaf of another kind is refused with a sentence', () => {
    fc.assert(
      fc.property(path, fc.constantFrom({ odd: true }, [1, 2, 3], Number.NaN, Infinity), (p, odd) => {
        expect(refusedWell(withLeaf(doc, p, odd), p.join('.')), p.join('.')).toBe(true);
      }),
      { seed: 61, numRuns: 60 },
    );
  });
  it('law: a number beyond all reason is refused, or the field says that it has no limit', () => {
    const numbers = paths.filter((p) => typeof at(doc, p) === 'number' && p[0] !== 'calibration');
    fc.assert(
      fc.property(fc.constantFrom(...numbers), fc.constantFrom(1e12, -1e12), (p, far) => {
        const r = readDocument(withLeaf(doc, p, far));
        // what is open by design: limits of requirements, rivals and variants, ranges of studies are any number
        if (r.status === 'ok')
          expect(p.join('.')).toMatch(/^(brief\.(requirements|rivals|variants)|trade\.studies)/);
        else refusedWell(withLeaf(doc, p, far), p.join('.'));
      }),
      { seed: 62, numRuns: 80 },
    );
  });
  it('law: a missing leaf is refused with a sentence, or was allowed to be missing and is read', () => {
    fc.assert(
      fc.property(path, (p) => {
        const r = readDocument(withLeaf(doc, p, undefined));
        if (r.status !== 'ok') refusedWell(withLeaf(doc, p, undefined), p.join('.'));
      }),
      { seed: 63, numRuns: 60 },
    );
  });
  it('law: a key that is not ours is refused by name', () => {
    const owners = paths.filter((p) => p.length > 1 && typeof p[p.length - 1] === 'string');
    fc.assert(
      fc.property(fc.constantFrom(...owners), (p) => {
        // tuples and open records aside, nothing unknown slips through
        const r = readDocument(withLeaf(doc, [...p.slice(0, -1), 'smuggled'], 1));
        if (r.status === 'ok') expect(p.join('.')).toMatch(/weights|bench|factors|typical|names/);
        else expect(r.message).toMatch(/smuggled|does not belong|not known/);
      }),
      { seed: 64, numRuns: 40 },
    );
  });
});

// edits a document into what its type does not allow
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Edit = (d: any) => unknown;

describe('sentences (the reader’s library spoke here before: “Invalid input: expected number, received undefined”)', () => {
  const said = (edit: Edit) => {
    const d = structuredClone(bitternDocument());
    edit(d);
    const r = readDocument(d);
    return r.status === 'error' ? r.message : 'read';
  };
  it.each([
    ['a newer document', (d) => (d.schemaVersion = 99), /written by a newer Skiametra \(schema 99/],
    ['a group for a number', (d) => (d.brief.site.wind = { odd: 1 }), /wind: must be a number\.$/],
    ['a number left out', (d) => delete d.brief.site.wind, /site › wind: is missing\.$/],
    ['not a number', (d) => (d.brief.site.wind = Number.NaN), /wind: must be a number\.$/],
    ['too much', (d) => (d.brief.site.wind = 1e9), /wind: must be at most 25\.$/],
    [
      'no such role',
      (d) => (d.design.surfaces[0].role = 3),
      /#1 › role: must be one of wing, tail, canard, fin\.$/,
    ],
    ['a stranger', (d) => (d.extra = 1), /the document: holds “extra”, which does not belong here\.$/],
    [
      'no such kind',
      (d) => (d.design.items[0].planned = { kind: 'zz' }),
      /must be one of mass, areal, made, part\.$/,
    ],
    ['a short name', (d) => (d.design.sections[0].shape.digits = '24'), /digits: must be four digits\.$/],
    ['not a list', (d) => (d.design.items = 3), /items: must be a list\.$/],
    [
      'not whole',
      (d) => (d.brief.missions[0].rounds[0].legs[1].count = 1.5),
      /count: must be a whole number\.$/,
    ],
  ] as [string, Edit, RegExp][])('%s', (_what, edit, re) => expect(said(edit)).toMatch(re));
});

describe('paths', () => {
  const doc = bitternDocument();
  it('law: what is set is read, and nothing else has moved', () => {
    const numbers = leaves(doc).filter(
      (p) => typeof at(doc, p) === 'number' && !p.some((k) => typeof k === 'number'),
    );
    fc.assert(
      fc.property(fc.constantFrom(...numbers), fc.double({ min: 0.1, max: 5, noNaN: true }), (p, v) => {
        const next = setPath(doc, p.join('.'), v);
        expect(getPath(next, p.join('.'))).toBe(v);
        expect(setPath(next, p.join('.'), at(doc, p))).toEqual(doc);
      }),
      { seed: 65, numRuns: 80 },
    );
  });
  it('law: a change is listed once, at its own place', () => {
    const numbers = leaves(doc).filter((p) => typeof at(doc, p) === 'number');
    fc.assert(
      fc.property(fc.constantFrom(...numbers), (p) => {
        const next = withLeaf(doc, p, (at(doc, p) as number) + 0.125) as DesignDocument;
        expect(listChanges(doc, next)).toHaveLength(1);
        expect(listChanges(doc, doc)).toEqual([]);
      }),
      { seed: 66, numRuns: 80 },
    );
  });
});

describe('three-way merge', () => {
  const doc = bitternDocument();
  // a list whose entries have no id is one value
  const named = (p: (string | number)[]) =>
    p.every((k, i) => typeof k === 'string' || 'id' in Object(at(doc, p.slice(0, i + 1))));
  const numbers = leaves(doc).filter((p) => typeof at(doc, p) === 'number' && p[0] === 'design' && named(p));
  const edits = fc.uniqueArray(fc.nat(numbers.length - 1), { minLength: 1, maxLength: 6 });
  it('law: edits to different leaves are all kept, whoever is called mine', () => {
    fc.assert(
      fc.property(edits, edits, (a, b) => {
        const theirs = b.filter((k) => !a.includes(k));
        const edit = (ks: number[], by: number) =>
          ks.reduce<unknown>((d, k) => withLeaf(d, numbers[k], (at(doc, numbers[k]) as number) + by), doc);
        const mine = edit(a, 0.25) as DesignDocument,
          other = edit(theirs, 0.5) as DesignDocument;
        const m = mergeThreeWay(doc, mine, other),
          n = mergeThreeWay(doc, other, mine);
        expect(m.merged).toEqual(n.merged);
        for (const k of a) expect(at(m.merged, numbers[k])).toBe((at(doc, numbers[k]) as number) + 0.25);
        for (const k of theirs) expect(at(m.merged, numbers[k])).toBe((at(doc, numbers[k]) as number) + 0.5);
        expect(m.conflicts).toEqual([]);
      }),
      { seed: 67, numRuns: 60 },
    );
  });
  it('law: the same edit on both sides is no conflict, and a different one is named', () => {
    fc.assert(
      fc.property(fc.constantFrom(...numbers), (p) => {
        const edit = (by: number) => withLeaf(doc, p, (at(doc, p) as number) + by) as DesignDocument;
        expect(mergeThreeWay(doc, edit(1), edit(1)).conflicts).toEqual([]);
        const clash = mergeThreeWay(doc, edit(1), edit(2));
        expect(clash.conflicts).toHaveLength(1);
      }),
      { seed: 68, numRuns: 40 },
    );
  });
});

describe('a document of an earlier age that is none', () => {
  it.each([1, 2, 3])(
    'schema %i: is refused with a sentence, and the upgrade ends (it never did)',
    (schemaVersion) => {
      for (const rest of [
        {},
        { design: 7 },
        { design: { power: null } },
        { design: { items: 3 }, calibration: [] },
      ]) {
        const r = readDocument({ schemaVersion, ...rest });
        expect(r.status).toBe('error');
      }
    },
  );
});
