'use client';
/** How a number is known, chosen in place. */
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
    <select
      className="basis cell"
      aria-label={`How ${of} is known`}
      value={value}
      onChange={(e) => onChange(e.target.value as Basis)}
    >
      {BASES.map((b) => (
        <option key={b} value={b}>
          {BASIS_SIGN[b]}
        </option>
      ))}
    </select>
  );
}
