/** What the parts of the workspace's store work with. */
import type { StoreApi } from 'zustand/vanilla';
import type { Content } from './content';
import type { DraftShelf } from './drafts';
import type { Workspace } from './store';
import type { createSaver } from './saving';

export interface Tools {
  readonly get: StoreApi<Workspace>['getState'];
  readonly set: StoreApi<Workspace>['setState'];
  /** once the present design has its numbers */
  readonly whenShown: () => Promise<void>;
  readonly shelf: DraftShelf;
  readonly versionId: number;
  readonly saver: ReturnType<typeof createSaver>;
  readonly assessNow: (content: Content) => void;
  /** puts a content in place of the present one: assessed where the document changed, saved in a while */
  readonly take: (next: Content, extra: Partial<Workspace>) => void;
}
