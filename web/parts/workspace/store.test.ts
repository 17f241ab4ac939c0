/** The browser's store: one undo step per edit, saving with retry, and nothing lost when two windows meet. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { bitternDocument, bitternProject } from '@skiametra/core/demo';
import { setPath, withoutEntry, type DesignDocument, type TestBody } from '@skiametra/core/design';

type Save = (id: number, base: number, data: unknown) => Promise<unknown>;
const server = vi.hoisted(() => ({
  saveVersion: null as unknown as Save,
  saveTest: null as unknown as Save,
}));
vi.mock('../../server/actions', () => ({
  saveVersionAction: (...a: Parameters<Save>) => server.saveVersion(...a),
  saveTestAction: (...a: Parameters<Save>) => server.saveTest(...a),
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

const person = { id: 1, name: 'Pilot', units: 'metric' as const };
const memory = new Map<string, string>();

function open(document: DesignDocument = bitternDocument()) {
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
      versions: [{ id: 7, name: 'A 1', parentId: null, reason: '', updatedAt: '', document, revision: 5 }],
      tests,
      airframes: [],
    },
    7,
    person,
    [person],
  );
}

const wind = (w: ReturnType<typeof open>) => w.getState().content.document.brief.site.wind;
const setWind = (w: ReturnType<typeof open>, value: number) =>
  w.getState().edit({ type: 'set', path: 'document.brief.site.wind', value });

beforeEach(() => {
  vi.useFakeTimers();
  memory.clear();
  vi.stubGlobal('window', {
    localStorage: {
      getItem: (k: string) => memory.get(k) ?? null,
      setItem: (k: string, v: string) => {
        memory.set(k, v);
      },
      removeItem: (k: string) => {
        memory.delete(k);
      },
    },
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  });
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
      body: bitternProject().tests[0].body,
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
      value: withoutEntry(w.getState().content.document, 'loadings', id),
    });
  it('taken away, its neighbour comes into view (the strip stayed empty and stations failed)', () => {
    const w = open();
    expect(state(w)).toBe('tubes-8');
    expect(without(w, 'tubes-8')).toBeNull();
    const list = w.getState().content.document.design.loadings.map((l) => l.id);
    expect(list).toContain(state(w));
    for (const watched of w.getState().content.document.brief.watch)
      expect(['all', ...list]).toContain(watched.split('@')[1]);
  });
  it('law: taken away one by one, the view is always one that exists; undone, all are there again', () => {
    const w = open();
    const all = w.getState().content.document.design.loadings.map((l) => l.id);
    for (const id of all.slice(0, -1)) {
      expect(without(w, id)).toBeNull();
      expect(w.getState().content.document.design.loadings.map((l) => l.id)).toContain(state(w));
    }
    for (let i = 0; i < all.length - 1; i++) w.getState().undo();
    expect(w.getState().content.document.design.loadings.map((l) => l.id)).toEqual(all);
    expect(all).toContain(state(w));
  });
  it('a state that is only renamed stays in view', () => {
    const w = open();
    w.getState().edit({ type: 'set', path: 'document.design.loadings.tubes-8.name', value: 'Eight' });
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
    expect(vi.mocked(server.saveVersion).mock.calls[0].slice(0, 2)).toEqual([7, 5]);
    expect(w.getState().saveState.status).toBe('saved');
    setWind(w, 2);
    await vi.advanceTimersByTimeAsync(600);
    expect(vi.mocked(server.saveVersion).mock.calls[1][1]).toBe(6);
  });
  it('a test goes by its own revision and leaves the version alone', async () => {
    const w = open();
    w.getState().edit({ type: 'set', path: 'tests.2.body.record.notes', value: 'windy' });
    await vi.advanceTimersByTimeAsync(600);
    expect(server.saveVersion).not.toHaveBeenCalled();
    expect(vi.mocked(server.saveTest).mock.calls[0].slice(0, 2)).toEqual([2, 3]);
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
    expect(memory.get('skiametra-draft-7')).toContain('"wind":4');
    away = false;
    await vi.advanceTimersByTimeAsync(2500);
    expect(w.getState().saveState.status).toBe('saved');
    expect(memory.has('skiametra-draft-7')).toBe(false);
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
    expect((vi.mocked(server.saveVersion).mock.calls[0][2] as DesignDocument).brief.site.wind).toBe(2);
  });
  it('a draft left by a closed page comes back as one undo step', async () => {
    const a = open();
    server.saveVersion = vi.fn(async () => {
      throw new TypeError('fetch failed');
    });
    setWind(a, 6);
    await vi.advanceTimersByTimeAsync(700);
    const b = open();
    b.getState().begin();
    expect(wind(b)).toBe(6);
    expect(b.getState().restored).toBe(1);
    b.getState().undo();
    expect(wind(b)).toBe(0.5);
  });
  it('a draft that the schema refuses is left alone', () => {
    memory.set(
      'skiametra-draft-7',
      JSON.stringify({ base: 5, document: { brief: 1 }, tests: [], testRevisions: [] }),
    );
    const w = open();
    w.getState().begin();
    expect(wind(w)).toBe(0.5);
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
    expect(w.getState().settle('merge')).toEqual(['brief.site.wind']);
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
    expect(w.getState().settle('merge')[0]).toMatch(/cannot be merged/);
    expect(w.getState().saveState.status).toBe('conflict');
  });
  it('tests merge field by field too', async () => {
    const w = open();
    const body = w.getState().content.tests[1].body;
    const theirs: TestBody = { ...body, card: { ...body.card, question: 'theirs' } };
    server.saveTest = vi.fn(async (_id: number, base: number) => ({
      status: 'ok',
      value: base === 3 ? { status: 'conflict', revision: 8, theirs } : { status: 'saved', revision: 9 },
    }));
    w.getState().edit({ type: 'set', path: 'tests.2.body.record.notes', value: 'mine' });
    await vi.advanceTimersByTimeAsync(600);
    expect(w.getState().saveState.status).toBe('test-conflict');
    w.getState().settle('merge');
    expect(w.getState().content.tests[1].body).toMatchObject({
      card: { question: 'theirs' },
      record: { notes: 'mine' },
    });
    await vi.advanceTimersByTimeAsync(700);
    expect(w.getState().saveState.status).toBe('saved');
  });
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
          document: bitternDocument(),
          revision: 1,
        },
        {
          id: 8,
          name: 'A 2',
          parentId: 7,
          reason: '',
          updatedAt: '',
          document: setPath(bitternDocument(), 'design.items.battery.x', 0.15),
          revision: 1,
        },
      ],
      tests: [],
      airframes: [],
    },
    8,
    person,
    [person],
  );
  w.getState().begin();
  await vi.advanceTimersByTimeAsync(10);
  const pack = (l: ReturnType<typeof w.getState>['ledger']) => l!.entries[0].value;
  expect(pack(w.getState().ledger)).toBe(0.15);
  expect(pack(w.getState().againstLedger)).toBe(0.23);
});
