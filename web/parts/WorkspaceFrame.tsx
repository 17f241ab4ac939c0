'use client';
import type { ReactNode } from 'react';
import type { WorkspaceData } from '../server/store';
import type { Person } from '../server/people';
import { ConflictDialog } from './ConflictDialog';
import { RefitOnOpen } from './RefitOnOpen';
import { LedgerStrip } from './LedgerStrip';
import { Palette } from './Palette';
import { Rail } from './Rail';
import { SaveTrouble } from './SaveTrouble';
import { TopLine } from './TopLine';
import { WhyPanel } from './WhyPanel';
import { WorkspaceProvider } from './workspace/useWorkspace';

export function WorkspaceFrame({
  data,
  versionId,
  person,
  people,
  children,
}: {
  data: WorkspaceData;
  versionId: number;
  person: Person;
  people: Person[];
  children: ReactNode;
}) {
  return (
    <WorkspaceProvider data={data} versionId={versionId} person={person} people={people}>
      <div className="frame">
        <TopLine />
        <Rail />
        <LedgerStrip />
        <RefitOnOpen />
        <main className="body">
          <SaveTrouble />
          {children}
        </main>
      </div>
      <WhyPanel />
      <ConflictDialog />
      <Palette />
    </WorkspaceProvider>
  );
}
