'use client';
/** One of a few words, where it stands among other words or in a cell: no box about it. */
import { NativeSelect } from '@mantine/core';

interface Props {
  label: string;
  value: string;
  options: readonly { readonly value: string; readonly label: string }[];
  onChange: (value: string) => void;
  error?: string | null;
  className?: string;
}

export function CellSelect({ label, value, options, onChange, error, className }: Props) {
  return (
    <NativeSelect
      className={className ? `incell ${className}` : 'incell'}
      variant="unstyled"
      aria-label={label}
      value={value}
      error={error}
      data={[...options]}
      onChange={(e) => onChange(e.currentTarget.value)}
    />
  );
}
