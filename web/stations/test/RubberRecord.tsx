'use client';
/** Turns, torque and seconds of a rubber flight. */
import { Checkbox } from '@mantine/core';
import type { TestBody } from '@skiametra/core/design';
import type { KindName } from '@skiametra/core/units';
import { QuantityField } from '../../parts/fields/QuantityField';

/** Turns, torque, seconds, height of a flight on rubber; begun by the launch turns. */
export function RubberRecord({
  record,
  put,
}: {
  record: TestBody['record'];
  put: (patch: Partial<TestBody['record']>) => string | null;
}) {
  const r = record.rubber;
  const set = (patch: Partial<NonNullable<TestBody['record']['rubber']>>) =>
    put({
      rubber: {
        ...(r ?? {
          launchTurns: null,
          turnsLeft: null,
          launchTorque: null,
          seconds: null,
          height: null,
          motorLength: null,
          pitch: null,
          clean: true,
        }),
        ...patch,
      },
    });
  const free = (
    label: string,
    key: 'turnsLeft' | 'launchTorque' | 'height' | 'motorLength' | 'pitch',
    kind: KindName,
    hint?: string,
  ) => (
    <QuantityField
      label={label}
      kind={kind}
      value={r?.[key] ?? null}
      hint={hint}
      onCommit={(si) => set({ [key]: si })}
      onClear={() => set({ [key]: null })}
    />
  );
  return (
    <>
      <QuantityField
        label="Turns at launch"
        kind="count"
        value={r?.launchTurns ?? null}
        hint="of the motor, not of the crank"
        onCommit={(si) => set({ launchTurns: si })}
        onClear={() => set({ launchTurns: null })}
      />
      {r && (
        <>
          <QuantityField
            label="Time aloft"
            kind="time"
            value={r.seconds}
            onCommit={(si) => set({ seconds: si })}
            onClear={() => set({ seconds: null })}
          />
          {free('Turns left', 'turnsLeft', 'count')}
          {free('Torque at launch', 'launchTorque', 'smallMoment')}
          {free('Greatest height', 'height', 'distance')}
          {free('Motor length, if another', 'motorLength', 'length')}
          {free('Pitch, if another', 'pitch', 'length')}
          <Checkbox
            mt={18}
            label="Clean: nothing touched, no lift, no steering"
            checked={r.clean}
            onChange={(e) => set({ clean: e.currentTarget.checked })}
          />
        </>
      )}
    </>
  );
}
