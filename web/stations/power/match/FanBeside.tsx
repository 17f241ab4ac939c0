'use client';
/** The other way to push air, set beside: a ducted fan for the propeller, a propeller for the fan. */
import { Button } from '@mantine/core';
import { forwardAt, powertrainOf } from '@skiametra/core/design';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { USUAL_FAN } from '../drive/Fan';
import type { ComparedSet } from './useCompared';

export function FanBeside({ compared }: { compared: ComparedSet }) {
  const design = useWorkspace((w) => w.content.document.design);
  const hasFan = powertrainOf(design).fan !== undefined;
  const name = hasFan ? 'The propeller in place of the fan' : 'A 90 mm ducted fan on this motor';
  const changes = [{ path: `${forwardAt(design)?.drive}.fan`, value: hasFan ? undefined : USUAL_FAN }];
  return (
    <div>
      <Button
        variant="subtle"
        size="compact-xs"
        onClick={() => compared.toggle({ id: 'fan', name, changes })}
      >
        {hasFan ? 'Set the propeller beside the fan' : 'Set a ducted fan beside it'}
      </Button>
    </div>
  );
}
