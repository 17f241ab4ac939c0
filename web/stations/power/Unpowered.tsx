'use client';
/** What stands in the place of a drive that an aircraft has not. */
import { POWER } from '../../parts/paths';
import { Button } from '@mantine/core';
import { driveFitted, drivesOf, usualDrive } from '@skiametra/core/design';
import type { PowerReport } from '@skiametra/core/views';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { GlideTab } from './GlideTab';
import { USUAL_RUBBER } from './rubber/RubberTab';
import { useDrive } from './useDrive';

/** A glider: how it glides, and what could be fitted. */
export function Unpowered({ report }: { report: PowerReport | null }) {
  const { design, apply } = useDrive();
  const edit = useWorkspace((w) => w.edit);
  return (
    <div className="stack">
      <p className="atmost560 flush">No motor is fitted: this is a glider.</p>
      {report?.glide && <GlideTab glide={report.glide} electric={false} />}
      <div className="line gap8">
        <Button
          variant="light"
          onClick={() =>
            apply(
              drivesOf(design).forward ? driveFitted(design, true) : usualDrive(design),
              'Electric motor fitted',
            )
          }
        >
          Fit an electric motor
        </Button>
        <Button
          variant="light"
          onClick={() => edit({ type: 'set', path: `${POWER}.rubber`, value: USUAL_RUBBER })}
        >
          Fit a rubber motor
        </Button>
      </div>
    </div>
  );
}
