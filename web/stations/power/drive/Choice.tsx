'use client';
/** A choice of the drive as a labelled list. */
import { NativeSelect } from '@mantine/core';
import { getPath } from '@skiametra/core/design';
import { BLADE_FAMILIES, BLADES, CHEMISTRIES } from '@skiametra/core/power';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

/** A choice bound to the document. */
export function Choice({
  label,
  path,
  data,
  fallback,
}: {
  label: string;
  path: string;
  data: readonly { value: string; label: string }[];
  fallback: string;
}) {
  const value = (useWorkspace((w) => getPath(w.content, path)) as string | undefined) ?? fallback;
  const edit = useWorkspace((w) => w.edit);
  return (
    <NativeSelect
      label={label}
      styles={{ label: { fontSize: '0.75rem', color: 'var(--ink-2)', fontWeight: 400 } }}
      value={value}
      onChange={(e) => edit({ type: 'set', path, value: e.currentTarget.value })}
      data={[...data]}
    />
  );
}

export const FAMILIES = BLADE_FAMILIES.map((f) => ({ value: f, label: BLADES[f].name }));
export const CELLS = CHEMISTRIES.map((c) => ({ value: c, label: c }));
