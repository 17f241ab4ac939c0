'use client';
/** One of a few words, chosen in a cell of a table. */
import { CellSelect } from '../fields/CellSelect';
import { useState } from 'react';
import { useWorkspace } from '../workspace/useWorkspace';

interface Props {
  label: string;
  path: string;
  value: string;
  /** the empty one is stored as null */ nullable?: boolean | undefined;
  options: readonly { readonly value: string; readonly label: string }[];
}

export function ChoiceField({ label, path, value, options, nullable }: Props) {
  const edit = useWorkspace((w) => w.edit);
  const [error, setError] = useState<string | null>(null);
  return (
    <CellSelect
      label={label}
      value={value}
      error={error}
      options={options}
      onChange={(to) => setError(edit({ type: 'set', path, value: to || (nullable ? null : undefined) }))}
    />
  );
}
