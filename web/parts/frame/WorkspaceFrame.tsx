'use client';
/** What every station stands in: top line, rail, strip, and the station's own part of the sheet. */
import { TermDialog } from '../glossary/TermDialog';
import { PrintHead } from './PrintHead';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import type { WorkspaceData } from '../../server/store';
import type { Person } from '../../server/people';
import { ConflictDialog } from '../ConflictDialog';
import { RefitOnOpen } from '../RefitOnOpen';
import { SaveTrouble } from '../SaveTrouble';
import { LedgerStrip } from '../strip/LedgerStrip';
import { WhyPanel } from '../WhyPanel';
import { WorkspaceProvider } from '../workspace/useWorkspace';
import { KeysHelp } from './KeysHelp';
import { Palette } from './Palette';
import { Rail } from './Rail';
import { STATIONS } from './stationList';
import { TopLine } from './TopLine';
import { useAddressKept } from './useAddress';

export function WorkspaceFrame({ children, ...workspace }: WorkspaceFrameProps) {
  return (
    <WorkspaceProvider {...workspace}>
      <a className="skip" href="#station">
        Skip to the station
      </a>
      <div className="frame">
        <TopLine />
        <Rail />
        <PrintHead />
        <LedgerStrip />
        <RefitOnOpen />
        <Station>{children}</Station>
      </div>
      <AddressKeeper />
      <WhyPanel />
      <ConflictDialog />
      <Palette />
      <KeysHelp />
      <TermDialog />
    </WorkspaceProvider>
  );
}
interface WorkspaceFrameProps {
  data: WorkspaceData;
  versionId: number;
  person: Person;
  people: Person[];
  children: ReactNode;
}

function AddressKeeper() {
  useAddressKept();
  return null;
}

function Station({ children }: { children: ReactNode }) {
  const path = usePathname();
  const station = STATIONS.find((s) => path.endsWith(`/${s.id}`));
  return (
    <main className="body" id="station" tabIndex={-1}>
      {station && <h1 className="vh">{station.name}</h1>}
      <SaveTrouble />
      {children}
    </main>
  );
}
