/**
 * Saving itself: half a second after the last change, retried while the server is away. What is not yet
 * saved is also kept in the browser, so that a closed lid or a dead server loses nothing.
 */
import type { DesignDocument, TestBody } from '@skiametra/core/design';
import type { Content, ContentTest } from './content';

export type SaveState =
  | { status: 'saved' }
  | { status: 'saving' }
  | { status: 'waiting'; since: number }
  | { status: 'offline'; message: string }
  | { status: 'conflict'; theirs: DesignDocument; revision: number }
  | { status: 'test-conflict'; testId: string; theirs: TestBody; revision: number };

export interface Saved {
  document: DesignDocument;
  revision: number;
  tests: Map<string, { body: TestBody; revision: number }>;
}

interface Draft {
  base: number;
  document: DesignDocument;
  tests: ContentTest[];
  testRevisions: [string, number][];
}

const draftKey = (versionId: number) => `skiametra-draft-${versionId}`;

/** Writes the unsaved content to the browser's own store; clears it when there is nothing unsaved. */
export function writeDraft(storage: Storage, versionId: number, content: Content, saved: Saved): void {
  const tests = content.tests.filter((t) => saved.tests.get(t.id)?.body !== t.body);
  if (content.document === saved.document && tests.length === 0) {
    storage.removeItem(draftKey(versionId));
    return;
  }
  const draft: Draft = {
    base: saved.revision,
    document: content.document,
    tests,
    testRevisions: [...saved.tests].map(([k, v]) => [k, v.revision]),
  };
  try {
    storage.setItem(draftKey(versionId), JSON.stringify(draft));
  } catch {
    /* storage full: the server copy remains */
  }
}

/** A draft left behind by an earlier page, or null. */
export function readDraft(storage: Storage, versionId: number): Draft | null {
  try {
    const raw = storage.getItem(draftKey(versionId));
    return raw === null ? null : (JSON.parse(raw) as Draft);
  } catch {
    return null;
  }
}

export const SAVE_DELAY = 500;
export const RETRY_DELAY = 2000;
