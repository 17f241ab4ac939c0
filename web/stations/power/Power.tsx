'use client';
import { SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { Cautions } from '../../parts/Cautions';
import { Sentence } from '../../parts/Sentence';
import { useTab } from '../../parts/frame/useAddress';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { Drive } from './Drive';
import { PLACE_OF } from './DriveCard';
import { GlideTab } from './GlideTab';
import { HoverTab } from './HoverTab';
import { SunTab } from './SunTab';
import { Unpowered } from './Unpowered';
import { BenchTab } from './bench/BenchTab';
import { EnergyTab } from './energy/EnergyTab';
import { MatchTab } from './match/MatchTab';
import { RubberTab } from './rubber/RubberTab';
import { SupplyTab } from './supply/SupplyTab';
import { useDrive } from './useDrive';
import type { Ghost } from './useGhost';
import { useWinged } from '../../parts/rotors/useRotors';
import { usePower } from './usePower';

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
export type Tab = keyof typeof TABS;
/** What stands on a craft without a wing. */
const ROTORS: readonly string[] = ['hover', 'bench', 'supply'];
/** What stands without a forward motor, with rotors that lift and with none. */
const LIFTED: readonly string[] = ['rubber', 'hover', 'supply', 'energy', 'glide'],
  UNDRIVEN: readonly string[] = ['rubber', 'supply', 'glide'];

export function Power() {
  const { power } = useDrive();
  const ledger = useWorkspace((w) => w.ledger);
  const { report, trouble } = usePower();
  const [ghost, setGhost] = useState<Ghost | null>(null);
  const motor = !power.unpowered,
    winged = useWinged();
  const without = winged ? (power.lift ? LIFTED : UNDRIVEN) : ROTORS,
    open = (Object.keys(TABS) as Tab[]).filter((t) => motor || without.includes(t));
  const first: Tab = motor ? 'drive' : power.rubber ? 'rubber' : 'hover';
  const [tab, setTab] = useTab<Tab>([first, ...open.filter((t) => t !== first)]);
  if (winged && !motor && !power.rubber && !power.lift) return <Unpowered report={report} />;
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
      ) : tab === 'choose' && ready.match ? (
        <MatchTab match={ready.match} ghost={ghost} setGhost={setGhost} />
      ) : tab === 'energy' ? (
        <EnergyTab report={ready} />
      ) : tab === 'supply' ? (
        <SupplyTab report={ready} />
      ) : tab === 'hover' ? (
        <HoverTab report={ready} />
      ) : tab === 'rubber' ? (
        <RubberTab report={ready} />
      ) : tab === 'glide' && ready.glide ? (
        <GlideTab glide={ready.glide} electric={ready.kind === 'electric'} />
      ) : (
        <SunTab report={ready} />
      )}
    </div>
  );
}
