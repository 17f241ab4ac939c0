'use client';
/** Flight of what hangs on its rotors. */
import { StationFindings } from '../../parts/Findings';
import { Cautions } from '../../parts/Cautions';
import { DocField } from '../../parts/fields/DocField';
import { Readings } from '../../parts/marks/Reading';
import { BRIEF, FLIGHT } from '../../parts/paths';
import { StatePicker } from '../../parts/StatePicker';
import { FlightCharts } from './FlightCharts';
import { StateTable } from './StateTable';

const COLUMNS = [
  'mass',
  'hoverTime',
  'longestTime',
  'farthestWay',
  'rotorTopSpeed',
  'windMargin',
  'riseRate',
] as const;

export function RotorFlight() {
  return (
    <div className="station">
      <div className="stack">
        <Cautions at="hover" />
        <section className="block">
          <h2>How it is flown</h2>
          <div className="fields">
            <DocField
              label="Largest lean"
              path={`${FLIGHT}.lean`}
              optional
              hint="As its controller is set; 35° where empty"
            />
            <DocField label="Charge kept back" path={`${FLIGHT}.reserve`} />
            <DocField label="Wind" path={`${BRIEF}.site.wind`} />
            <DocField
              label="Gust"
              path={`${BRIEF}.site.gust`}
              optional
              hint="Empty: 0.6 of the wind and at least 3 m/s"
            />
          </div>
        </section>
        <div>
          <StatePicker />
        </div>
        <StationFindings of="flight" />
      </div>
      <div className="stack">
        <FlightCharts />
        <StateTable columns={COLUMNS} />
      </div>
      <div className="stack">
        <Readings title="Against the wind" ids={['rotorTopSpeed', 'windMargin']} />
        <Readings
          title="How long, how far"
          ids={['hoverTime', 'longestTime', 'longestSpeed', 'farthestWay', 'farthestSpeed']}
        />
        <Readings title="Up and down" ids={['riseRate', 'ringDescent', 'hoverMargin']} />
        <p className="dim note">
          Faster straight down than that, and the rotors stir their own wash: it falls through, and more
          throttle makes it worse. Come down ahead, not upright.
        </p>
      </div>
    </div>
  );
}
