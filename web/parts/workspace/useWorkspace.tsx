'use client';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { useSearchParams } from 'next/navigation';
import { useStore } from 'zustand';
import { combine, isOwnDrive, isOwnWing, measuredKey, measuredKeys } from '@skiametra/core/trial';
import { entryNamed } from '@skiametra/core/assess';
import type { Measurement } from '@skiametra/core/design';
import type { WorkspaceData } from '../../server/store';
import type { Person } from '../../server/people';
import { placeFrom } from '../frame/address';
import { createWorkspace, type Workspace, type WorkspaceStore } from './store';

const WorkspaceContext = createContext<WorkspaceStore | null>(null);

export function WorkspaceProvider({
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
  const search = useSearchParams().toString();
  const [store] = useState(() =>
    createWorkspace(data, versionId, person, people, undefined, placeFrom(search)),
  );
  useEffect(() => store.getState().begin(), [store]);
  return <WorkspaceContext.Provider value={store}>{children}</WorkspaceContext.Provider>;
}

export function useWorkspaceStore(): WorkspaceStore {
  const store = useContext(WorkspaceContext);
  if (!store) throw new Error('a station was drawn outside its workspace');
  return store;
}

export function useWorkspace<T>(select: (w: Workspace) => T): T {
  return useStore(useWorkspaceStore(), select);
}

/** Turns at launch that still count as the same flight, as a share. */
const SAME_TURNS = 0.04;

/**
 * Tests of this version that the present prediction can be held against: a flight on other turns or another motor is
 * another flight, a bench run of another propeller another drive.
 */
export function comparableTests(
  w: Pick<Workspace, 'content' | 'versionId' | 'ledger'>,
): Workspace['content']['tests'] {
  const turns = w.ledger ? entryNamed(w.ledger, 'launchTurns', 'all')?.value : undefined;
  return w.content.tests.filter((t) => {
    const r = t.body.record.rubber,
      b = t.body.bench,
      l = t.body.load;
    return (
      t.versionId === w.versionId &&
      (!b || isOwnDrive(w.content.document.design, b)) &&
      (!l || isOwnWing(w.content.document.design, l)) &&
      (!r ||
        (turns !== undefined &&
          r.launchTurns !== null &&
          r.motorLength === null &&
          r.pitch === null &&
          Math.abs(r.launchTurns / turns - 1) < SAME_TURNS))
    );
  });
}

/** Measurements of a quantity in a state on this version, combined; null when none. */
export function measuredOf(
  w: Pick<Workspace, 'content' | 'versionId' | 'ledger'>,
  id: string,
  state: string,
): { value: number; sigma: number; count: number } | null {
  const keys = measuredKeys({ quantity: id, state });
  const list: Measurement[] = comparableTests(w).flatMap((t) =>
    t.body.measurements.filter(
      // a bound is no value: it says only what is less
      (m) => keys.includes(measuredKey(m)) && !m.setAside && !m.bound,
    ),
  );
  return list.length ? combine(list) : null;
}
