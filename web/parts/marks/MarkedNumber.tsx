'use client';
import { writtenWithSpread, type KindName, type UnitSystem } from '@skiametra/core/units';
import type { Measured } from './marks';

/** A value to the digits of its spread, both in the person's unit; three dots while it is computed. */
export function MarkedNumber({ of, kind, units, broken = false, waiting = false }: MarkedNumberProps) {
  if (!of) return <span className="num value">{waiting ? '…' : '–'}</span>;
  const { value, spread, unit } = writtenWithSpread(of.value, of.sigma, kind, units);
  return (
    <span className={broken ? 'num value broken' : 'num value'}>
      {value}
      <span className="spread">
        {spread === null ? '' : ` ± ${spread}`}
        {unit === '' ? '' : unit === '°' ? '°' : ` ${unit}`}
      </span>
    </span>
  );
}
interface MarkedNumberProps {
  of: Measured | null;
  kind: KindName;
  units: UnitSystem;
  /** outside what is asked */ broken?: boolean;
  waiting?: boolean;
}
