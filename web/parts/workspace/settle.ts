/** Two saves of one thing: the person's choice made into content, without losing what only one side changed. */
import { mergeThreeWay, type DesignDocument, type TestBody } from '@skiametra/core/design';
import { reduceContent, type Content } from './content';
import type { Draft, Saved } from './drafts';
import type { SaveState } from './saving';

export type Choice = 'merge' | 'mine' | 'theirs';
export type Settled =
  | { status: 'settled'; content: Content; saved: Saved; conflicts: string[] }
  | { status: 'refused'; message: string };

function chosen<T extends object>(choice: Choice, base: T, mine: T, theirs: T) {
  if (choice === 'theirs') return { merged: theirs, conflicts: [] };
  // a copy, so that it counts as changed
  return choice === 'mine' ? { merged: { ...mine }, conflicts: [] } : mergeThreeWay<T>(base, mine, theirs);
}

const checked = (now: Content, content: Content, saved: Saved, conflicts: string[]): Settled => {
  const valid = reduceContent(now, { type: 'replace', content });
  return valid.status === 'refused'
    ? { status: 'refused', message: `The two cannot be merged: ${valid.message}` }
    : { status: 'settled', content: valid.content, saved, conflicts };
};

const withBody = (c: Content, id: string, body: TestBody): Content => ({
  ...c,
  tests: c.tests.map((t) => (t.id === id ? { ...t, body } : t)),
});

/** @param st what stands: any other state settles at once */
export function settleConflict(st: SaveState, choice: Choice, now: Content, saved: Saved): Settled {
  if (st.status === 'conflict') {
    const { merged, conflicts } = chosen<DesignDocument>(choice, saved.document, now.document, st.theirs);
    const next = { ...saved, document: st.theirs, revision: st.revision };
    return checked(now, { ...now, document: merged }, next, conflicts);
  }
  if (st.status !== 'test-conflict') return { status: 'settled', content: now, saved, conflicts: [] };
  const mine = now.tests.find((t) => t.id === st.testId)!.body,
    base = saved.tests.get(st.testId)!.body;
  const { merged, conflicts } = chosen<TestBody>(choice, base, mine, st.theirs);
  const tests = new Map(saved.tests).set(st.testId, { body: st.theirs, revision: st.revision });
  return checked(now, withBody(now, st.testId, merged), { ...saved, tests }, conflicts);
}

/** A draft of this very tab put back: what it was made from stands as the saved state, so that a save made meanwhile shows. */
export function resumeDraft(draft: Draft, now: Content, saved: Saved): Settled {
  const tests = new Map(saved.tests);
  let content: Content = { ...now, document: draft.document };
  for (const t of draft.tests) {
    if (!tests.has(t.id)) continue;
    tests.set(t.id, t.base);
    content = withBody(content, t.id, t.body);
  }
  const next = { document: draft.base.document, revision: draft.base.revision, tests };
  return checked(now, content, next, []);
}

/** A draft of a tab that is gone, laid over what stands here now. */
export function takeInDraft(draft: Draft, now: Content, saved: Saved): Settled {
  const doc = mergeThreeWay(draft.base.document, draft.document, now.document);
  const conflicts = [...doc.conflicts];
  let content: Content = { ...now, document: doc.merged };
  for (const t of draft.tests) {
    const here = now.tests.find((x) => x.id === t.id);
    if (!here) continue;
    const body = mergeThreeWay(t.base.body, t.body, here.body);
    conflicts.push(...body.conflicts);
    content = withBody(content, t.id, body.merged);
  }
  return checked(now, content, saved, conflicts);
}
