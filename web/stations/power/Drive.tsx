'use client';
/** The drive: what it is made of beside what it does. */
import { Button } from '@mantine/core';
import type { PowerReport } from '@skiametra/core/views';
import { StationFindings } from '../../parts/Findings';
import { StatePicker } from '../../parts/StatePicker';
import { Readings } from '../../parts/marks/Reading';
import { ChainPicture } from './ChainPicture';
import { Card } from './DriveCard';
import { DriveCharts } from './drive/DriveCharts';
import { DriveInputs } from './drive/DriveInputs';
import type { Ghost } from './useGhost';

export function Drive({
  report,
  ghost,
  setGhost,
}: {
  report: PowerReport;
  ghost: Ghost | null;
  setGhost: (g: Ghost | null) => void;
}) {
  return (
    <div className="station cols-power">
      <div className="stack">
        <DriveInputs />
      </div>
      <div className="stack gap8">
        <ChainPicture report={report} />
        <StationFindings of="power" />
        <DriveCharts report={report} ghost={ghost} height={195} />
        {ghost && (
          <div className="dim note">
            Ghost: {ghost.name}{' '}
            <Button size="compact-xs" variant="subtle" onClick={() => setGhost(null)}>
              Forget it
            </Button>
          </div>
        )}
      </div>
      <div className="stack">
        <StatePicker />
        <Readings title="Does it get away?" ids={['thrustToWeight', 'powerToWeight']} />
        <Readings title="How long does it fly?" ids={['lapSpeed', 'lapCurrent', 'endurance']} />
        <Readings
          title="How hard is it driven, standing?"
          state="all"
          ids={['staticThrust', 'staticCurrent', 'staticPower', 'staticRpm', 'packVoltage', 'tipMach']}
        />
        <Card report={report} />
      </div>
    </div>
  );
}
