/** The browser's store: one undo step per edit, saving with retry, and nothing lost when two windows meet. */
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { bitternDocument, bitternProject } from '@skiametra/core/demo';
import { setPath, withoutEntry, type DesignDocument, type TestBody } from '@skiametra/core/design';

import { memoryFile } from './memoryFile';

type Save = (id: number, base: number, data: unknown) => Promise<unknown>;
const server = vi.hoisted(() => ({
  saveVersion: null as unknown as Save,
  saveTest: null as unknown as Save,
  readVersion: (_id: number): Promise<DesignDocument | null> => Promise.resolve(null),
}));
vi.mock('./calls', async (original) => ({
  ...(await original<object>()),
  saveVersion: (...a: Parameters<Save>) => server.saveVersion(...a),
  saveTest: (...a: Parameters<Save>) => server.saveTest(...a),
  readVersion: (id: number) => server.readVersion(id),
}));
vi.mock('../../workers/coreClient', async (original) => ({
  ...(await original<object>()),
  // the store takes whatever ledger comes: what is in it is the core's and tested there; here one number, the pack's place
  assessLive: async (d: DesignDocument) => ({
    entries: [{ id: 'pack', state: 'all', value: d.design.items.find((i) => i.id === 'battery')!.x }],
    curves: [],
    findings: [],
    stopped: null,
  }),
}));

const { createWorkspace } = await import('./store');
const { AwayError } = await import('./calls');
const { MemoryShelf } = await import('./memoryShelf');

const person = { id: 1, name: 'Pilot', units: 'metric' as const };
let shelf = new MemoryShelf();

function open(document: DesignDocument = bitternDocument(), revision = 5, tab = 'a') {
  const tests = bitternProject().tests.map((t, i) => ({
    id: String(i + 1),
    versionId: 7,
    airframeId: 1,
    revision: 3,
    body: t.body,
  }));
  return createWorkspace(
    {
      project: { id: 1, name: 'P', aircraft: 'A' },
      versions: [
        { id: 7, name: 'A 1', parentId: null, reason: '', updatedAt: '', face: null, document, revision },
      ],
      tests,
      airframes: [],
      damaged: { versions: [], tests: 0 },
    },
    7,
    person,
    [person],
    shelf.as(tab),
  );
}

const wind = (w: ReturnType<typeof open>) => w.getState().content.document.brief.site.wind;
const setWind = (w: ReturnType<typeof open>, value: number) =>
  w.getState().edit({ type: 'set', path: 'document.brief.site.wind', value });

beforeEach(() => {
  vi.useFakeTimers();
  shelf = new MemoryShelf();
  vi.stubGlobal('window', { addEventListener: () => undefined, removeEventListener: () => undefined });
  let revision = 5;
  server.saveVersion = vi.fn(async () => ({
    status: 'ok',
    value: { status: 'saved', revision: ++revision },
  }));
  server.saveTest = vi.fn(async () => ({ status: 'ok', value: { status: 'saved', revision: 4 } }));
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('undo and redo', () => {
  it('every edit is a step; a refused one is none and says why', () => {
    const w = open();
    expect(setWind(w, 3)).toBeNull();
    expect(setWind(w, 900)).toMatch(/Must be at most/);
    expect(wind(w)).toBe(3);
    expect(w.getState().past).toHaveLength(1);
    w.getState().undo();
    expect(wind(w)).toBe(0.5);
    w.getState().redo();
    expect(wind(w)).toBe(3);
    w.getState().redo();
    expect(wind(w)).toBe(3);
  });
  it('nudging one field quickly is one step, after a pause another', () => {
    const w = open();
    setWind(w, 1);
    vi.advanceTimersByTime(200);
    setWind(w, 2);
    expect(w.getState().past).toHaveLength(1);
    vi.advanceTimersByTime(2000);
    setWind(w, 3);
    expect(w.getState().past).toHaveLength(2);
    w.getState().undo();
    expect(wind(w)).toBe(2);
  });
  it('a new edit drops what was undone', () => {
    const w = open();
    setWind(w, 1);
    w.getState().undo();
    setWind(w, 2);
    expect(w.getState().future).toEqual([]);
  });
  it('a test added to the database is not taken back by undo', () => {
    const w = open();
    setWind(w, 1);
    w.getState().addTest({
      id: '9',
      versionId: 7,
      airframeId: 1,
      revision: 1,
      body: bitternProject().tests[0]!.body,
    });
    w.getState().undo();
    expect(w.getState().content.tests.map((t) => t.id)).toContain('9');
  });
});

describe('the state in view', () => {
  const state = (w: ReturnType<typeof open>) => w.getState().loading;
  const without = (w: ReturnType<typeof open>, id: string) =>
    w.getState().edit({
      type: 'set',
      path: 'document',
      value: withoutEntry(w.getState().content.document, 'states', id),
    });
  it('taken away, its neighbour comes into view (the strip stayed empty and stations failed)', () => {
    const w = open();
    expect(state(w)).toBe('tubes-8');
    expect(without(w, 'tubes-8')).toBeNull();
    const list = w.getState().content.document.design.states.map((l) => l.id);
    expect(list).toContain(state(w));
    for (const watched of w.getState().content.document.brief.watch)
      expect(['all', ...list]).toContain(watched.split('@')[1]);
  });
  it('law: taken away one by one, the view is always one that exists; undone, all are there again', () => {
    const w = open();
    const all = w.getState().content.document.design.states.map((l) => l.id);
    for (const id of all.slice(0, -1)) {
      expect(without(w, id)).toBeNull();
      expect(w.getState().content.document.design.states.map((l) => l.id)).toContain(state(w));
    }
    for (let i = 0; i < all.length - 1; i++) w.getState().undo();
    expect(w.getState().content.document.design.states.map((l) => l.id)).toEqual(all);
    expect(all).toContain(state(w));
  });
  it('a state that is only renamed stays in view', () => {
    const w = open();
    w.getState().edit({ type: 'set', path: 'document.design.states.tubes-8.name', value: 'Eight' });
    expect(state(w)).toBe('tubes-8');
  });
});

describe('saving', () => {
  it('once, half a second after the last change, from the revision it was made of', async () => {
    const w = open();
    setWind(w, 1);
    await vi.advanceTimersByTimeAsync(300);
    w.getState().edit({ type: 'set', path: 'document.brief.site.elevation', value: 50 });
    await vi.advanceTimersByTimeAsync(600);
    expect(server.saveVersion).toHaveBeenCalledTimes(1);
    expect(vi.mocked(server.saveVersion).mock.calls[0]!.slice(0, 2)).toEqual([7, 5]);
    expect(w.getState().saveState.status).toBe('saved');
    setWind(w, 2);
    await vi.advanceTimersByTimeAsync(600);
    expect(vi.mocked(server.saveVersion).mock.calls[1]![1]).toBe(6);
  });
  it('a test goes by its own revision and leaves the version alone', async () => {
    const w = open();
    w.getState().edit({ type: 'set', path: 'tests.2.body.record.notes', value: 'windy' });
    await vi.advanceTimersByTimeAsync(600);
    expect(server.saveVersion).not.toHaveBeenCalled();
    expect(vi.mocked(server.saveTest).mock.calls[0]!.slice(0, 2)).toEqual([2, 3]);
  });
  it('a server that is away: kept in the browser, tried again until it answers', async () => {
    const w = open();
    let away = true;
    server.saveVersion = vi.fn(async () => {
      if (away) throw new TypeError('fetch failed');
      return { status: 'ok', value: { status: 'saved', revision: 6 } };
    });
    setWind(w, 4);
    await vi.advanceTimersByTimeAsync(5000);
    expect(w.getState().saveState.status).toBe('offline');
    expect(w.getState().kept).toBe('kept');
    expect(shelf.drafts.get('7:a')!.document.brief.site.wind).toBe(4);
    expect(shelf.drafts.get('7:a')!.base.document.brief.site.wind).toBe(0.5);
    away = false;
    await vi.advanceTimersByTimeAsync(2500);
    expect(w.getState().saveState.status).toBe('saved');
    expect(shelf.drafts.size).toBe(0);
    expect(w.getState().kept).toBe('none');
  });
  it('what was typed while a save was under way is saved next', async () => {
    const w = open();
    let release: (v: unknown) => void = () => undefined;
    server.saveVersion = vi.fn(
      () =>
        new Promise((r) => {
          release = r;
        }),
    );
    setWind(w, 1);
    await vi.advanceTimersByTimeAsync(600);
    setWind(w, 2);
    release({ status: 'ok', value: { status: 'saved', revision: 6 } });
    server.saveVersion = vi.fn(async () => ({ status: 'ok', value: { status: 'saved', revision: 7 } }));
    await vi.advanceTimersByTimeAsync(1500);
    expect(server.saveVersion).toHaveBeenCalledTimes(1);
    expect((vi.mocked(server.saveVersion).mock.calls[0]![2] as DesignDocument).brief.site.wind).toBe(2);
  });
  it('a draft left by a closed page comes back as one undo step', async () => {
    const b = await reopened(6, bitternDocument(), 5);
    expect(wind(b)).toBe(6);
    expect(b.getState().restored).toBe(1);
    b.getState().undo();
    expect(wind(b)).toBe(0.5);
  });
  it('typed at the very last moment, after the page began to go: the draft is written at once', async () => {
    const heard = new Map<string, () => void>();
    vi.stubGlobal('window', {
      addEventListener: (k: string, f: () => void) => heard.set(k, f),
      removeEventListener: () => undefined,
    });
    const w = open();
    w.getState().begin();
    await vi.advanceTimersByTimeAsync(5);
    heard.get('pagehide')!();
    setWind(w, 7);
    expect(shelf.drafts.get('7:a')?.document.brief.site.wind).toBe(7);
  });
  it('a draft that the schema refuses is kept and offered, never written over', async () => {
    const bad = { ...(await draftOf(3)), document: { brief: 1 } as never };
    shelf.drafts.set('7:a', bad);
    const w = open();
    w.getState().begin();
    await vi.advanceTimersByTimeAsync(5);
    expect(wind(w)).toBe(0.5);
    expect(w.getState().orphans).toMatchObject([{ draft: { document: { brief: 1 } } }]);
    expect(w.getState().orphans[0]!.refused).toMatch(/[a-z]/);
    setWind(w, 9);
    await vi.advanceTimersByTimeAsync(5);
    expect([...shelf.drafts.values()].map((d) => d.document)).toContainEqual({ brief: 1 });
  });
  it('a browser without room does not say that it kept anything', async () => {
    const w = open();
    away();
    shelf.full = true;
    setWind(w, 4);
    await vi.advanceTimersByTimeAsync(3000);
    expect([w.getState().saveState.status, w.getState().kept]).toEqual(['offline', 'failed']);
    shelf.full = false;
    setWind(w, 5);
    await vi.advanceTimersByTimeAsync(5);
    expect(w.getState().kept).toBe('kept');
  });
  it('a server that says why it cannot just now is tried again, with its reason', async () => {
    const w = open();
    server.saveVersion = vi.fn(async () => {
      throw new AwayError('The disk of the database is full: make room on it.');
    });
    setWind(w, 4);
    await vi.advanceTimersByTimeAsync(700);
    expect(w.getState().saveState).toMatchObject({
      status: 'offline',
      message: expect.stringMatching(/disk/),
    });
    await vi.advanceTimersByTimeAsync(4500);
    expect(server.saveVersion).toHaveBeenCalledTimes(3);
  });
  it('a project deleted elsewhere is gone: nothing says “saved”, and when it is back it is saved', async () => {
    const w = open();
    server.saveVersion = vi.fn(async () => ({ status: 'ok', value: { status: 'gone' } }));
    setWind(w, 4);
    await vi.advanceTimersByTimeAsync(700);
    expect(w.getState().saveState.status).toBe('gone');
    setWind(w, 5);
    await vi.advanceTimersByTimeAsync(9000);
    expect(w.getState().saveState.status).toBe('gone');
    expect(server.saveVersion).toHaveBeenCalledTimes(1);
    expect(memoryFile(w.getState()).versions[0]!.document.brief.site.wind).toBe(5);
    server.saveVersion = vi.fn(async () => ({ status: 'ok', value: { status: 'saved', revision: 6 } }));
    w.getState().cameBack();
    await vi.advanceTimersByTimeAsync(50);
    expect(w.getState().saveState.status).toBe('saved');
  });
});

const away = () => {
  server.saveVersion = vi.fn(async () => {
    throw new TypeError('fetch failed');
  });
};

/** The draft that a tab leaves when it typed a wind and was closed before the server answered. */
async function draftOf(value: number, tab = 'a') {
  const a = open(bitternDocument(), 5, tab);
  away();
  setWind(a, value);
  await vi.advanceTimersByTimeAsync(700);
  return structuredClone(shelf.drafts.get(`7:${tab}`)!);
}

/** The same tab opened again on what the server holds by now. */
async function reopened(value: number, theirs: DesignDocument, revision: number) {
  await draftOf(value);
  server.saveVersion = vi.fn(async (_id: number, base: number) => ({
    status: 'ok',
    value:
      base === revision
        ? { status: 'saved', revision: revision + 1 }
        : { status: 'conflict', revision, theirs },
  }));
  const b = open(theirs, revision);
  b.getState().begin();
  await vi.advanceTimersByTimeAsync(5);
  return b;
}

describe('a restored draft and a save made meanwhile elsewhere', () => {
  const elsewhere = (patch: Record<string, number>) =>
    Object.entries(patch).reduce((d, [k, v]) => setPath(d, `brief.site.${k}`, v), bitternDocument());
  const foreign: [string, DesignDocument, number][] = [
    ['nothing', bitternDocument(), 5],
    ['another number', elsewhere({ elevation: 300 }), 9],
    ['the same number', elsewhere({ wind: 8 }), 9],
    ['both', elsewhere({ wind: 8, elevation: 300 }), 9],
  ];
  const choices = ['merge', 'mine', 'theirs'] as const;
  it.each(foreign.flatMap((f) => choices.map((c) => [...f, c] as const)))(
    '%s changed elsewhere: %4$s',
    async (_what, theirs, revision, choice) => {
      const w = await reopened(6, theirs, revision);
      expect(wind(w)).toBe(6);
      await vi.advanceTimersByTimeAsync(700);
      if (revision === 5) {
        expect(w.getState().saveState.status).toBe('saved');
        return;
      }
      expect(w.getState().saveState.status).toBe('conflict');
      expect(w.getState().settle(choice).status).toBe('settled');
      const site = w.getState().content.document.brief.site,
        their = theirs.brief.site,
        base = bitternDocument().brief.site;
      // merged: mine where I changed, theirs everywhere else (it was mine everywhere, and theirs was lost)
      expect(site).toEqual(
        { merge: { ...their, wind: 6 }, mine: { ...base, wind: 6 }, theirs: their }[choice],
      );
      await vi.advanceTimersByTimeAsync(700);
      expect(w.getState().saveState.status).toBe('saved');
      expect(shelf.drafts.size).toBe(0);
    },
  );
  it('law: draft x save elsewhere, merged: every number changed by one side only survives', async () => {
    await fc.assert(
      fc.asyncProperty(fc.record(CHANGES), fc.record(CHANGES), async (mine, their) => {
        shelf = new MemoryShelf();
        const doc = (of: Record<string, number | null>) =>
          elsewhere(Object.fromEntries(Object.entries(of).filter(([, v]) => v !== null)) as never);
        const theirs = doc(their);
        const a = open();
        away();
        a.getState().edit({ type: 'set', path: 'document', value: doc(mine) });
        await vi.advanceTimersByTimeAsync(5);
        const b = open(theirs, 9);
        server.saveVersion = vi.fn(async () => ({
          status: 'ok',
          value: { status: 'conflict', revision: 9, theirs },
        }));
        b.getState().begin();
        await vi.advanceTimersByTimeAsync(700);
        if (b.getState().saveState.status === 'conflict') b.getState().settle('merge');
        const site = b.getState().content.document.brief.site as unknown as Record<string, number>,
          base = bitternDocument().brief.site as unknown as Record<string, number>;
        for (const k of Object.keys(CHANGES) as (keyof typeof CHANGES)[])
          expect(site[k], k).toBe(mine[k] ?? their[k] ?? base[k]);
      }),
      { numRuns: 12 },
    );
  });
});

/** New values, none of them what it was. */
const CHANGES = {
  wind: fc.option(fc.integer({ min: 1, max: 9 })),
  elevation: fc.option(fc.integer({ min: 10, max: 900 })),
  stripLength: fc.option(fc.integer({ min: 21, max: 90 })),
};

describe('drafts of tabs that are gone', () => {
  it('are offered; taken in they lie over what is there, and only then are they let go', async () => {
    await draftOf(6, 'gone');
    shelf.open.delete('gone');
    const theirs = setPath(bitternDocument(), 'brief.site.elevation', 300);
    server.saveVersion = vi.fn(async () => ({ status: 'ok', value: { status: 'saved', revision: 10 } }));
    const w = open(theirs, 9);
    w.getState().begin();
    await vi.advanceTimersByTimeAsync(5);
    expect(wind(w)).toBe(0.5);
    const [orphan] = w.getState().orphans;
    expect(orphan!.refused).toBeNull();
    w.getState().takeOrphan(orphan!);
    expect(w.getState().content.document.brief.site).toMatchObject({ wind: 6, elevation: 300 });
    await vi.advanceTimersByTimeAsync(700);
    expect(w.getState().orphans).toEqual([]);
    expect(shelf.drafts.size).toBe(0);
  });
  it('those of tabs that are open are left to them', async () => {
    await draftOf(6, 'other');
    const w = open();
    w.getState().begin();
    await vi.advanceTimersByTimeAsync(5);
    expect(w.getState().orphans).toEqual([]);
    expect(shelf.drafts.size).toBe(1);
  });
  it('thrown away only when asked', async () => {
    await draftOf(6, 'gone');
    shelf.open.delete('gone');
    const w = open();
    w.getState().begin();
    await vi.advanceTimersByTimeAsync(5);
    w.getState().dropOrphan(w.getState().orphans[0]!);
    expect(shelf.drafts.size).toBe(0);
  });
});

describe('two windows', () => {
  const conflicting = (theirs: DesignDocument) => {
    server.saveVersion = vi.fn(async (_id: number, base: number) => ({
      status: 'ok',
      value: base === 5 ? { status: 'conflict', revision: 9, theirs } : { status: 'saved', revision: 10 },
    }));
  };
  const begun = async () => {
    const w = open();
    setWind(w, 2);
    await vi.advanceTimersByTimeAsync(600);
    expect(w.getState().saveState.status).toBe('conflict');
    return w;
  };
  it('merge keeps both and tells what both had changed', async () => {
    conflicting(setPath(setPath(bitternDocument(), 'brief.site.elevation', 300), 'brief.site.wind', 7));
    const w = await begun();
    expect(w.getState().settle('merge')).toMatchObject({ conflicts: ['brief.site.wind'] });
    expect(w.getState().content.document.brief.site).toMatchObject({ wind: 2, elevation: 300 });
    await vi.advanceTimersByTimeAsync(700);
    expect(vi.mocked(server.saveVersion).mock.calls.at(-1)![1]).toBe(9);
    expect(w.getState().saveState.status).toBe('saved');
  });
  it('mine is saved over theirs only when asked; theirs replaces mine and undo brings mine back', async () => {
    conflicting(setPath(bitternDocument(), 'brief.site.elevation', 300));
    const w = await begun();
    w.getState().settle('mine');
    expect(w.getState().content.document.brief.site).toMatchObject({ wind: 2, elevation: 4 });
    await vi.advanceTimersByTimeAsync(700);
    expect(w.getState().saveState.status).toBe('saved');
    const v = await begun();
    v.getState().settle('theirs');
    expect(v.getState().content.document.brief.site).toMatchObject({ wind: 0.5, elevation: 300 });
    v.getState().undo();
    expect(wind(v)).toBe(2);
  });
  it('nothing is sent while the question stands', async () => {
    conflicting(setPath(bitternDocument(), 'brief.site.elevation', 300));
    const w = await begun();
    setWind(w, 3);
    await vi.advanceTimersByTimeAsync(5000);
    expect(server.saveVersion).toHaveBeenCalledTimes(1);
    expect(wind(w)).toBe(3);
  });
  it('a merge that breaks a reference is refused with a sentence', async () => {
    conflicting(
      setPath(
        bitternDocument(),
        'design.sections',
        bitternDocument().design.sections.map((s) => (s.id === 'tail-section' ? { ...s, id: 'other' } : s)),
      ),
    );
    const w = await begun();
    expect(w.getState().settle('merge')).toMatchObject({
      message: expect.stringMatching(/cannot be merged/),
    });
    expect(w.getState().saveState.status).toBe('conflict');
  });
  it('tests merge field by field too', async () => {
    const w = open();
    const body = w.getState().content.tests[1]!.body;
    const theirs: TestBody = { ...body, card: { ...body.card, question: 'theirs' } };
    server.saveTest = vi.fn(async (_id: number, base: number) => ({
      status: 'ok',
      value: base === 3 ? { status: 'conflict', revision: 8, theirs } : { status: 'saved', revision: 9 },
    }));
    w.getState().edit({ type: 'set', path: 'tests.2.body.record.notes', value: 'mine' });
    await vi.advanceTimersByTimeAsync(600);
    expect(w.getState().saveState.status).toBe('test-conflict');
    w.getState().settle('merge');
    expect(w.getState().content.tests[1]!.body).toMatchObject({
      card: { question: 'theirs' },
      record: { notes: 'mine' },
    });
    await vi.advanceTimersByTimeAsync(700);
    expect(w.getState().saveState.status).toBe('saved');
  });
});

it('a version that did not come along is asked for when it is compared, and is then in the page', async () => {
  const other = setPath(bitternDocument(), 'design.items.battery.x', 0.17);
  server.readVersion = (id) => Promise.resolve(id === 8 ? other : null);
  const head = { parentId: null, reason: '', updatedAt: '', face: null, revision: 1 };
  const w = createWorkspace(
    {
      project: { id: 1, name: 'P', aircraft: 'A' },
      versions: [
        { ...head, id: 7, name: 'A 1', document: bitternDocument() },
        { ...head, id: 8, name: 'A 2', document: null },
        { ...head, id: 9, name: 'A 3', document: null },
      ],
      tests: [],
      airframes: [],
      damaged: { versions: [], tests: 0 },
    },
    7,
    person,
    [person],
    shelf.as('a'),
  );
  expect(memoryFile(w.getState()).versions).toHaveLength(1);
  w.getState().begin();
  w.getState().setAgainst(8);
  await vi.advanceTimersByTimeAsync(10);
  expect(w.getState().againstLedger!.entries[0]!.value).toBe(0.17);
  expect(memoryFile(w.getState()).versions.map((v) => v.name)).toEqual(['A 1', 'A 2']);
  // one that the server cannot give is compared with nothing, and fails nothing
  w.getState().setAgainst(9);
  await vi.advanceTimersByTimeAsync(1);
  expect(w.getState().againstLedger).toBeNull();
});

it('the compared version has a ledger of its own', async () => {
  const w = createWorkspace(
    {
      project: { id: 1, name: 'P', aircraft: 'A' },
      versions: [
        {
          id: 7,
          name: 'A 1',
          parentId: null,
          reason: '',
          updatedAt: '',
          face: null,
          document: bitternDocument(),
          revision: 1,
        },
        {
          id: 8,
          name: 'A 2',
          parentId: 7,
          reason: '',
          updatedAt: '',
          face: null,
          document: setPath(bitternDocument(), 'design.items.battery.x', 0.15),
          revision: 1,
        },
      ],
      tests: [],
      airframes: [],
      damaged: { versions: [], tests: 0 },
    },
    8,
    person,
    [person],
    shelf.as('a'),
  );
  w.getState().begin();
  await vi.advanceTimersByTimeAsync(10);
  const pack = (l: ReturnType<typeof w.getState>['ledger']) => l!.entries[0]!.value;
  expect(pack(w.getState().ledger)).toBe(0.15);
  expect(pack(w.getState().againstLedger)).toBe(0.23);
});
