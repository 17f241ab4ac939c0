'use client';
import { useWorkspace } from '../workspace/useWorkspace';

/** Where the work is: the word may say “kept” only when it is. */
export function SaveWord() {
  const s = useWorkspace((w) => w.saveState);
  const kept = useWorkspace((w) => w.kept);
  const restored = useWorkspace((w) => w.restored);
  const bad = s.status === 'offline' || s.status === 'refused' || s.status === 'gone';
  const here =
    kept === 'kept' ? 'Kept in this browser' : kept === 'failed' ? 'Not kept anywhere' : 'Keeping …';
  const words = {
    saved: restored ? 'Saved (unsaved work restored)' : 'Saved',
    saving: 'Saving …',
    waiting: 'Saving …',
    offline: here,
    refused: here,
    gone: here,
    conflict: 'Changed elsewhere',
    'test-conflict': 'Changed elsewhere',
  } as const;
  return (
    <span
      role="status"
      aria-live="polite"
      data-save={s.status}
      data-kept={kept}
      className={bad ? 'saveword bad' : 'saveword'}
      title={'message' in s ? s.message : undefined}
    >
      {words[s.status]}
    </span>
  );
}
