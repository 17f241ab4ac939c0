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
import { assessLive } from '../../workers/coreClient';
import { newestOnly, type Progress } from '../../workers/lanes';
import { placeFrom, versionOf, type Place } from '../frame/address';
import { brokenNow, missedIn, type Broken, type Checked } from './broken';
import type { Content, Edit } from './content';
import { historyOf } from './history';
import { keepingOf } from './keeping';
import { lookingAt } from './lookingAt';
import type { Tools } from './tools';
import { pageShelf, type DraftShelf, type Saved } from './drafts';
import type { Orphan } from './restore';
import { createSaver, type Kept, type SaveState } from './saving';
import type { Choice, Settled } from './settle';

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
  /** by requirement that is missed: the edit that broke it */ broken: Broken;
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
  /** mission in view; null: the first that names its states */ missionId: string | null;
  setMission(id: string): void;
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

/** The state a screen speaks of: the same one while there is one, else what stands in its place in the list. */
function inView(before: Content, next: Content, loading: string): string {
  const list = next.document.design.states;
  if (list.some((l) => l.id === loading)) return loading;
  const at = before.document.design.states.findIndex((l) => l.id === loading);
  return list[Math.min(Math.max(at, 0), list.length - 1)]?.id ?? loading;
}

/** What stands when a version is opened. */
function openedAt(data: WorkspaceData, versionId: number, place: Place) {
  const head = data.versions.find((v) => v.id === versionId),
    document = head?.document;
  if (!head || !document) throw new Error('a version was opened that is not among those that were read');
  const content: Content = {
    document,
    tests: data.tests.map(({ id, versionId: of, airframeId, body }) => ({
      id,
      versionId: of,
      airframeId,
      body,
    })),
  };
  const saved: Saved = {
    document,
    revision: head.revision,
    tests: new Map(data.tests.map((t) => [t.id, { body: t.body, revision: t.revision }])),
  };
  const { states } = document.design,
    firstState = document.brief.watch[0]?.split('@')[1] ?? '',
    isState = (id: string | null): id is string => states.some((l) => l.id === id);
  const usual = { state: isState(firstState) ? firstState : (states[0]?.id ?? ''), against: head.parentId };
  return {
    content,
    saved,
    usual,
    loading: isState(place.state) ? place.state : usual.state,
    againstId: versionOf(place.against, usual.against),
  };
}

/** What is empty at first. */
const NOTHING_YET = {
  past: [],
  future: [],
  saveState: { status: 'saved' },
  kept: 'none',
  restored: 0,
  orphans: [],
  ledger: null,
  broken: {},
  polarWork: null,
  againstLedger: null,
  why: null,
  term: null,
  missionId: null,
  tabs: {},
} satisfies Partial<Workspace>;

export function createWorkspace(
  data: WorkspaceData,
  versionId: number,
  person: Person,
  people: Person[],
  shelf: DraftShelf = pageShelf(),
  place: Place = placeFrom(''),
) {
  const { project, versions, airframes } = data;
  return createStore<Workspace>()((set, get, { subscribe }) => {
    let checked: Checked | null = null;
    /** The ledger of a document, with what it broke. */
    const told = (document: DesignDocument, ledger: Ledger): Partial<Workspace> => {
      if (ledger.stopped) return { ledger, polarWork: null };
      const now = { document, missed: missedIn(document, ledger) },
        was = checked ?? now,
        { broken: known, units } = get();
      checked = now;
      return { ledger, polarWork: null, broken: brokenNow(was, now, known, units) };
    };
    const assessNow = newestOnly(async (c: Content, stale) => {
      try {
        const ledger = await assessLive(
          c.document,
          (polarWork) => set({ polarWork }),
          (quick) => set(told(c.document, quick)),
          stale,
        );
        if (ledger) set(told(c.document, ledger));
      } catch (e) {
        console.error(e);
        set({ polarWork: null });
      }
    });
    const saver = createSaver({ versionId, shelf, get, set });
    const take = (next: Content, extra: Partial<Workspace>) => {
      const before = get().content;
      set({ content: next, loading: inView(before, next, get().loading), ...extra });
      if (next.document !== before.document) {
        // what is asked is held against the numbers at once: the next edit is not blamed for this one
        const { ledger } = get(),
          sameDesign = next.document.design === before.document.design;
        if (ledger && sameDesign) set(told(next.document, ledger));
        assessNow(next);
      }
      saver.changed();
    };
    const whenShown = () =>
      new Promise<void>((done) => {
        if (get().ledger) return done();
        const off = subscribe((now) => {
          if (!now.ledger) return;
          off();
          done();
        });
      });
    const tools: Tools = { get, set, whenShown, shelf, versionId, saver, assessNow, take };
    return {
      ...NOTHING_YET,
      ...{ project, versions, airframes, versionId, person, people, units: person.units },
      ...openedAt(data, versionId, place),
      ...historyOf(tools),
      ...lookingAt(tools),
      ...keepingOf(tools),
    };
  });
}

export type WorkspaceStore = ReturnType<typeof createWorkspace>;
