/**
 * The browser's store of one open version: content with undo, the ledger of it and of the compared version,
 * and the state of saving. Screens select from here and call `edit`.
 */
import { createStore } from 'zustand/vanilla';
import type { Ledger } from '@skiametra/core/assess';
import { mergeThreeWay, upgradeDocument, type DesignDocument, type TestBody } from '@skiametra/core/design';
import type { UnitSystem } from '@skiametra/core/units';
import { saveTestAction, saveVersionAction } from '../../server/actions';
import type { Person, TestRow, VersionHead, WorkspaceData } from '../../server/store';
import { assessLive, newestOnly, type Progress } from '../../workers/coreClient';
import { reduceContent, type Content, type Edit } from './content';
import { RETRY_DELAY, SAVE_DELAY, readDraft, writeDraft, type Saved, type SaveState } from './saving';

export interface Workspace {
  project: WorkspaceData['project'];
  versions: VersionHead[];
  airframes: WorkspaceData['airframes'];
  versionId: number;
  person: Person;
  people: Person[];
  units: UnitSystem;
  content: Content;
  past: Content[];
  future: Content[];
  saved: Saved;
  saveState: SaveState;
  restored: number;
  ledger: Ledger | null;
  /** sections being computed before the ledger can follow */
  polarWork: Progress | null;
  againstId: number | null;
  againstLedger: Ledger | null;
  why: { id: string; state: string } | null;
  loading: string;
  edit(edit: Edit): string | null;
  undo(): void;
  redo(): void;
  setWhy(why: { id: string; state: string } | null): void;
  setLoading(loading: string): void;
  setUnits(units: UnitSystem): void;
  setAgainst(id: number | null): void;
  addTest(row: TestRow): void;
  settle(choice: 'merge' | 'mine' | 'theirs'): string[];
  begin(): () => void;
}

const HISTORY = 200;
const COALESCE_MS = 700;

/** The state a screen speaks of: the same one while there is one, else what stands in its place in the list. */
function inView(before: Content, next: Content, loading: string): string {
  const list = next.document.design.loadings;
  if (list.some((l) => l.id === loading)) return loading;
  const at = before.document.design.loadings.findIndex((l) => l.id === loading);
  return list[Math.min(Math.max(at, 0), list.length - 1)].id;
}

export function createWorkspace(data: WorkspaceData, versionId: number, person: Person, people: Person[]) {
  const head = data.versions.find((v) => v.id === versionId)!;
  const content: Content = {
    document: head.document,
    tests: data.tests.map((t) => ({ id: t.id, versionId: t.versionId, body: t.body })),
  };
  const saved: Saved = {
    document: head.document,
    revision: head.revision,
    tests: new Map(data.tests.map((t) => [t.id, { body: t.body, revision: t.revision }])),
  };
  const firstLoading = head.document.brief.watch[0]?.split('@')[1] ?? '';
  let lastSet: { path: string; at: number } | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let busy = false;

  return createStore<Workspace>()((set, get) => {
    const assessNow = newestOnly(async (c: Content, stale) => {
      try {
        const ledger = await assessLive(
          c.document,
          (polarWork) => set({ polarWork }),
          (quick) => set({ ledger: quick, polarWork: null }),
          stale,
        );
        if (ledger) set({ ledger, polarWork: null });
      } catch (e) {
        console.error(e);
        set({ polarWork: null });
      }
    });

    const take = (next: Content, extra: Partial<Workspace>) => {
      const before = get().content;
      set({ content: next, loading: inView(before, next, get().loading), ...extra });
      writeDraft(window.localStorage, versionId, next, get().saved);
      if (next.document !== before.document) assessNow(next);
      schedule(SAVE_DELAY);
    };

    const schedule = (delay: number) => {
      const s = get().saveState.status;
      if (s === 'conflict' || s === 'test-conflict') return;
      if (s !== 'offline') set({ saveState: { status: 'waiting', since: Date.now() } });
      if (timer) clearTimeout(timer);
      timer = setTimeout(() => void save(), delay);
    };

    const markSaved = (patch: Partial<Saved>) => set({ saved: { ...get().saved, ...patch } });

    const save = async (): Promise<void> => {
      if (busy) {
        schedule(SAVE_DELAY);
        return;
      }
      busy = true;
      try {
        const { content: c, saved: s } = get();
        set({ saveState: { status: 'saving' } });
        if (c.document !== s.document) {
          const r = await saveVersionAction(versionId, s.revision, c.document);
          if (r.status === 'refused') {
            set({ saveState: { status: 'offline', message: `Not saved: ${r.message}` } });
            return;
          }
          if (r.value.status === 'gone') {
            set({
              saveState: {
                status: 'offline',
                message: 'This version was deleted elsewhere; export the project to keep your copy.',
              },
            });
            return;
          }
          if (r.value.status === 'conflict') {
            set({ saveState: { status: 'conflict', theirs: r.value.theirs, revision: r.value.revision } });
            return;
          }
          markSaved({ document: c.document, revision: r.value.revision });
        }
        for (const t of c.tests) {
          const was = get().saved.tests.get(t.id);
          if (!was || was.body === t.body) continue;
          const r = await saveTestAction(Number(t.id), was.revision, t.body);
          if (r.status === 'refused') {
            set({ saveState: { status: 'offline', message: `Not saved: ${r.message}` } });
            return;
          }
          if (r.value.status === 'gone') {
            set({ saveState: { status: 'offline', message: 'A test was deleted elsewhere.' } });
            continue;
          }
          if (r.value.status === 'conflict') {
            set({
              saveState: {
                status: 'test-conflict',
                testId: t.id,
                theirs: r.value.theirs,
                revision: r.value.revision,
              },
            });
            return;
          }
          const tests = new Map(get().saved.tests);
          tests.set(t.id, { body: t.body, revision: r.value.revision });
          markSaved({ tests });
        }
        writeDraft(window.localStorage, versionId, get().content, get().saved);
        if (get().content === c) set({ saveState: { status: 'saved' } });
        else {
          set({ saveState: { status: 'waiting', since: Date.now() } });
          schedule(SAVE_DELAY);
        }
      } catch {
        set({
          saveState: {
            status: 'offline',
            message:
              'The server does not answer; the work is kept in this browser and will be saved when it does.',
          },
        });
        if (timer) clearTimeout(timer);
        timer = setTimeout(() => void save(), RETRY_DELAY);
      } finally {
        busy = false;
      }
    };

    return {
      project: data.project,
      versions: data.versions,
      airframes: data.airframes,
      versionId,
      person,
      people,
      units: person.units,
      content,
      past: [],
      future: [],
      saved,
      saveState: { status: 'saved' },
      restored: 0,
      ledger: null,
      polarWork: null,
      againstId: head.parentId,
      againstLedger: null,
      why: null,
      loading: head.document.design.loadings.some((l) => l.id === firstLoading)
        ? firstLoading
        : head.document.design.loadings[0].id,

      edit(edit) {
        const { content: now, past } = get();
        const r = reduceContent(now, edit);
        if (r.status === 'refused') return r.message;
        if (r.content === now) return null;
        const path = edit.type === 'set' ? edit.path : null;
        const joins =
          path !== null && lastSet !== null && lastSet.path === path && Date.now() - lastSet.at < COALESCE_MS;
        lastSet = path === null ? null : { path, at: Date.now() };
        take(r.content, { past: joins ? past : [...past.slice(-HISTORY), now], future: [] });
        return null;
      },
      undo() {
        const { past, content: now, future } = get();
        if (past.length === 0) return;
        lastSet = null;
        take(past[past.length - 1], { past: past.slice(0, -1), future: [now, ...future] });
      },
      redo() {
        const { past, content: now, future } = get();
        if (future.length === 0) return;
        lastSet = null;
        take(future[0], { past: [...past, now], future: future.slice(1) });
      },
      setWhy: (why) => set({ why }),
      setLoading: (loading) => set({ loading }),
      setUnits: (units) => set({ units }),
      setAgainst(id) {
        set({ againstId: id, againstLedger: null });
        const other = get().versions.find((v) => v.id === id);
        if (other)
          void assessLive(other.document).then((againstLedger) => {
            if (get().againstId === id) set({ againstLedger });
          });
      },
      addTest(row) {
        const tests = new Map(get().saved.tests);
        tests.set(row.id, { body: row.body, revision: row.revision });
        const addTo = (c: Content): Content => ({
          ...c,
          tests: [...c.tests, { id: row.id, versionId: row.versionId, body: row.body }],
        });
        // a new row exists in the database from now on: undo must not remove it again
        set({
          content: addTo(get().content),
          past: get().past.map(addTo),
          future: get().future.map(addTo),
          saved: { ...get().saved, tests },
        });
      },
      settle(choice) {
        const st = get().saveState;
        const { content: now, saved: s } = get();
        const resume = (next: Content, patch: Partial<Saved>) => {
          set({ saved: { ...s, ...patch }, saveState: { status: 'saved' } });
          take(next, { past: [...get().past, now], future: [] });
        };
        if (st.status === 'conflict') {
          const merged = mergeThreeWay<DesignDocument>(s.document, now.document, st.theirs);
          const doc =
            choice === 'merge' ? merged.merged : choice === 'mine' ? { ...now.document } : st.theirs;
          const valid = reduceContent(now, { type: 'replace', content: { ...now, document: doc } });
          if (valid.status === 'refused') return [`The two cannot be merged: ${valid.message}`];
          resume({ ...now, document: doc }, { document: st.theirs, revision: st.revision });
          return choice === 'merge' ? merged.conflicts : [];
        }
        if (st.status === 'test-conflict') {
          const base = s.tests.get(st.testId)?.body;
          const mine = now.tests.find((t) => t.id === st.testId)!.body;
          const merged = base
            ? mergeThreeWay<TestBody>(base, mine, st.theirs)
            : { merged: mine, conflicts: [] };
          const body = choice === 'merge' ? merged.merged : choice === 'mine' ? { ...mine } : st.theirs;
          const tests = new Map(s.tests);
          tests.set(st.testId, { body: st.theirs, revision: st.revision });
          resume(
            { ...now, tests: now.tests.map((t) => (t.id === st.testId ? { ...t, body } : t)) },
            { tests },
          );
          return choice === 'merge' ? merged.conflicts : [];
        }
        return [];
      },
      begin() {
        const draft = readDraft(window.localStorage, versionId);
        let c = get().content;
        if (draft) {
          const tests = c.tests.map((t) => {
            const d = draft.tests.find((x) => x.id === t.id);
            return d ? { ...t, body: d.body } : t;
          });
          const checked = reduceContent(c, {
            type: 'replace',
            content: { document: upgradeDocument(draft.document) as DesignDocument, tests },
          });
          if (checked.status === 'ok') {
            const revs = new Map(get().saved.tests);
            for (const [k, rev] of draft.testRevisions) {
              const t = revs.get(k);
              if (t) revs.set(k, { ...t, revision: rev });
            }
            // the draft's own base revision: a save made elsewhere meanwhile shows as a conflict, not as a loss
            set({ saved: { ...get().saved, revision: draft.base, tests: revs }, restored: 1, past: [c] });
            c = checked.content;
            take(c, {});
          }
        }
        assessNow(c);
        get().setAgainst(get().againstId);
        const leave = (e: BeforeUnloadEvent) => {
          if (get().saveState.status === 'offline') e.preventDefault();
        };
        window.addEventListener('beforeunload', leave);
        return () => {
          window.removeEventListener('beforeunload', leave);
          if (timer) clearTimeout(timer);
        };
      },
    };
  });
}

export type WorkspaceStore = ReturnType<typeof createWorkspace>;
