'use client';
import { Sentence } from '../parts/Sentence';
import { driveFitted } from '@skiametra/core/design';
import { Button, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { formatNumber, formatQuantity } from '@skiametra/core/units';
import type { PowerReport } from '@skiametra/core/views';
import { StationFindings } from '../parts/Findings';
import { StatePicker } from '../parts/StatePicker';
import { Readings } from '../parts/marks/Reading';
import type { Place } from '@skiametra/core/trial';
import { Cautions } from '../parts/Cautions';
import { useTab } from '../parts/frame/useAddress';
import { useWorkspace } from '../parts/workspace/useWorkspace';
import { BenchTab } from './power/BenchTab';
import { ChainPicture } from './power/ChainPicture';
import { DriveCharts } from './power/DriveCharts';
import { DriveInputs } from './power/DriveInputs';
import { EnergyTab } from './power/EnergyTab';
import { GlideTab } from './power/GlideTab';
import { HoverTab } from './power/HoverTab';
import { MatchTab } from './power/MatchTab';
import { RubberTab, USUAL_RUBBER } from './power/RubberTab';
import { SunTab } from './power/SunTab';
import { SupplyTab } from './power/SupplyTab';
import type { Ghost } from './power/useGhost';
import { useDrive } from './power/useDrive';
import { usePower } from './power/usePower';

const P = 'document.design.power';
const TABS = {
  drive: 'Drive',
  choose: 'Choose',
  bench: 'Bench',
  energy: 'Energy',
  supply: 'Supply and swaps',
  hover: 'Hover',
  rubber: 'Rubber',
  glide: 'Glide',
  sun: 'Sun',
} as const;
type Tab = keyof typeof TABS;

export function Power() {
  const { power } = useDrive();
  const ledger = useWorkspace((w) => w.ledger);
  const { report, trouble } = usePower();
  const [ghost, setGhost] = useState<Ghost | null>(null);
  const motor = !power.unpowered;
  const open = (Object.keys(TABS) as Tab[]).filter(
    (t) => motor || ['rubber', 'hover', 'supply', 'energy', 'glide'].includes(t),
  );
  const first: Tab = motor ? 'drive' : power.rubber ? 'rubber' : 'hover';
  const [tab, setTab] = useTab<Tab>([first, ...open.filter((t) => t !== first)]);
  if (!motor && !power.rubber && !power.lift) return <Unpowered report={report} />;
  // a report of the design before a part was fitted lacks it for a moment
  const ready =
    report && (tab !== 'choose' || report.match) && (tab !== 'drive' || report.chain) ? report : null;
  return (
    <div className="stack gap12">
      <div className="scrollx">
        <SegmentedControl
          size="xs"
          aria-label="Part of the Power station"
          value={tab}
          onChange={setTab}
          data={open.map((value) => ({ value, label: TABS[value] }))}
        />
      </div>
      {PLACE_OF[tab] && <Cautions at={PLACE_OF[tab]} />}
      {trouble && (
        <p className="stoptext" role="alert">
          {trouble}
        </p>
      )}
      {ledger?.stopped && (
        <p className="stoptext">
          <Sentence of={ledger.stopped} />
        </p>
      )}
      {tab === 'bench' ? (
        <BenchTab />
      ) : !ready ? (
        <p className="dim" role="status">
          Working out the drive …
        </p>
      ) : tab === 'drive' ? (
        <Drive report={ready} ghost={ghost} setGhost={setGhost} />
      ) : tab === 'choose' ? (
        <MatchTab report={ready} ghost={ghost} setGhost={setGhost} />
      ) : tab === 'energy' ? (
        <EnergyTab report={ready} />
      ) : tab === 'supply' ? (
        <SupplyTab report={ready} />
      ) : tab === 'hover' ? (
        <HoverTab report={ready} />
      ) : tab === 'rubber' ? (
        <RubberTab report={ready} />
      ) : tab === 'glide' ? (
        <GlideTab report={ready} />
      ) : (
        <SunTab report={ready} />
      )}
    </div>
  );
}

/** A glider: how it glides, and what could be fitted. */
function Unpowered({ report }: { report: PowerReport | null }) {
  const { design, apply } = useDrive();
  const edit = useWorkspace((w) => w.edit);
  return (
    <div className="stack">
      <p className="atmost560 flush">No motor is fitted: this is a glider.</p>
      {report && <GlideTab report={report} />}
      <div className="line gap8">
        <Button variant="light" onClick={() => apply(driveFitted(design, true), 'Electric motor fitted')}>
          Fit an electric motor
        </Button>
        <Button
          variant="light"
          onClick={() => edit({ type: 'set', path: `${P}.rubber`, value: USUAL_RUBBER })}
        >
          Fit a rubber motor
        </Button>
      </div>
    </div>
  );
}

/** The place of work that a tab is. */
const PLACE_OF: Partial<Record<Tab, Place>> = {
  drive: 'drive',
  choose: 'drive',
  energy: 'drive',
  supply: 'drive',
  bench: 'bench',
  rubber: 'rubber',
  hover: 'hover',
};

function Drive({
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
        <Readings
          title="Standing still, full throttle"
          state="all"
          ids={['staticThrust', 'staticCurrent', 'staticPower', 'staticRpm', 'packVoltage', 'tipMach']}
        />
        <div>
          <StatePicker />
        </div>
        <Readings
          title="In this state"
          ids={['thrustToWeight', 'powerToWeight', 'lapSpeed', 'lapCurrent', 'endurance']}
        />
        <Card report={report} />
      </div>
    </div>
  );
}

/** The small figures of the drive that have no uncertainty of their own. */
function Card({ report }: { report: PowerReport }) {
  const units = useWorkspace((w) => w.units);
  const c = report.cards!,
    v = report.volts!,
    line = (n: string, t: string) => (
      <div key={n} className="line apart gap8 note">
        <span className="dim">{n}</span>
        <span className="num">{t}</span>
      </div>
    );
  return (
    <section className="block" aria-label="More of the drive">
      <h2>More of the drive</h2>
      {line('Pitch speed', formatQuantity(c.still.pitchSpeed, 'speed', units))}
      {line('Grams per watt, standing', formatNumber(c.still.gramsPerWatt, 3))}
      {line(
        'Flying, full throttle',
        `${formatQuantity(c.flight.thrust, 'force', units)}, ${formatQuantity(c.flight.current, 'current', units)}`,
      )}
      {line(
        'Volts: label, full, loaded',
        `${v.printed.toFixed(1)}, ${v.full.toFixed(1)}, ${v.loaded.toFixed(1)}`,
      )}
      {report.largestPropeller !== null &&
        line('Largest that clears by 25 mm', formatQuantity(report.largestPropeller, 'length', units))}
      {report.idle &&
        line(
          'Drag, stopped; turning free',
          `${formatQuantity(report.idle.stopped, 'dragArea', units)}; ${formatQuantity(report.idle.windmilling, 'dragArea', units)}`,
        )}
      {report.idle?.folded != null &&
        line('Drag, folded', formatQuantity(report.idle.folded, 'dragArea', units))}
      {report.stalledBlade !== null &&
        line('Blade stalled, standing', `${(100 * report.stalledBlade).toFixed(0)} %`)}
      {report.from && line('Coefficients from', report.from)}
      {report.discharge &&
        line(
          'Full throttle, standing',
          `${formatQuantity(report.discharge.full.time, 'duration', units)}, ${report.discharge.full.end}`,
        )}
    </section>
  );
}
