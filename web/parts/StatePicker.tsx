'use client';
import { NativeSelect } from '@mantine/core';
import { useWorkspace } from './workspace/useWorkspace';

/** Which loading the screen speaks of. */
export function StatePicker() {
  const loading = useWorkspace((w) => w.loading);
  const setLoading = useWorkspace((w) => w.setLoading);
  const states = useWorkspace((w) => w.content.document.design.states);
  return (
    <NativeSelect
      w={136}
      className="rigid"
      aria-label="State"
      value={loading}
      onChange={(e) => setLoading(e.currentTarget.value)}
      data={states.map((l) => ({ value: l.id, label: l.name }))}
    />
  );
}
