'use client';
import { Button, Group, Modal } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useWorkspace } from './workspace/useWorkspace';

export const mergedWords = (conflicts: readonly string[]) =>
  conflicts.length
    ? `Both sides had changed: ${conflicts.join(', ')}. Yours was used there.`
    : 'No number was changed on both sides.';

/** Shown when someone saved the same version meanwhile. Nothing is thrown away without being asked for. */
export function ConflictDialog() {
  const s = useWorkspace((w) => w.saveState);
  const settle = useWorkspace((w) => w.settle);
  const open = s.status === 'conflict' || s.status === 'test-conflict';
  const choose = (c: 'merge' | 'mine' | 'theirs') => {
    const r = settle(c);
    if (r.status === 'refused')
      notifications.show({ title: 'Not merged', color: 'red', message: `${r.message} Choose one side.` });
    else if (c === 'merge') notifications.show({ title: 'Merged', message: mergedWords(r.conflicts) });
  };
  return (
    <Modal
      opened={open}
      onClose={() => undefined}
      withCloseButton={false}
      centered
      title={<b>Changed in another window</b>}
    >
      <p className="flushtop">
        {s.status === 'test-conflict' ? 'This test' : 'This version'} was saved from another window since you
        opened it. Your changes are still here and nothing was overwritten.
      </p>
      <Group>
        <Button onClick={() => choose('merge')} data-autofocus>
          Merge both
        </Button>
        <Button variant="default" onClick={() => choose('mine')}>
          Keep mine
        </Button>
        <Button variant="default" onClick={() => choose('theirs')}>
          Take theirs
        </Button>
      </Group>
      <p className="dim flushbottom">
        What is replaced can be brought back with Undo, and stays among the saved revisions.
      </p>
    </Modal>
  );
}
