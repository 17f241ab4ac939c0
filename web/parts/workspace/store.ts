/**
 * The browser's store of one open version: content with undo, the ledger of it and of the compared version,
 * and the state of saving. Screens select from here and call `edit`.
 */
import { createStore } from 'zustand/vanilla';
import type { Ledger } from '@skiametra/core/assess';
import type { DesignDocument } from '@skiametra/core/design';
import type { UnitSystem } from '@skiametra/core/units';
import type { TestRow, VersionHead, WorkspaceData } from '../../server/store';
import type { Person } from '../../server/people';
import { assessLive, newestOnly, type Progress } from '../../workers/coreClient';
import { placeFrom, versionOf, type Place } from '../frame/address';
import { readVersion } from './calls';
import { reduceContent, type Content, type Edit } from './content';
import { pageShelf, type DraftShelf, type Saved } from './drafts';
import { findDrafts, takeIn, type Orphan } from './restore';
import { createSaver, type Kept, type SaveState } from './saving';
import { settleConflict, type Choice, type Settled } from './settle';

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
  kept: Kept;
  restored: number;
  /** unsaved work of tabs that are gone */
  orphans: Orphan[];
  ledger: Ledger | null;
  /** sections being computed before the ledger can follow */
  polarWork: Progress | null;
  againstId: number | null;
  againstLedger: Ledger | null;
  why: { id: string; state: string } | null;
  /** the state in view */ loading: string;
  /** what is shown where the address says nothing */ readonly usual: {
    readonly state: string;
    readonly against: number | null;
  };
  /** inner tab of every station that was left on another than its first */
  tabs: Readonly<Record<string, string>>;
  rememberTab(station: string, tab: string | null): void;
  edit(edit: Edit): string | null;
  undo(): void;
  redo(): void;
  setWhy(why: { id: string; state: string } | null): void;
  /** the word of the trade that is explained */ term: string | null;
  setTerm(term: string | null): void;
  setLoading(loading: string): void;
  setUnits(units: UnitSystem): void;
  /** of any version: had from the server when it is first asked for; null where it cannot be */
  documentOf(id: number): Promise<DesignDocument | null>;
  setAgainst(id: number | null): void;
  /** lays an earlier save among the versions, to be compared with. @returns its number, which no version has */
  lookBack(revision: number, name: string, document: DesignDocument): number;
  addTest(row: TestRow): void;
  settle(choice: Choice): Settled;
  takeOrphan(orphan: Orphan): Settled;
  dropOrphan(orphan: Orphan): void;
  /** tries to save again what was gone */
  cameBack(): void;
  begin(): () => void;
}

const COALESCE_MS = 700;

/** The state a screen speaks of: the same one while there is one, else what stands in its place in the list. */
function inView(before: Content, next: Content, loading: string): string {
  const list = next.document.design.states;
  if (list.some((l) => l.id === loading)) return loading;
  const at = before.document.design.states.findIndex((l) => l.id === loading);
  return list[Math.min(Math.max(at, 0), list.length - 1)]?.id ?? loading;
}

export function createWorkspace(
  data: WorkspaceData,
  versionId: number,
  person: Person,
  people: Person[],
  shelf: DraftShelf = pageShelf(),
  place: Place = placeFrom(''),
) {
  const head = data.versions.find((v) => v.id === versionId)!,
    opened = head.document!;
  const content: Content = {
    document: opened,
    tests: data.tests.map((t) => ({
      id: t.id,
      versionId: t.versionId,
      airframeId: t.airframeId,
      body: t.body,
    })),
  };
  const saved: Saved = {
    document: opened,
    revision: head.revision,
    tests: new Map(data.tests.map((t) => [t.id, { body: t.body, revision: t.revision }])),
  };
  const { states } = opened.design,
    firstState = opened.brief.watch[0]?.split('@')[1] ?? '',
    isState = (id: string | null): id is string => states.some((l) => l.id === id);
  const usual = { state: isState(firstState) ? firstState : (states[0]?.id ?? ''), against: head.parentId };
  let lastSet: { path: string; at: number } | null = null;

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

    const saver = createSaver({ versionId, shelf, get, set });

    const take = (next: Content, extra: Partial<Workspace>) => {
      const before = get().content;
      set({ content: next, loading: inView(before, next, get().loading), ...extra });
      if (next.document !== before.document) assessNow(next);
      saver.changed();
    };

    const settled = (r: Settled): Settled => {
      if (r.status === 'settled') {
        const { content: now, past } = get();
        set({ saved: r.saved, saveState: { status: 'saved' } });
        take(r.content, { past: [...past, now], future: [] });
      }
      return r;
    };

    /** Puts back what this tab had not saved; a change made meanwhile stands, and the draft is offered instead. */
    const restore = async () => {
      await saver.begin();
      const { content: c, saved: s } = get();
      const { own, orphans } = await findDrafts(shelf, versionId, c, s);
      set({ orphans });
      // the base of the draft stands as saved: a save made elsewhere meanwhile shows as a conflict, not as a loss
      if (own && get().content === c) {
        set({ saved: own.saved, restored: 1 });
        take(own.content, { past: [c] });
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
      kept: 'none',
      restored: 0,
      orphans: [],
      ledger: null,
      polarWork: null,
      againstId: versionOf(place.against, usual.against),
      againstLedger: null,
      why: null,
      loading: isState(place.state) ? place.state : usual.state,
      usual,
      term: null,
      setTerm: (term) => set({ term }),
      tabs: {},

      edit(edit) {
        const { content: now, past } = get();
        const r = reduceContent(now, edit);
        if (r.status === 'refused') return r.message;
        if (r.content === now) return null;
        const path = edit.type === 'set' ? edit.path : null;
        const joins =
          path !== null && lastSet !== null && lastSet.path === path && Date.now() - lastSet.at < COALESCE_MS;
        lastSet = path === null ? null : { path, at: Date.now() };
        take(r.content, { past: joins ? past : [...past, now], future: [] });
        return null;
      },
      undo() {
        const { past, content: now, future } = get();
        if (past.length === 0) return;
        lastSet = null;
        take(past[past.length - 1]!, { past: past.slice(0, -1), future: [now, ...future] });
      },
      redo() {
        const { past, content: now, future } = get();
        if (future.length === 0) return;
        lastSet = null;
        take(future[0]!, { past: [...past, now], future: future.slice(1) });
      },
      setWhy: (why) => set({ why }),
      // an address may name a state that is gone
      setLoading: (id) =>
        set(({ content: c, loading }) => ({
          loading: c.document.design.states.some((l) => l.id === id) ? id : loading,
        })),
      rememberTab(station, tab) {
        const { [station]: before, ...others } = get().tabs;
        if ((before ?? null) === tab) return;
        set({ tabs: tab === null ? others : { ...others, [station]: tab } });
      },
      setUnits: (units) => set({ units }),
      async documentOf(id) {
        const there = get().versions.find((v) => v.id === id);
        if (!there || there.document) return there?.document ?? null;
        const document = await readVersion(id);
        if (document) set({ versions: get().versions.map((v) => (v.id === id ? { ...v, document } : v)) });
        return document;
      },
      setAgainst(wanted) {
        // an address may name a version that is gone
        const id = get().versions.some((v) => v.id === wanted) ? wanted : null;
        set({ againstId: id, againstLedger: null });
        if (id === null) return;
        void get()
          .documentOf(id)
          .then((document) => document && assessLive(document))
          .then((againstLedger) => {
            if (againstLedger && get().againstId === id) set({ againstLedger });
          });
      },
      lookBack(revision, name, document) {
        // a number that no version has
        const id = -revision;
        const save: VersionHead = {
          id,
          name,
          parentId: null,
          reason: '',
          updatedAt: '',
          face: null,
          document,
          revision,
        };
        set({ versions: [...get().versions.filter((v) => v.id !== id), save] });
        return id;
      },
      addTest(row) {
        const tests = new Map(get().saved.tests);
        tests.set(row.id, { body: row.body, revision: row.revision });
        const addTo = (c: Content): Content => ({
          ...c,
          tests: [
            ...c.tests,
            { id: row.id, versionId: row.versionId, airframeId: row.airframeId, body: row.body },
          ],
        });
        // a new row exists in the database from now on: undo must not remove it again
        set({
          content: addTo(get().content),
          past: get().past.map(addTo),
          future: get().future.map(addTo),
          saved: { ...get().saved, tests },
        });
      },
      settle: (choice) => settled(settleConflict(get().saveState, choice, get().content, get().saved)),
      takeOrphan(orphan) {
        const r = takeIn(orphan, get().content, get().saved);
        if (r.status === 'refused') return r;
        const { content: now, past, saveState } = get();
        take(r.content, { past: [...past, now], future: [], saveState });
        // it is let go only once it stands in this tab's own draft
        void saver.keep().then(() => {
          if (get().kept !== 'failed') get().dropOrphan(orphan);
        });
        return r;
      },
      dropOrphan(orphan) {
        set({ orphans: get().orphans.filter((o) => o !== orphan) });
        void shelf.forget(versionId, orphan.draft.tab);
      },
      cameBack: () => saver.again(),
      begin() {
        void restore()
          .catch((e: unknown) => console.error(e))
          .finally(() => {
            if (get().ledger === null) assessNow(get().content);
          });
        get().setAgainst(get().againstId);
        // the others follow one by one, so that the page holds the whole project when the server has it no longer
        void (async () => {
          for (const v of data.versions) await get().documentOf(v.id);
        })();
        const leave = (e: BeforeUnloadEvent) => {
          if (get().kept === 'failed') e.preventDefault();
        };
        const hide = () => saver.leaving(true),
          show = () => saver.leaving(false);
        window.addEventListener('beforeunload', leave);
        window.addEventListener('pagehide', hide);
        window.addEventListener('pageshow', show);
        return () => {
          window.removeEventListener('beforeunload', leave);
          window.removeEventListener('pagehide', hide);
          window.removeEventListener('pageshow', show);
          saver.stop();
        };
      },
    };
  });
}

export type WorkspaceStore = ReturnType<typeof createWorkspace>;
