/** Editing with a way back: each edit is a step, but for a number that goes on being typed. */
import { reduceContent } from './content';
import type { Workspace } from './store';
import type { Tools } from './tools';

/** Settings of one path within this time are one step [ms]. */
const COALESCE_MS = 700;

export function historyOf({ get, take }: Tools): Pick<Workspace, 'edit' | 'undo' | 'redo'> {
  let lastSet: { path: string; at: number } | null = null;
  return {
    edit(edit) {
      const { content: now, past } = get();
      const r = reduceContent(now, edit);
      if (r.status === 'refused') return r.message;
      if (r.content === now) return null;
      const path = edit.type === 'set' ? edit.path : null;
      const joins =
        path !== null && lastSet !== null && lastSet.path === path && Date.now() - lastSet.at < COALESCE_MS;
      lastSet = path === null ? null : { path, at: Date.now() };
      take(r.content, { past: joins ? past : [...past, now], future: [] });
      return null;
    },
    undo() {
      const { past, content: now, future } = get();
      const before = past.at(-1);
      if (!before) return;
      lastSet = null;
      take(before, { past: past.slice(0, -1), future: [now, ...future] });
    },
    redo() {
      const { past, content: now, future } = get();
      const [after, ...later] = future;
      if (!after) return;
      lastSet = null;
      take(after, { past: [...past, now], future: later });
    },
  };
}
