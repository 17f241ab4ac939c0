'use client';
/** How many shafts, and how they turn. */
import { Button, NativeSelect, Switch } from '@mantine/core';
import { arranged, type Arrangement } from '@skiametra/core/design';
import { ThrusterPlaces } from '../../../parts/ThrusterTable';
import { useDrive } from '../useDrive';
import { ONE } from './Rest';

const KINDS = [
  { value: 'apart', label: 'apart from each other' },
  { value: 'counter-rotating', label: 'behind each other, counter-rotating' },
];

/** How many shafts the drive turns, and how they stand. */
export function Shafts() {
  const { design, power, apply } = useDrive();
  const a = power.arrangement;
  const arrange = (more: Partial<Arrangement>) =>
    apply(arranged(design, { ...ONE, ...a, ...more }), 'Shafts of the drive');
  if (!a)
    return (
      <Button size="compact-xs" variant="subtle" mt={6} onClick={() => arrange({ count: 2 })}>
        More than one motor
      </Button>
    );
  return (
    <div className="after">
      <div className="fields">
        <NativeSelect
          label="Motors"
          value={String(a.count)}
          onChange={(e) => arrange({ count: Number(e.currentTarget.value) })}
          data={['1', '2', '3', '4', '5', '6', '7', '8']}
        />
        <NativeSelect
          label="Arranged"
          value={a.kind}
          onChange={(e) => arrange({ kind: e.currentTarget.value as Arrangement['kind'] })}
          data={KINDS}
        />
        <Switch
          size="xs"
          label="Shafts tilt up for hover"
          checked={a.tilt}
          onChange={(e) => arrange({ tilt: e.currentTarget.checked })}
        />
        <Button size="compact-xs" variant="subtle" onClick={() => apply(arranged(design, ONE), 'One motor')}>
          Only one motor
        </Button>
      </div>
      <ThrusterPlaces />
    </div>
  );
}
