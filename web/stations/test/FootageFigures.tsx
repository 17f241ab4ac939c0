'use client';
/** Figures read off a picture, where there is no log: what may be learned of them stands under what was measured. */
import { emptyFootage, type TestBody } from '@skiametra/core/design';
import type { KindName } from '@skiametra/core/units';
import { QuantityField } from '../../parts/fields/QuantityField';

type Footage = NonNullable<TestBody['record']['footage']>;

const NONE = emptyFootage();

const FIGURES: readonly { key: keyof Footage; label: string; kind: KindName; hint?: string }[] = [
  { key: 'pass', label: 'Pass one way', kind: 'speed', hint: 'over ground' },
  { key: 'passBack', label: 'Pass the other way', kind: 'speed', hint: 'over ground' },
  { key: 'height', label: 'Height gained', kind: 'distance' },
  { key: 'seconds', label: 'In this time', kind: 'time' },
  { key: 'amps', label: 'Amps', kind: 'current' },
  { key: 'ampsRest', label: 'Amps of the rest', kind: 'current', hint: 'receiver, servos, camera' },
  {
    key: 'voltsLoaded',
    label: 'Pack volts, motor on',
    kind: 'voltage',
    hint: 'cells times volts each: 4*3.5',
  },
  { key: 'voltsRest', label: 'Pack volts, motor off', kind: 'voltage' },
];

export function FootageFigures({
  footage = NONE,
  put,
}: {
  footage: Footage | undefined;
  put: (f: Footage) => string | null;
}) {
  return (
    <details className="behind" open={footage !== NONE}>
      <summary>Figures read off a picture</summary>
      <div className="fields">
        {FIGURES.map(({ key, ...field }) => (
          <QuantityField
            key={key}
            {...field}
            value={footage[key]}
            onCommit={(si) => put({ ...footage, [key]: si })}
            onClear={() => put({ ...footage, [key]: null })}
          />
        ))}
      </div>
    </details>
  );
}
