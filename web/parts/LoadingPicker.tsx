'use client';
import { NativeSelect } from '@mantine/core';
import { useWorkspace } from './workspace/useWorkspace';

/** Which loading the screen speaks of. */
export function LoadingPicker() {
  const loading = useWorkspace((w) => w.loading);
  const setLoading = useWorkspace((w) => w.setLoading);
  const loadings = useWorkspace((w) => w.content.document.design.loadings);
  return (
    <NativeSelect
      w={136}
      style={{ flex: 'none' }}
      aria-label="Loading"
      value={loading}
      onChange={(e) => setLoading(e.currentTarget.value)}
      data={loadings.map((l) => ({ value: l.id, label: l.name }))}
    />
  );
}
