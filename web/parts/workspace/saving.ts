/**
 * Saving itself: half a second after the last change, retried while the server is away. What is not yet saved is also kept in
 * the browser, and it is said to be kept there only once it is.
 */
import type { DesignDocument, TestBody } from '@skiametra/core/design';
import { AwayError, saveTest, saveVersion } from './calls';
import { draftOf, type DraftShelf, type Saved } from './drafts';
import type { Content, ContentTest } from './content';

export type SaveState =
  | { status: 'saved' }
  | { status: 'saving' }
  | { status: 'waiting'; since: number }
  /** no answer: tried again by itself */
  | { status: 'offline'; message: string }
  /** answered no: tried again with the next change */
  | { status: 'refused'; message: string }
  /** deleted elsewhere: nothing is sent any more */
  | { status: 'gone'; message: string }
  | { status: 'conflict'; theirs: DesignDocument; revision: number }
  | { status: 'test-conflict'; testId: string; theirs: TestBody; revision: number };

/** Whether the unsaved work is written in this browser. */
export type Kept = 'none' | 'writing' | 'kept' | 'failed';

const SAVE_DELAY = 500;
const RETRY_DELAY = 2000;

/** The part of the workspace that saving reads and writes. */
interface SavingState {
  content: Content;
  saved: Saved;
  saveState: SaveState;
  kept: Kept;
}
interface Host {
  versionId: number;
  shelf: DraftShelf;
  get(): SavingState;
  set(patch: Partial<SavingState>): void;
}
export interface Saver {
  /** learns the name of this tab, which the last moment cannot wait for */
  begin(): Promise<void>;
  /** after every change */
  changed(): void;
  /** what is unsaved is written in the browser */
  keep(): Promise<void>;
  /** the page goes now: nothing may be waited for */
  leaving(gone: boolean): void;
  /** tried again after it was gone and came back */
  again(): void;
  stop(): void;
}

const AWAY = 'The server does not answer; it is tried again every two seconds.';
const GONE = 'The project was deleted elsewhere, so this is no longer saved.';

/** Writes drafts one after another; of many changes only the newest is written. */
function draftKeeper({ versionId, shelf, get, set }: Host) {
  let busy = false,
    again = false,
    tab: string | null = null,
    leaving = false;
  const breathe = () => {
    const d = tab === null ? null : draftOf(versionId, tab, get().content, get().saved);
    if (d) shelf.lastBreath(d);
  };
  const keep = async () => {
    if (leaving) breathe();
    again = true;
    if (busy) return;
    busy = true;
    while (again) {
      again = false;
      try {
        tab ??= await shelf.tab();
        const d = draftOf(versionId, tab, get().content, get().saved);
        if (d) {
          set({ kept: 'writing' });
          await shelf.keep(d);
        } else await shelf.forget(versionId, tab);
        set({ kept: d ? 'kept' : 'none' });
      } catch {
        set({ kept: 'failed' });
      }
    }
    busy = false;
  };
  return {
    keep,
    async begin() {
      tab = await shelf.tab();
    },
    leaving(gone: boolean) {
      leaving = gone;
      if (gone) breathe();
    },
  };
}

/** Sends one version and its tests; `null` when all is saved, else the state that stops it. */
async function send(host: Host, c: Content): Promise<SaveState | null> {
  const { get, set, versionId } = host;
  const { saved: s } = get();
  if (c.document !== s.document) {
    const r = await saveVersion(versionId, s.revision, c.document);
    if (r.status === 'refused') return { status: 'refused', message: `Not saved: ${r.message}` };
    if (r.value.status === 'gone') return { status: 'gone', message: GONE };
    if (r.value.status === 'conflict')
      return { status: 'conflict', theirs: r.value.theirs, revision: r.value.revision };
    set({ saved: { ...get().saved, document: c.document, revision: r.value.revision } });
  }
  for (const t of c.tests) {
    const stopped = await sendTest(host, t);
    if (stopped) return stopped;
  }
  return null;
}

async function sendTest({ get, set }: Host, t: ContentTest): Promise<SaveState | null> {
  const was = get().saved.tests.get(t.id);
  if (!was || was.body === t.body) return null;
  const r = await saveTest(Number(t.id), was.revision, t.body);
  if (r.status === 'refused') return { status: 'refused', message: `Not saved: ${r.message}` };
  if (r.value.status === 'gone') return { status: 'gone', message: GONE };
  if (r.value.status === 'conflict')
    return { status: 'test-conflict', testId: t.id, theirs: r.value.theirs, revision: r.value.revision };
  const tests = new Map(get().saved.tests);
  tests.set(t.id, { body: t.body, revision: r.value.revision });
  set({ saved: { ...get().saved, tests } });
  return null;
}

/** States in which nothing is sent until the person has chosen. */
const stands = (s: SaveState) =>
  s.status === 'conflict' || s.status === 'test-conflict' || s.status === 'gone';

export function createSaver(host: Host): Saver {
  const { get, set } = host;
  const drafts = draftKeeper(host);
  let timer: ReturnType<typeof setTimeout> | null = null,
    busy = false;
  const later = (delay: number) => {
    if (timer) clearTimeout(timer);
    timer = setTimeout(() => void save(), delay);
  };
  const schedule = () => {
    if (stands(get().saveState)) return;
    if (get().saveState.status !== 'offline') set({ saveState: { status: 'waiting', since: Date.now() } });
    later(SAVE_DELAY);
  };
  const save = async (): Promise<void> => {
    if (busy) return later(SAVE_DELAY);
    busy = true;
    const c = get().content;
    if (get().saveState.status !== 'offline') set({ saveState: { status: 'saving' } });
    try {
      const stopped = await send(host, c);
      if (stopped) set({ saveState: stopped });
      else if (get().content === c) set({ saveState: { status: 'saved' } });
      else {
        set({ saveState: { status: 'waiting', since: Date.now() } });
        later(SAVE_DELAY);
      }
      await drafts.keep();
    } catch (e) {
      set({ saveState: { status: 'offline', message: e instanceof AwayError ? e.message : AWAY } });
      later(RETRY_DELAY);
    } finally {
      busy = false;
    }
  };
  return {
    changed() {
      void drafts.keep();
      schedule();
    },
    begin: drafts.begin,
    keep: drafts.keep,
    leaving: drafts.leaving,
    again() {
      set({ saveState: { status: 'waiting', since: Date.now() } });
      later(0);
    },
    stop() {
      if (timer) clearTimeout(timer);
      // the workspace is left: what waits is sent now
      if (get().saveState.status === 'waiting') void save();
    },
  };
}
