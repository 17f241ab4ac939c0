/** A shelf of drafts in memory, for tests: tabs by name, a quota that can be used up. */
import type { Draft, DraftShelf } from './drafts';

export class MemoryShelf {
  readonly drafts = new Map<string, Draft>();
  readonly open = new Set<string>();
  full = false;

  /** The shelf as the tab of that name sees it. */
  as(tab: string): DraftShelf {
    this.open.add(tab);
    const key = (d: { versionId: number; tab: string }) => `${d.versionId}:${d.tab}`;
    const put = (draft: Draft) => {
      this.drafts.set(key(draft), structuredClone(draft));
    };
    return {
      tab: async () => tab,
      keep: async (draft) => {
        if (this.full) throw new DOMException('full', 'QuotaExceededError');
        put(draft);
      },
      lastBreath: put,
      forget: async (versionId, name) => {
        this.drafts.delete(key({ versionId, tab: name }));
      },
      list: async (versionId) =>
        [...this.drafts.values()]
          .filter((d) => d.versionId === versionId)
          .map((draft) => ({ draft: structuredClone(draft), alive: this.open.has(draft.tab) })),
    };
  }
}
