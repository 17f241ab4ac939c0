/** What is looked at: the state in view, the compared version, why-panel, words, tabs. */
import type { VersionHead } from '../../server/store';
import { assessLive } from '../../workers/coreClient';
import { readVersion } from './calls';
import type { Workspace } from './store';
import type { Tools } from './tools';

type Looking = Pick<
  Workspace,
  | 'setWhy'
  | 'setTerm'
  | 'setLoading'
  | 'setMission'
  | 'rememberTab'
  | 'setUnits'
  | 'documentOf'
  | 'setAgainst'
  | 'lookBack'
>;

export function lookingAt({ get, set, whenShown }: Tools): Looking {
  return {
    setWhy: (why) => set({ why }),
    setTerm: (term) => set({ term }),
    // an address may name a state that is gone
    setLoading: (id) =>
      set(({ content: c, loading }) => ({
        loading: c.document.design.states.some((l) => l.id === id) ? id : loading,
      })),
    setMission: (missionId) => set({ missionId }),
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
        .then(async (document) => {
          // the present design first: its numbers are waited for
          await whenShown();
          return document && assessLive(document);
        })
        .then((againstLedger) => {
          if (againstLedger && get().againstId === id) set({ againstLedger });
        });
    },
    lookBack(revision, name, document) {
      // a number that no version has
      const id = -revision;
      const bare = { parentId: null, reason: '', updatedAt: '', face: null };
      const save: VersionHead = { id, name, ...bare, document, revision };
      set({ versions: [...get().versions.filter((v) => v.id !== id), save] });
      return id;
    },
  };
}
