'use client';
/** One variant: what it changes in the brief, what it multiplies, what it adds. */
import { ActionIcon, Button, Select, TextInput } from '@mantine/core';
import { documentField, getPath, type Brief, type Variant } from '@skiametra/core/design';
import type { KindName } from '@skiametra/core/units';
import { compileFormula } from '@skiametra/core/score';
import { formulaNames, quantityDef } from '@skiametra/core/assess';
import { IconTrash } from '@tabler/icons-react';
import { useMemo } from 'react';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { placesOf } from './places';

interface Props {
  variant: Variant;
  onChange: (v: Variant) => void;
  onRemove: () => void;
}

export function VariantEditor({ variant, onChange, onRemove }: Props) {
  const brief = useWorkspace((w) => w.content.document.brief),
    places = useMemo(() => placesOf(brief), [brief]),
    free = places.filter((p) => !variant.changes.some((c) => c.path === p.value));
  const setChange = (i: number, value: Variant['changes'][number]['value']) =>
    onChange({ ...variant, changes: variant.changes.map((c, k) => (k === i ? { ...c, value } : c)) });
  return (
    <section className="block" aria-label={`Variant ${variant.name}`}>
      <div className="line gap8">
        <TextInput
          className="grow"
          label="Name"
          value={variant.name}
          onChange={(e) => onChange({ ...variant, name: e.currentTarget.value })}
        />
        <ActionIcon className="atbottom" aria-label="Remove this variant" onClick={onRemove}>
          <IconTrash size={15} />
        </ActionIcon>
      </div>
      {variant.changes.map((c, i) => (
        <ChangeField
          key={c.path}
          change={c}
          label={places.find((p) => p.value === c.path)?.label ?? c.path}
          onValue={(v) => setChange(i, v)}
          onRemove={() => onChange({ ...variant, changes: variant.changes.filter((_, k) => k !== i) })}
        />
      ))}
      <Select
        label="Change another place"
        searchable
        value={null}
        placeholder="strip length, window, formula …"
        data={free}
        limit={80}
        onChange={(path) =>
          path &&
          onChange({
            ...variant,
            changes: [...variant.changes, { path, value: getPath(brief, path) as number | string }],
          })
        }
      />
      <QuantityField
        label="Times every score"
        value={variant.factor}
        kind="ratio"
        onCommit={(factor) => {
          if (!(factor >= 0 && factor <= 10)) return 'From 0 to 10.';
          onChange({ ...variant, factor });
          return null;
        }}
      />
      <Added variant={variant} onChange={onChange} />
    </section>
  );
}

interface ChangeProps {
  change: Variant['changes'][number];
  label: string;
  onValue: (v: number | string) => void;
  onRemove: () => void;
}

/** A limit is of the kind of what it limits. */
function kindAt({ requirements }: Brief, path: string): KindName {
  const [list, id] = path.split('.'),
    asked = list === 'requirements' && requirements.find((r) => r.id === id);
  return (asked ? quantityDef(asked.quantity)?.kind : documentField(`brief.${path}`)?.kind) ?? 'ratio';
}

function ChangeField({ change, label, onValue, onRemove }: ChangeProps) {
  const brief = useWorkspace((w) => w.content.document.brief),
    { value, path } = change;
  return (
    <div className="line gap8">
      <span className="grow">
        {typeof value === 'number' ? (
          <QuantityField
            label={label}
            value={value}
            kind={kindAt(brief, path)}
            onCommit={(v) => {
              onValue(v);
              return null;
            }}
          />
        ) : (
          <TextInput
            label={label}
            value={String(value ?? '')}
            onChange={(e) => onValue(e.currentTarget.value)}
          />
        )}
      </span>
      <ActionIcon className="atbottom" aria-label={`As written again: ${label}`} onClick={onRemove}>
        <IconTrash size={15} />
      </ActionIcon>
    </div>
  );
}

/** Points more or less, as a formula. */
function Added({ variant, onChange }: Pick<Props, 'variant' | 'onChange'>) {
  const brief = useWorkspace((w) => w.content.document.brief),
    states = useWorkspace((w) => w.content.document.design.states),
    text = variant.added,
    read = text.trim() === '' ? null : compileFormula(text, formulaNames(brief, { states })),
    error = read?.status === 'error' ? read.message : null;
  return (
    <>
      <TextInput
        label="Points added, or taken by a minus"
        placeholder="-40"
        value={text}
        error={error}
        onChange={(e) => onChange({ ...variant, added: e.currentTarget.value })}
      />
      {text.trim() !== '' && !error && (
        <Button size="compact-xs" variant="subtle" onClick={() => onChange({ ...variant, added: '' })}>
          Add nothing
        </Button>
      )}
    </>
  );
}
