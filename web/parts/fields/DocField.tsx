'use client';
/** Fields bound to a number of the document. */
import { capital } from '../capital';
import { documentField, type Basis, getPath } from '@skiametra/core/design';
import type { KindName } from '@skiametra/core/units';
import { useWorkspace } from '../workspace/useWorkspace';
import { QuantityField } from './QuantityField';

const groupOf = (path: string) => path.slice(0, path.lastIndexOf('.'));

/** The first number of an optional group makes the group. */
function entered(groupThere: boolean, path: string, value: number) {
  if (groupThere) return { type: 'set' as const, path, value };
  return {
    type: 'set' as const,
    path: groupOf(path),
    value: { [path.slice(path.lastIndexOf('.') + 1)]: value },
  };
}

/**
 * A quantity field bound to a number of the document by its path, with its basis when `tracked`. Kind and label are those
 * that the schema declares, unless the place asks for others.
 */
export function DocField({
  label: named,
  path,
  kind: asked,
  tracked,
  hideLabel,
  hideUnit,
  hint,
  optional,
}: {
  /** as the schema names it where left out */ label?: string | undefined;
  path: string;
  /** as the schema declares it where left out */ kind?: KindName | undefined;
  tracked?: boolean | undefined;
  hideLabel?: boolean | undefined;
  hideUnit?: boolean | undefined;
  hint?: string | undefined;
  /** emptying the field takes the number out */ optional?: boolean | 'null' | undefined;
}) {
  const declared = documentField(path.replace(/^document\./, '')),
    kind = asked ?? declared?.kind ?? 'ratio',
    label = named ?? capital(declared?.label ?? path);
  const value = useWorkspace((w) => getPath(w.content, path)) as number | null | undefined;
  const groupThere = useWorkspace((w) => getPath(w.content, groupOf(path)) !== undefined);
  const edit = useWorkspace((w) => w.edit);
  const basisKey = path.replace(/^document\.design\./, '');
  const basis = useWorkspace((w) => w.content.document.design.basis[basisKey]) ?? 'guess';
  const setBasis = (b: Basis) =>
    edit({ type: 'set', path: 'document.design.basis', value: { ...currentBasis, [basisKey]: b } });
  const currentBasis = useWorkspace((w) => w.content.document.design.basis);
  return (
    <QuantityField
      label={label}
      value={value ?? null}
      kind={kind}
      hideLabel={hideLabel}
      hideUnit={hideUnit}
      hint={hint ?? declared?.help}
      usual={declared?.usual}
      step={declared?.step}
      onCommit={(si) => edit(entered(groupThere, path, si))}
      onClear={
        optional
          ? () => edit({ type: 'set', path, value: optional === 'null' ? null : undefined })
          : undefined
      }
      basis={tracked ? { value: basis, onChange: setBasis } : undefined}
    />
  );
}

/** Whole-number fields (cells, counts). */
export function IntField({ label, path }: { label: string; path: string }) {
  const value = useWorkspace((w) => getPath(w.content, path)) as number;
  const edit = useWorkspace((w) => w.edit);
  return (
    <QuantityField
      label={label}
      value={value}
      kind="count"
      onCommit={(si) => edit({ type: 'set', path, value: si })}
    />
  );
}
