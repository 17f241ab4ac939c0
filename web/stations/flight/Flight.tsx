'use client';
import { FLIGHT } from '../../parts/paths';
import { StationFindings } from '../../parts/Findings';
import { DocField } from '../../parts/fields/DocField';
import { StatePicker } from '../../parts/StatePicker';
import { Readings } from '../../parts/marks/Reading';
import { FlightCharts } from './FlightCharts';
import { RotorFlight } from './RotorFlight';
import { useWinged } from '../../parts/rotors/useRotors';
import { StateTable } from './StateTable';

const COLUMNS = [
  'mass',
  'stallSpeed',
  'groundRun',
  'landingRun',
  'climbRate',
  'lapTime',
  'laps',
  'energyLeft',
  'allowedLoadFactor',
] as const;

export function Flight() {
  return useWinged() ? <WingedFlight /> : <RotorFlight />;
}

function WingedFlight() {
  return (
    <div className="station">
      <div className="stack">
        <section className="block">
          <h2>How it is flown</h2>
          <div className="fields">
            <DocField label="Throttle on the laps" path={`${FLIGHT}.lapThrottle`} />
            <DocField label="Bank in the turns" path={`${FLIGHT}.turnBank`} />
            <DocField label="Charge kept back" path={`${FLIGHT}.reserve`} />
            <DocField label="Lift-off over stall speed" path={`${FLIGHT}.liftOffFactor`} />
            <DocField label="CL while rolling" path={`${FLIGHT}.groundCl`} />
          </div>
        </section>
        <div>
          <StatePicker />
        </div>
        <Readings title="Slow" ids={['stallSpeed', 'clMax', 'turnStallSpeed', 'liftOffSpeed', 'groundRun']} />
        <StationFindings of="flight" />
      </div>
      <div className="stack">
        <FlightCharts />
        <StateTable columns={COLUMNS} />
      </div>
      <div className="stack">
        <Readings
          title="Fast and far"
          ids={['climbRate', 'topSpeed', 'glideRatio', 'glideSpeed', 'minSink', 'endurance']}
        />
        <Readings
          title="Laps"
          ids={['lapSpeed', 'lapTime', 'lapEnergy', 'lapsExact', 'energyLeft', 'timedTime']}
        />
      </div>
    </div>
  );
}
