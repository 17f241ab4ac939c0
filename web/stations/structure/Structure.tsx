'use client';
import { SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { Cautions } from '../../parts/Cautions';
import { StationFindings } from '../../parts/Findings';
import { useTab } from '../../parts/frame/useAddress';
import { Readings } from '../../parts/marks/Reading';
import { useWinged } from '../../parts/rotors/useRotors';
import { StatePicker } from '../../parts/StatePicker';
import { ArmsTab } from './arms/ArmsTab';
import { CompareTab } from './compare/CompareTab';
import { useOthers } from './compare/useOthers';
import { DiagramTab } from './diagram/DiagramTab';
import { MaterialsTab } from './members/MaterialsTab';
import { MembersTab } from './members/MembersTab';
import { LoadTab } from './load/LoadTab';
import { MustStand } from './MustStand';
import { SoldTab } from './sold/SoldTab';
import { useStructure } from './useStructure';
import { WingTab } from './wing/WingTab';

const TABS = {
  wing: 'What breaks',
  diagram: 'g over speed',
  members: 'Members',
  arms: 'Arms and legs',
  compare: 'Compare',
  sold: 'What is sold',
  load: 'Load test',
  materials: 'Materials',
} as const;
type Tab = keyof typeof TABS;
const ALL: [Tab, ...Tab[]] = ['wing', 'diagram', 'members', 'arms', 'compare', 'sold', 'load', 'materials'];
const WITHOUT_WING: [Tab, ...Tab[]] = ['arms', 'materials'];

export function Structure() {
  const { report, arms, trouble } = useStructure(),
    winged = useWinged(),
    // without a wing nothing but its arms and legs bears
    open = winged ? ALL : WITHOUT_WING,
    [tab, setTab] = useTab<Tab>(open);
  const [ghost, setGhost] = useState<string | null>(null),
    others = useOthers();
  return (
    <div className="stack">
      <Cautions at="structure" />
      <div className="line gap12 mid wraps">
        <SegmentedControl
          value={tab}
          onChange={setTab}
          data={open.map((value) => ({ value, label: TABS[value] }))}
          aria-label="Part of the Structure station"
        />
        <StatePicker />
      </div>
      {trouble && (
        <p className="stoptext" role="alert">
          {trouble}
        </p>
      )}
      <div className="station cols-structure">
        <div>
          {tab === 'arms' && <ArmsTab verdicts={arms} />}
          {tab === 'compare' && <CompareTab report={report} ghost={ghost} choose={setGhost} />}
          {tab === 'sold' && <SoldTab />}
          {tab === 'load' && <LoadTab />}
          {tab === 'materials' && <MaterialsTab />}
          {tab === 'members' && <MembersTab report={report} />}
          {tab === 'wing' &&
            (report ? <WingTab report={report} ghost={others.get(ghost ?? '') ?? null} /> : <Nothing />)}
          {tab === 'diagram' && (report ? <DiagramTab report={report} /> : <Nothing />)}
        </div>
        <div className="stack">
          {!winged && <StationFindings of="structure" />}
          <MustStand />
          <Readings
            title="In this state"
            ids={[
              'failLoadFactor',
              'failLoadFactorDown',
              'allowedLoadFactor',
              'safePullSpeed',
              'gustLoadFactor',
              'tipDeflection',
              'bendDihedral',
              'armFactor',
            ]}
          />
          <Readings title="At the root" state="all" ids={['sparMoment', 'sparStiffness']} />
        </div>
      </div>
    </div>
  );
}

function Nothing() {
  return (
    <div className="stack">
      <StationFindings of="structure" />
      <p className="dim">
        Nothing bears this wing yet, as far as is drawn: add its spar under Members, and it is told at how
        many g it breaks, where and how.
      </p>
    </div>
  );
}
