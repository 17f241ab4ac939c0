/** Drafts found on opening: this tab's own is put back, those of tabs that are gone are offered, none is thrown away. */
import { upgradeDocument, upgradeTest, type DesignDocument, type TestBody } from '@skiametra/core/design';
import type { Draft, DraftShelf } from './drafts';
import type { Content } from './content';
import type { Saved } from './drafts';
import { resumeDraft, takeInDraft, type Settled } from './settle';

/** Unsaved work of a tab that is gone, or that cannot be put back as it is. */
export interface Orphan {
  draft: Draft;
  /** why it can only be saved as a file; null when it can be taken in */
  refused: string | null;
}
export interface Found {
  own: (Settled & { status: 'settled' }) | null;
  orphans: Orphan[];
}

/** Documents of a draft in the present form. */
function present(draft: Draft): Draft {
  const up = (d: DesignDocument) => upgradeDocument(d) as DesignDocument,
    upTest = (b: TestBody) => upgradeTest(b) as TestBody;
  return {
    ...draft,
    document: up(draft.document),
    base: { ...draft.base, document: up(draft.base.document) },
    tests: draft.tests.map((t) => ({
      ...t,
      body: upTest(t.body),
      base: { ...t.base, body: upTest(t.base.body) },
    })),
  };
}

/** Why a draft cannot be used; null when it can. */
function refusal(attempt: () => Settled): string | null {
  try {
    const r = attempt();
    return r.status === 'refused' ? r.message : null;
  } catch {
    return 'It is not of a form that this version of the application reads.';
  }
}

export async function findDrafts(
  shelf: DraftShelf,
  versionId: number,
  now: Content,
  saved: Saved,
): Promise<Found> {
  const tab = await shelf.tab();
  const found: Found = { own: null, orphans: [] };
  for (const { draft, alive } of await shelf.list(versionId)) {
    if (draft.tab !== tab) {
      if (!alive)
        found.orphans.push({ draft, refused: refusal(() => takeInDraft(present(draft), now, saved)) });
      continue;
    }
    const refused = refusal(() => resumeDraft(present(draft), now, saved));
    if (refused === null) {
      const r = resumeDraft(present(draft), now, saved);
      if (r.status === 'settled') found.own = r;
      continue;
    }
    // under a name of its own: this tab's next draft must not write over it
    const apart = { ...draft, tab: `${tab}-${draft.at}` };
    await shelf.keep(apart);
    await shelf.forget(versionId, tab);
    found.orphans.push({ draft: apart, refused });
  }
  return found;
}

export const takeIn = (orphan: Orphan, now: Content, saved: Saved): Settled =>
  takeInDraft(present(orphan.draft), now, saved);
