'use client';
import { DESIGN } from '../../parts/paths';
import { Sentence } from '../../parts/Sentence';
import { Button, SegmentedControl } from '@mantine/core';
import { useState, type CSSProperties } from 'react';
import { entryOf } from '@skiametra/core/assess';
import type { School } from '@skiametra/core/layout';
import { changesOf, solveBalance } from '@skiametra/core/mass';
import { StationFindings } from '../../parts/Findings';
import { BalancePicture } from '../../parts/layout/BalancePicture';
import { SchoolBands } from '../../parts/layout/SchoolBands';
import { useLayout } from '../../parts/layout/useLayout';
import { StatePicker } from '../../parts/StatePicker';
import { DocField } from '../../parts/fields/DocField';
import { Readings } from '../../parts/marks/Reading';
import { useTab } from '../../parts/frame/useAddress';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { MassLedger } from './ledger/MassLedger';
import { Payload } from './ledger/Payload';
import { ChecksPanel } from './checks/ChecksPanel';
import { GrowthPanel } from './GrowthPanel';
import { StatesPanel } from './states/StatesPanel';
import { WhatIfPanel } from './WhatIfPanel';
import { RotorBalance } from './RotorBalance';
import { useWinged } from '../../parts/rotors/useRotors';
import { StabilityCard } from './StabilityCard';

const VIEWS = [
  { value: 'picture', label: 'Balance' },
  { value: 'ledger', label: 'Masses' },
  { value: 'stability', label: 'Stability' },
  { value: 'states', label: 'States' },
  { value: 'growth', label: 'Growth' },
  { value: 'whatif', label: 'What if' },
  { value: 'checks', label: 'Ground, fit, built' },
];

export function Balance() {
  return useWinged() ? <WingedBalance /> : <RotorBalance />;
}

function WingedBalance() {
  const design = useWorkspace((w) => w.content.document.design);
  const ledger = useWorkspace((w) => w.ledger);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const setWhy = useWorkspace((w) => w.setWhy);
  const [view, setView] = useTab(['picture', 'ledger', 'stability', 'states', 'growth', 'whatif', 'checks']);
  const [chosen, setChosen] = useState<School['id']>('margin');
  const { report, trouble } = useLayout();
  const school = report?.schools.find((s) => s.id === chosen) ?? report?.schools[0];
  const recommended = report?.schools.find((s) => s.recommended);
  const band = { forward: school?.forward ?? null, aft: school?.aft ?? null };
  const limits =
    recommended && recommended.forward !== null && recommended.aft !== null
      ? { forward: school?.forward ?? recommended.forward, aft: school?.aft ?? recommended.aft }
      : null;
  const proposal = limits && limits.forward < limits.aft ? solveBalance(design, limits) : null;
  const apply = () => {
    if (proposal)
      edit({
        type: 'apply',
        changes: changesOf(design, proposal).map((c) => ({ path: `${DESIGN}.${c.path}`, value: c.value })),
      });
  };
  const bands = report && (
    <SchoolBands
      report={report}
      units={units}
      chosen={chosen}
      onChoose={setChosen}
      neutralSigma={ledger ? (entryOf(ledger, 'neutralPoint', 'all')?.sigma ?? 0) : 0}
      onWhy={() => setWhy({ id: 'neutralPoint', state: 'all' })}
    />
  );
  return (
    <div className="stack">
      <div className="line gap12 mid wraps">
        <SegmentedControl value={view} onChange={setView} data={VIEWS} aria-label="Balance view" />
        <StatePicker />
      </div>
      {trouble && (
        <p className="stoptext" role="alert">
          {trouble}
        </p>
      )}
      <div
        className="station"
        style={
          {
            '--cols': view === 'ledger' ? 'minmax(0, 1.25fr) minmax(0, 1fr) 200px' : 'minmax(0, 1fr) 250px',
          } as CSSProperties
        }
      >
        {view === 'ledger' && (
          <>
            <MassLedger />
            <div className="stack">
              <StationFindings of="balance" />
              {bands}
              <Payload />
            </div>
          </>
        )}
        {view === 'picture' && (
          <div className="stack gap8">
            <StationFindings of="balance" />
            <BalancePicture
              design={design}
              report={report}
              band={band}
              moves={proposal && proposal.status !== 'inside' ? proposal.moves : []}
              units={units}
              onMove={(item, x) => edit({ type: 'set', path: `${DESIGN}.items.${item}.x`, value: x })}
            />
            {proposal &&
              school &&
              (proposal.status === 'moved' || proposal.status === 'ballast') &&
              !school.recommended && (
                <div className="finding look">
                  <span className="sev" aria-hidden="true">
                    !
                  </span>
                  <div className="grow">
                    By “{school.name}”: <Sentence of={proposal.said} />{' '}
                    <Button size="compact-xs" variant="light" onClick={apply}>
                      Do that
                    </Button>
                  </div>
                </div>
              )}
            {proposal?.status === 'ballast' && school?.recommended && (
              <div>
                <Button size="xs" variant="light" onClick={apply}>
                  {proposal.moves.length ? 'Move what moves and add the ballast' : 'Add the ballast'}
                </Button>{' '}
                <span className="dim note">
                  The last resort: a longer nose or a lighter tail costs nothing every flight.
                </span>
              </div>
            )}
            {bands}
          </div>
        )}
        {view === 'stability' && report && <StabilityCard report={report} />}
        {view === 'states' && report && <StatesPanel report={report} />}
        {view === 'growth' && <GrowthPanel />}
        {view === 'whatif' && <WhatIfPanel />}
        {view === 'checks' && report && <ChecksPanel report={report} />}
        <div className="stack">
          {report && (
            <section className="block" aria-label="First flight">
              <h2>First flight</h2>
              <div>
                <Sentence of={report.first.said} />
              </div>
              <div className="caution mt8">
                Balance it on the bench in this very state before it is armed; people behind the launcher;
                follow the rules of your field.
              </div>
            </section>
          )}
          <Readings
            title="Balance"
            ids={[
              'mass',
              'plannedMass',
              'cgX',
              'cgSpread',
              'cgChord',
              'staticMargin',
              'yawStiffness',
              'trimElevator',
            ]}
          />
          <Readings title="Limits" ids={['neutralPoint', 'cgForward', 'cgAft']} />
          <section className="block">
            <h2>Margin wanted</h2>
            <div className="fields">
              <DocField label="Least" path={`${DESIGN}.flight.marginMin`} />
              <DocField label="Most" path={`${DESIGN}.flight.marginMax`} />
            </div>
          </section>
        </div>
      </div>
    </div>
  );
}
