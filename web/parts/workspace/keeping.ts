/** Nothing typed is lost: drafts are put back, conflicts settled, tests entered, what other tabs left is offered. */
import type { Content } from './content';
import { findDrafts, takeIn } from './restore';
import { settleConflict, type Settled } from './settle';
import type { Workspace } from './store';
import type { Tools } from './tools';

type Keeping = Pick<Workspace, 'addTest' | 'settle' | 'takeOrphan' | 'dropOrphan' | 'cameBack' | 'begin'>;

export function keepingOf(tools: Tools): Keeping {
  const { get, set, take, saver, shelf, versionId } = tools;
  const settled = (r: Settled): Settled => {
    if (r.status === 'settled') {
      const { content: now, past } = get();
      set({ saved: r.saved, saveState: { status: 'saved' } });
      take(r.content, { past: [...past, now], future: [] });
    }
    return r;
  };
  return {
    addTest(row) {
      const tests = new Map(get().saved.tests);
      tests.set(row.id, { body: row.body, revision: row.revision });
      const { id, versionId: of, airframeId, body } = row;
      const addTo = (c: Content): Content => ({
        ...c,
        tests: [...c.tests, { id, versionId: of, airframeId, body }],
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
    begin: () => begin(tools),
  };
}

/** Puts back what this tab had not saved; a change made meanwhile stands, and the draft is offered instead. */
async function restore({ get, set, take, saver, shelf, versionId }: Tools): Promise<void> {
  await saver.begin();
  const { content: c, saved: s } = get();
  const { own, orphans } = await findDrafts(shelf, versionId, c, s);
  set({ orphans });
  // the base of the draft stands as saved: a save made elsewhere meanwhile shows as a conflict, not as a loss
  if (own && get().content === c) {
    set({ saved: own.saved, restored: 1 });
    take(own.content, { past: [c] });
  }
}

/** @returns ends it */
function begin(tools: Tools): () => void {
  const { get, saver, assessNow } = tools;
  void restore(tools)
    .catch((e: unknown) => console.error(e))
    .finally(() => {
      if (get().ledger === null) assessNow(get().content);
    });
  get().setAgainst(get().againstId);
  // the others follow one by one, so that the page holds the whole project when the server has it no longer
  void (async () => {
    for (const v of get().versions) await get().documentOf(v.id);
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
}
