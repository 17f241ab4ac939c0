'use client';
import { NativeSelect } from '@mantine/core';
import { QuantityField } from '../../../parts/fields/QuantityField';
import type { Air } from './usePictures';

const AIRS = [
  { value: '11', label: 'Very still air, polished skin' },
  { value: '9', label: 'Still air, smooth skin' },
  { value: '6', label: 'Turbulent air' },
  { value: '4', label: 'Gusts, rough skin' },
];

/** What makes the layer turn turbulent sooner. */
export function AirAndSkin({ air, onAir }: { air: Air; onAir: (air: Air) => void }) {
  return (
    <section className="block">
      <h2>Air and skin</h2>
      <div className="stack gap8">
        <NativeSelect
          label="Air"
          value={String(air.nCrit)}
          onChange={(e) => onAir({ ...air, nCrit: Number(e.currentTarget.value) })}
          data={AIRS}
        />
        <QuantityField
          label="Trip on the upper face at"
          value={air.trip}
          kind="chordPercent"
          hint="100 % is no trip"
          onCommit={(v) => {
            if (!(v >= 0.01 && v <= 1)) return 'A trip lies between 1 and 100 % of the chord.';
            onAir({ ...air, trip: v });
            return null;
          }}
        />
      </div>
    </section>
  );
}
