'use client';
/** Controller, wire and what else takes current. */
import { Button, NativeSelect } from '@mantine/core';
import { driveFitted } from '@skiametra/core/design';
import { gaugeArea } from '@skiametra/core/power';
import { DocField } from '../../../parts/fields/DocField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useDrive } from '../useDrive';

const GAUGES = [
  { value: '', label: 'AWG …' },
  ...[8, 10, 12, 14, 16, 18, 20, 22].map((n) => ({ value: String(n), label: `AWG ${n}` })),
];

export function Rest({ drive }: { drive: string }) {
  const { design, power, apply } = useDrive();
  const edit = useWorkspace((w) => w.edit);
  const set = (key: string, value: unknown) => edit({ type: 'set', path: `${drive}.${key}`, value });
  return (
    <>
      <div className="fields">
        <DocField label="Controller" path={`${drive}.controller.resistance`} tracked />
        <DocField label="At most" path={`${drive}.controller.maxCurrent`} tracked />
        <DocField label="Avionics" path="document.design.power.avionicsCurrent" tracked />
        <DocField label="Lap throttle" path="document.design.flight.lapThrottle" />
      </div>
      {power.wire ? (
        <div className="fields after">
          <DocField label="Wire, one way" path={`${drive}.wire.length`} />
          <DocField label="Copper of one core" path={`${drive}.wire.area`} />
          <NativeSelect
            label="or by gauge"
            value=""
            onChange={(e) => {
              if (e.currentTarget.value) set('wire.area', gaugeArea(Number(e.currentTarget.value)));
            }}
            data={GAUGES}
          />
        </div>
      ) : (
        <Button
          size="compact-xs"
          variant="subtle"
          mt={6}
          onClick={() => set('wire', { length: 0.15, area: 2.08e-6 })}
        >
          Add the wire between pack and controller
        </Button>
      )}
      <div className="part">
        <Button
          size="compact-xs"
          variant="subtle"
          onClick={() => apply(driveFitted(design, false), 'Flown as a glider')}
        >
          Fly it as a glider, without motor
        </Button>
      </div>
    </>
  );
}

export const ONE = { count: 1, kind: 'apart', tilt: false } as const;
