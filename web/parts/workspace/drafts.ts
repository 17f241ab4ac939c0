/**
 * What is not yet on the server, kept in the browser: a draft a tab, with what it was made from, so that it merges as an
 * edit and not as a document. A tab holds its name by a lock; a draft whose tab is gone is an orphan and is offered.
 */
import { createStore, del, entries, set, type UseStore } from 'idb-keyval';
import type { DesignDocument, TestBody } from '@skiametra/core/design';
import type { Content, ContentTest } from './content';

export interface Saved {
  document: DesignDocument;
  revision: number;
  tests: Map<string, { body: TestBody; revision: number }>;
}

export interface Draft {
  form: 1;
  versionId: number;
  tab: string;
  /** milliseconds since 1970 */ at: number;
  document: DesignDocument;
  base: { revision: number; document: DesignDocument };
  tests: (ContentTest & { base: { revision: number; body: TestBody } })[];
}

/** Where drafts are kept. `keep` ends only when the draft is written, and fails when it is not. */
export interface DraftShelf {
  tab(): Promise<string>;
  keep(draft: Draft): Promise<void>;
  /** at the last moment, when nothing may be waited for */
  lastBreath(draft: Draft): void;
  forget(versionId: number, tab: string): Promise<void>;
  /** all drafts of a version; which of them belong to tabs that are open */
  list(versionId: number): Promise<{ draft: Draft; alive: boolean }[]>;
}

/** The unsaved part of the content with what it was made from; null when there is nothing unsaved. */
export function draftOf(versionId: number, tab: string, content: Content, saved: Saved): Draft | null {
  const tests = content.tests.flatMap((t) => {
    const base = saved.tests.get(t.id);
    return base && base.body !== t.body ? [{ ...t, base }] : [];
  });
  if (content.document === saved.document && tests.length === 0) return null;
  return {
    form: 1,
    versionId,
    tab,
    at: Date.now(),
    document: content.document,
    base: { revision: saved.revision, document: saved.document },
    tests,
  };
}

const BREATH = 'skiametra-draft-';
const TAB = 'skiametra-tab';
const keyOf = (d: { versionId: number; tab: string }) => `${d.versionId}:${d.tab}`;

/** Holds the lock of a name until the page ends; whether it was free. */
function hold(tab: string): Promise<boolean> {
  return new Promise((answer) => {
    void navigator.locks.request(`${TAB}-${tab}`, { ifAvailable: true }, (lock) => {
      answer(lock !== null);
      return lock ? new Promise(() => undefined) : undefined;
    });
  });
}

const randomName = () =>
  [...crypto.getRandomValues(new Uint8Array(8))].map((b) => b.toString(16).padStart(2, '0')).join('');

/** The name of this tab: the same after a reload, another one in a copy of the tab. */
async function claimTab(): Promise<string> {
  const known = sessionStorage.getItem(TAB);
  // the page before a reload lets go of its lock a moment late
  for (let i = 0; known !== null && i < 8; i++) {
    if (!('locks' in navigator) || (await hold(known))) return known;
    await new Promise((r) => setTimeout(r, 40));
  }
  const fresh = randomName();
  sessionStorage.setItem(TAB, fresh);
  if ('locks' in navigator) await hold(fresh);
  return fresh;
}

async function openTabs(): Promise<Set<string>> {
  if (!('locks' in navigator)) return new Set();
  const { held } = await navigator.locks.query();
  return new Set(
    (held ?? []).flatMap((l) => (l.name?.startsWith(TAB) ? [l.name.slice(TAB.length + 1)] : [])),
  );
}

function breaths(versionId: number): { key: string; draft: Draft }[] {
  return Object.keys(localStorage)
    .filter((k) => k.startsWith(`${BREATH}${versionId}:`))
    .flatMap((key) => {
      try {
        return [{ key, draft: JSON.parse(localStorage.getItem(key)!) as Draft }];
      } catch {
        return [];
      }
    });
}

/** The browser's own shelf. */
function browserShelf(): DraftShelf {
  let mine: Promise<string> | null = null,
    store: UseStore | null = null;
  const shelf = () => (store ??= createStore('skiametra-drafts', 'drafts'));
  return {
    tab: () => (mine ??= claimTab()),
    async keep(draft) {
      await set(keyOf(draft), draft, shelf());
      localStorage.removeItem(`${BREATH}${keyOf(draft)}`);
    },
    lastBreath(draft) {
      try {
        localStorage.setItem(`${BREATH}${keyOf(draft)}`, JSON.stringify(draft));
      } catch {
        /* too large for it: what `keep` wrote stands */
      }
    },
    async forget(versionId, tab) {
      localStorage.removeItem(`${BREATH}${versionId}:${tab}`);
      await del(`${versionId}:${tab}`, shelf());
    },
    async list(versionId) {
      const newest = new Map<string, Draft>();
      const kept = await entries<string, Draft>(shelf()).catch(() => []);
      const all = [...kept.map(([, d]) => d), ...breaths(versionId).map((b) => b.draft)];
      for (const d of all)
        if (d.versionId === versionId && (newest.get(d.tab)?.at ?? 0) < d.at) newest.set(d.tab, d);
      const open = await openTabs();
      return [...newest.values()].map((draft) => ({ draft, alive: open.has(draft.tab) }));
    },
  };
}

let only: DraftShelf | null = null;
/** One shelf a page: the name of the tab is claimed once. */
export const pageShelf = (): DraftShelf => (only ??= browserShelf());
