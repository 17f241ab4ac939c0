'use client';
/** Yes or no, ticked in a cell of a table. */
import { Checkbox } from '@mantine/core';
import { useWorkspace } from '../workspace/useWorkspace';

export function CheckField({ label, path, value }: { label: string; path: string; value: boolean }) {
  const edit = useWorkspace((w) => w.edit);
  return (
    <Checkbox
      aria-label={label}
      checked={value}
      onChange={(e) => edit({ type: 'set', path, value: e.currentTarget.checked })}
    />
  );
}
