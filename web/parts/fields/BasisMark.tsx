'use client';
/** How a number is known, chosen in place. */
import { CellSelect } from './CellSelect';
import { BASES, type Basis } from '@skiametra/core/design';

const BASIS_SIGN: Record<Basis, string> = {
  guess: 'guess',
  calculated: 'calc.',
  catalogue: 'cat.',
  claimed: 'claim',
  weighed: 'weighed',
  measured: 'meas.',
};

/** How a number is known, chosen in place. */
export function BasisMark({
  value,
  onChange,
  of,
}: {
  value: Basis;
  onChange: (b: Basis) => void;
  of: string;
}) {
  return (
    <CellSelect
      className="basis"
      label={`How ${of} is known`}
      value={value}
      options={BASES.map((b) => ({ value: b, label: BASIS_SIGN[b] }))}
      onChange={(b) => onChange(b as Basis)}
    />
  );
}
