'use client';
import { SegmentedControl } from '@mantine/core';
import { powertrainOf } from '@skiametra/core/design';
import { useTab } from '../../parts/frame/useAddress';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { FLIGHT } from '../../parts/paths';
import { StationFindings } from '../../parts/Findings';
import { DocField } from '../../parts/fields/DocField';
import { StatePicker } from '../../parts/StatePicker';
import { Readings } from '../../parts/marks/Reading';
import { Corridor } from './Corridor';
import { FlightCharts } from './FlightCharts';
import { Inverse } from './Inverse';
import { Leaving } from './Leaving';
import { RotorFlight } from './RotorFlight';
import { useWinged } from '../../parts/rotors/useRotors';
import { StateTable } from './StateTable';
import { AirTab } from './air/AirTab';
import { MissionTab } from './mission/MissionTab';
import { StatedTab } from './stated/StatedTab';

const COLUMNS = [
  'mass',
  'stallSpeed',
  'groundRun',
  'landingRun',
  'launchOverStall',
  'launchLost',
  'bellySlide',
  'climbRate',
  'minSink',
  'glideRatio',
  'windLimit',
  'lapTime',
  'laps',
  'energyLeft',
  'allowedLoadFactor',
] as const;

const TABS = {
  envelope: 'Envelope',
  mission: 'Mission',
  air: 'In the air',
  figures: 'Stated figures',
} as const;
type Tab = keyof typeof TABS;

export function Flight() {
  const [tab, setTab] = useTab<Tab>(['envelope', 'mission', 'air', 'figures']),
    winged = useWinged();
  return (
    <div className="stack gap12">
      <div className="scrollx">
        <SegmentedControl
          size="xs"
          aria-label="Part of the Flight station"
          value={tab}
          onChange={setTab}
          data={Object.entries(TABS).map(([value, label]) => ({ value, label }))}
        />
      </div>
      {tab === 'mission' ? (
        <MissionTab />
      ) : tab === 'air' ? (
        <AirTab />
      ) : tab === 'figures' ? (
        <StatedTab />
      ) : winged ? (
        <WingedFlight />
      ) : (
        <RotorFlight />
      )}
    </div>
  );
}

function WingedFlight() {
  const ledger = useWorkspace((w) => w.ledger);
  const motor = useWorkspace((w) => !powertrainOf(w.content.document.design).unpowered);
  return (
    <div className="station">
      <div className="stack">
        <section className="block">
          <h2>How it is flown</h2>
          <div className="fields">
            {motor && <DocField label="Throttle on the laps" path={`${FLIGHT}.lapThrottle`} />}
            <DocField label="Bank in the turns" path={`${FLIGHT}.turnBank`} />
            {motor && <DocField label="Charge kept back" path={`${FLIGHT}.reserve`} />}
          </div>
        </section>
        <div>
          <StatePicker />
        </div>
        <StationFindings of="flight" />
        <Leaving />
      </div>
      <div className="stack">
        <FlightCharts />
        {ledger && !ledger.stopped && <Corridor ledger={ledger} />}
        <Inverse />
        <StateTable columns={COLUMNS} />
      </div>
      <div className="stack">
        <Readings title="Slow" ids={['stallSpeed', 'clMax', 'turnStallSpeed', 'innerStall']} />
        <Readings title="Wind" ids={['gustToStall', 'turnGust', 'windLimit', 'windAcross']} />
        <WindWords />
        <Readings
          title="Fast and far"
          ids={[
            'climbRate',
            'topSpeed',
            'glideRatio',
            'glideSpeed',
            'glideWind',
            'glideWindSpeed',
            'minSink',
            'endurance',
          ]}
        />
        {motor && (
          <Readings
            title="Laps"
            ids={['lapSpeed', 'lapTime', 'lapEnergy', 'lapsExact', 'energyLeft', 'timedTime']}
          />
        )}
      </div>
    </div>
  );
}

/** What wind has to do with the stall, once. */
function WindWords() {
  return (
    <p className="dim note">
      With the wind behind it the ground goes by faster and the wing feels nothing of it: only airspeed holds
      it up. What stalls it is a gust from behind, or slowing down because the ground looks fast.
    </p>
  );
}
