/** What reaches a server action from outside is checked before the database is asked. */
import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { bitternDocument, bitternProject } from '@skiametra/core/demo';
import { setPath } from '@skiametra/core/design';
import { cleanText, tooDeep } from './clean';
import { faultOf } from './faults';

const calls = vi.hoisted(() => [] as string[]);
const called = vi.hoisted(() => (names: string[]) => () => {
  const answer = (n: string) => async () => {
    calls.push(n);
    return n === 'createVersion' ? 5 : { id: 1, status: 'saved', revision: 2 };
  };
  return Object.fromEntries(names.map((n) => [n, answer(n)]));
});
vi.mock('next/headers', () => ({
  cookies: async () => ({ get: () => ({ value: '1; drop' }), set: () => undefined }),
}));
vi.mock('./connection', () => ({ getDb: () => ({}) }));
vi.mock('./person', () => ({ currentPersonId: async () => 1, signIn: async () => undefined }));
vi.mock('./store', called(['createTest', 'createVersion', 'saveTest', 'saveVersion']));
vi.mock('./projects', called(['createProject', 'deleteProject', 'restoreProject']));
vi.mock('./people', called(['setUnits', 'personNamed']));
vi.mock('./history', called(['nameSave']));

const version = await import('../app/api/versions/[versionId]/route');
const test = await import('../app/api/tests/[testId]/route');
type Route = { PUT: (r: Request, at: never) => Promise<Response> };
const put = async (route: Route, params: object, data: unknown) => {
  const body = typeof data === 'string' ? data : JSON.stringify(data);
  const r = await route.PUT(new Request('http://127.0.0.1/', { method: 'PUT', body }), {
    params: Promise.resolve(params),
  } as never);
  return (await r.json()) as { status: string; message?: string };
};
const saveVersion = (versionId: string, base: unknown, document: unknown) =>
  put(version, { versionId }, { base, document });
const saveTest = (testId: string, base: unknown, body: unknown) => put(test, { testId }, { base, body });
const a = await import('./actions');
const doc = bitternDocument();
const body = bitternProject().tests[0]!.body;
const refusals: [string, () => Promise<{ status: string; message?: string }>, RegExp][] = [
  [
    'a document with a wrong size',
    () => saveVersion('1', 1, setPath(doc, 'design.surfaces.wing.stations.0.chord', -1)),
    /must be above 0/,
  ],
  ['a document that is not one', () => saveVersion('1', 1, 'hello'), /must be a group of values/],
  [
    'a broken reference',
    () => saveVersion('1', 1, setPath(doc, 'design.surfaces.wing.stations.0.section', 'x')),
    /does not exist/,
  ],
  ['a version that is not a number', () => saveVersion('1; drop table', 1, doc), /no such version/],
  ['a revision of zero', () => saveVersion('1', 0, doc), /base: must be at least 1/],
  ['a number no column holds', () => saveVersion('99999999999', 1, doc), /no such version/],
  ['a project no column holds', () => a.deleteProjectAction(2 ** 31), /no such project/],
  ['a save nested without end', () => put(version, { versionId: '1' }, '['.repeat(1e6)), /nested deeper/],
  ['a save of 5 MB', () => put(version, { versionId: '1' }, `"${'x'.repeat(5e6)}"`), /larger than 4 MB/],
  ['a save cut short', () => put(version, { versionId: '1' }, '{"base"'), /not JSON/],
  ['an endless name of a save', () => a.nameSaveAction(1, 1, 'x'.repeat(81)), /80 characters/],
  [
    'a test with a wind of 400 m/s',
    () => saveTest('1', 1, { ...body, record: { ...body.record, wind: 400 } }),
    /must be at most 30/,
  ],
  ['a test with a field too many', () => saveTest('1', 1, { ...body, extra: 1 }), /extra|Unrecognized/i],
  ['an unnamed project', () => a.createProjectAction('  ', 'x', 'plain'), /name/],
  ['a project from nowhere', () => a.createProjectAction('a', 'b', 'moon' as never), /name|project/],
  [
    'a version with an endless name',
    () => a.createVersionAction(1, 'x'.repeat(200), '', doc),
    /80 characters/,
  ],
  ['a person without a name', () => a.signInAction(''), /80 characters/],
  ['units of the moon', () => a.setUnitsAction('lunar' as never), /metric or imperial/],
  ['a deletion of nothing', () => a.deleteProjectAction(-3), /no such project/],
];

describe('refused before the database', () => {
  it.each(refusals)('%s', async (_name, run, sentence) => {
    calls.length = 0;
    const r = await run();
    expect(r.status).toBe('refused');
    expect(r.message).toMatch(sentence);
    expect(r.message).not.toMatch(/[⟦⟧]/);
    expect(calls).toEqual([]);
  });
});

describe('taken', () => {
  it.each([
    ['saveVersion', () => saveVersion('1', 1, doc)],
    ['saveTest', () => saveTest('1', 1, body)],
    ['createProject', () => a.createProjectAction('Fen', 'Bittern', 'bittern')],
    ['createVersion', () => a.createVersionAction(1, 'B 2', 'why', doc)],
    ['createTest', () => a.createTestAction(1, body)],
    ['restoreProject', () => a.restoreProjectAction(3)],
    ['nameSave', () => a.nameSaveAction(1, 4, 'as flown')],
    ['deleteProject', () => a.deleteProjectAction(3)],
    ['setUnits', () => a.setUnitsAction('imperial')],
  ] as [string, () => Promise<{ status: string }>][])('%s', async (name, run) => {
    calls.length = 0;
    expect((await run()).status).toBe('ok');
    expect(calls).toEqual([name]);
  });
});

describe('texts that the database cannot hold', () => {
  it('NUL and halves of pairs are cleaned at the edge, whole pairs stay', () => {
    expect(cleanText({ a: ['x\u0000y', '\ud83d', 'ok 🪶'], 'k\u0000': 1 })).toEqual({
      a: ['xy', '\ufffd', 'ok 🪶'],
      k: 1,
    });
  });
  it('law: what is clean comes back as it is, and what comes back is clean', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (v) => {
        const once = cleanText(v);
        expect(cleanText(once)).toBe(once);
        expect(JSON.stringify(once)).not.toMatch(/\\u0000|\\ud[89a-f]/i);
      }),
    );
  });
  it('law: depth is counted as the parser nests, brackets in texts do not count', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 6 }), fc.integer({ min: 1, max: 8 }), (v, most) => {
        const depth = (x: unknown): number =>
          typeof x === 'object' && x !== null ? 1 + Math.max(0, ...Object.values(x as object).map(depth)) : 0;
        expect(tooDeep(JSON.stringify(v), most)).toBe(depth(v) > most);
      }),
    );
  });
});

describe('faults of the database, in words', () => {
  it.each([
    [{ code: '53100' }, true, /disk .* full/],
    [{ cause: { code: 'ECONNREFUSED' } }, true, /does not answer/],
    [{ code: '57P01' }, true, /does not answer/],
    [{ code: '22P05' }, false, /cannot hold/],
    [new Error('x is undefined'), false, /window says why/],
  ])('%o', (e, retry, sentence) => {
    expect(faultOf(e)).toMatchObject({ retry, message: expect.stringMatching(sentence) });
  });
});
