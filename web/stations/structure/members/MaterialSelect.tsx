'use client';
/** What a part of a member is made of: the person's own first, then the store. */
import { NativeSelect } from '@mantine/core';
import { getPath } from '@skiametra/core/design';
import { materialNamed, MATERIALS } from '@skiametra/core/structure';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

const GROUPS = {
  composite: 'Composites',
  metal: 'Metals',
  wood: 'Woods',
  print: 'Printed',
  foam: 'Foams',
  board: 'Boards and sheets',
} as const;

function useMaterialGroups(value: string) {
  const own = useWorkspace((w) => w.content.document.design.structure.materials) ?? [],
    known = own.some((m) => m.id === value) || MATERIALS.some((m) => m.id === value),
    named = materialNamed(value);
  const item = (m: { id: string; name: string }) => ({ value: m.id, label: m.name });
  return [
    ...(known ? [] : [{ value, label: named?.name ?? `${value} (not known)` }]),
    ...(own.length > 0 ? [{ group: 'My own', items: own.map(item) }] : []),
    ...Object.entries(GROUPS).map(([kind, group]) => ({
      group,
      items: MATERIALS.filter((m) => m.kind === kind).map(item),
    })),
  ];
}

export function MaterialSelect({ label, path }: { label: string; path: string }) {
  const edit = useWorkspace((w) => w.edit),
    value = useWorkspace((w) => String(getPath(w.content, path) ?? '')),
    data = useMaterialGroups(value);
  return (
    <NativeSelect
      className="wide"
      label={label}
      value={value}
      data={data}
      onChange={(e) => edit({ type: 'set', path, value: e.currentTarget.value })}
    />
  );
}
