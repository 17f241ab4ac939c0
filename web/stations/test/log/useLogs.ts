'use client';
/** The desk at which logs of one test are worked on, and what it shows. */
import { useEffect, useState } from 'react';
import { useWorkspaceStore } from '../../../parts/workspace/useWorkspace';
import type { SetBody } from '../card';
import { LogDesk, NOTHING } from './logDesk';

export function useLogs(id: string, set: SetBody) {
  const store = useWorkspaceStore(),
    [state, setState] = useState(NOTHING),
    [desk] = useState(() => new LogDesk(id, store, setState));
  useEffect(() => () => desk.close(), [desk]);
  return { state, desk: desk.writing(set) };
}

export type Logs = LogDesk;
