/** What reaches a server action from outside is checked before the database is asked. */
import { describe, expect, it, vi } from 'vitest';
import { bitternDocument, bitternProject } from '@skiametra/core/demo';
import { setPath } from '@skiametra/core/design';

const calls = vi.hoisted(() => [] as string[]);
vi.mock('next/headers', () => ({
  cookies: async () => ({ get: () => ({ value: '1; drop' }), set: () => undefined }),
}));
vi.mock('./connection', () => ({ getDb: () => ({}) }));
vi.mock('./store', () =>
  Object.fromEntries(
    [
      'createProject',
      'createTest',
      'createVersion',
      'deleteProject',
      'saveTest',
      'saveVersion',
      'setUnits',
      'personNamed',
    ].map((n) => [
      n,
      async () => {
        calls.push(n);
        return n === 'createVersion' ? 5 : { id: 1, status: 'saved', revision: 2 };
      },
    ]),
  ),
);
vi.mock('./exchange', () => ({
  importProject: async () => {
    calls.push('importProject');
    return { projectId: 1, versionId: 1 };
  },
}));

const a = await import('./actions');
const doc = bitternDocument();
const body = bitternProject().tests[0].body;
const refusals: [string, () => Promise<{ status: string; message?: string }>, RegExp][] = [
  [
    'a document with a wrong size',
    () => a.saveVersionAction(1, 1, setPath(doc, 'design.surfaces.wing.stations.0.chord', -1)),
    /must be above 0/,
  ],
  ['a document that is not one', () => a.saveVersionAction(1, 1, 'hello'), /must be a group of values/],
  [
    'a broken reference',
    () => a.saveVersionAction(1, 1, setPath(doc, 'design.surfaces.wing.stations.0.section', 'x')),
    /does not exist/,
  ],
  [
    'a version that is not a number',
    () => a.saveVersionAction('1; drop table' as never, 1, doc),
    /not a number/,
  ],
  ['a revision of zero', () => a.saveVersionAction(1, 0, doc), /not a number/],
  [
    'a test with a wind of 400 m/s',
    () => a.saveTestAction(1, 1, { ...body, record: { ...body.record, wind: 400 } }),
    /must be at most 30/,
  ],
  [
    'a test with a field too many',
    () => a.saveTestAction(1, 1, { ...body, extra: 1 }),
    /extra|Unrecognized/i,
  ],
  ['an unnamed project', () => a.createProjectAction('  ', 'x', 'plain'), /name/],
  ['a project from nowhere', () => a.createProjectAction('a', 'b', 'moon' as never), /name|project/],
  [
    'a version with an endless name',
    () => a.createVersionAction(1, 'x'.repeat(200), '', doc),
    /80 characters/,
  ],
  ['an import that is not text', () => a.importProjectAction(42 as never), /No file/],
  ['an import cut short', () => a.importProjectAction('{"format"'), /cut short/],
  ['a person without a name', () => a.signInAction(''), /80 characters/],
  ['units of the moon', () => a.setUnitsAction(1, 'lunar' as never), /metric or imperial/],
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
    ['saveVersion', () => a.saveVersionAction(1, 1, doc)],
    ['saveTest', () => a.saveTestAction(1, 1, body)],
    ['createProject', () => a.createProjectAction('Fen', 'Bittern', 'bittern')],
    ['createVersion', () => a.createVersionAction(1, 'B 2', 'why', doc)],
    ['createTest', () => a.createTestAction(1, body)],
    ['importProject', () => a.importProjectAction(JSON.stringify(bitternProject()))],
    ['deleteProject', () => a.deleteProjectAction(3)],
    ['setUnits', () => a.setUnitsAction(1, 'imperial')],
  ] as [string, () => Promise<{ status: string }>][])('%s', async (name, run) => {
    calls.length = 0;
    expect((await run()).status).toBe('ok');
    expect(calls).toEqual([name]);
  });
});
