'use client';
/** Balance of what has no wing: the CG among its rotors, masses, states. */
import { SegmentedControl } from '@mantine/core';
import { StationFindings } from '../../parts/Findings';
import { useTab } from '../../parts/frame/useAddress';
import { Readings } from '../../parts/marks/Reading';
import { RotorPlan } from '../../parts/rotors/RotorPlan';
import { useRotors } from '../../parts/rotors/useRotors';
import { StatePicker } from '../../parts/StatePicker';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { GrowthPanel } from './GrowthPanel';
import { MassLedger } from './ledger/MassLedger';
import { Payload } from './ledger/Payload';
import { StatesPanel } from './states/StatesPanel';

const VIEWS = [
  { value: 'picture', label: 'Balance' },
  { value: 'ledger', label: 'Masses' },
  { value: 'states', label: 'States' },
  { value: 'growth', label: 'Growth' },
] as const;
type View = (typeof VIEWS)[number]['value'];

export function RotorBalance() {
  const [view, setView] = useTab<View>(['picture', 'ledger', 'states', 'growth']),
    { report, trouble } = useRotors();
  return (
    <div className="stack">
      <div className="line gap12 mid wraps">
        <SegmentedControl<View> value={view} onChange={setView} data={[...VIEWS]} aria-label="Balance view" />
        <StatePicker />
      </div>
      {trouble && (
        <p className="stoptext" role="alert">
          {trouble}
        </p>
      )}
      <div className="station cols-structure">
        <div className="stack">
          <StationFindings of="balance" />
          {view === 'picture' && <Picture />}
          {view === 'ledger' && (
            <>
              <MassLedger />
              <Payload />
            </>
          )}
          {view === 'states' && report && <StatesPanel report={{ ...report, worst: null, tow: null }} />}
          {view === 'growth' && <GrowthPanel />}
        </div>
        <div className="stack">
          <Readings title="Balance" ids={['mass', 'plannedMass', 'cgX', 'cgSpread']} />
          <Readings title="On the rotors" ids={['rotorLoad', 'rotorOut', 'hoverMargin']} />
          <div className="caution">
            Blades off on the bench; tethered for the first hover; nobody inside ten metres. Local rules and
            somebody experienced come first.
          </div>
        </div>
      </div>
    </div>
  );
}

function Picture() {
  const design = useWorkspace((w) => w.content.document.design),
    units = useWorkspace((w) => w.units),
    { report } = useRotors();
  if (!report)
    return (
      <p className="dim">No rotor stands anywhere yet: give them places under Shape, Body and rotors.</p>
    );
  return <RotorPlan {...{ design, report, units }} />;
}
