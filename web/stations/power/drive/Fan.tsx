'use client';
/** A ducted fan in place of the propeller. */
import { Button } from '@mantine/core';
import { DocField } from '../../../parts/fields/DocField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useDrive } from '../useDrive';

/** A fan of a usual size to begin from. */
export const USUAL_FAN = { diameter: 0.09, hub: 0.4, exitRatio: 0.9, efficiency: 0.65, exitSpeedRatio: 0.45 };

export function Fan() {
  const { power, at } = useDrive();
  const edit = useWorkspace((w) => w.edit);
  const fan = `${at?.drive}.fan`;
  if (!power.fan)
    return (
      <Button
        size="compact-xs"
        variant="subtle"
        onClick={() => edit({ type: 'set', path: fan, value: USUAL_FAN })}
      >
        A ducted fan instead
      </Button>
    );
  return (
    <div className="mt8">
      <h2 className="head">
        Ducted fan{' '}
        <Button
          size="compact-xs"
          variant="subtle"
          className="atend"
          onClick={() => edit({ type: 'set', path: fan, value: undefined })}
        >
          Back to the propeller
        </Button>
      </h2>
      <div className="fields">
        <DocField label="Diameter" path={`${fan}.diameter`} />
        <DocField label="Hub over tip" path={`${fan}.hub`} />
        <DocField label="Exit over swept area" path={`${fan}.exitRatio`} />
        <DocField label="Shaft to jet" path={`${fan}.efficiency`} />
        <DocField label="Jet over tip speed" path={`${fan}.exitSpeedRatio`} />
      </div>
    </div>
  );
}
