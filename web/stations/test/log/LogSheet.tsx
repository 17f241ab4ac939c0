'use client';
/** The log in view: its trace and its way linked, what is wrong with it, what was flown on the diagrams. */
import { missionInView, type LogEntry, type TestBody } from '@skiametra/core/design';
import type { Segment } from '@skiametra/core/log';
import { useState } from 'react';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Reduced } from '../../../workers/logJobs';
import { Faults } from './Faults';
import { FlownDiagrams } from './FlownDiagrams';
import { LegsFound } from './LegsFound';
import { LogMap } from './LogMap';
import { SiteLimits } from './SiteLimits';
import { Trace } from './Trace';
import type { Logs } from './useLogs';

interface SheetProps {
  logs: Logs;
  entry: LogEntry;
  reduced: Reduced;
  body: TestBody;
}

function useMissionOf() {
  return useWorkspace((w) => missionInView(w.content.document.brief, w.missionId));
}

export function LogSheet({ logs, entry, reduced, body }: SheetProps) {
  const [window, setWindow] = useState({ from: 0, to: Math.max(1, entry.length) }),
    [cursor, setCursor] = useState<number | null>(null),
    [picked, setChosen] = useState<Segment | null>(null),
    mission = useMissionOf(),
    setMission = useWorkspace((w) => w.setMission);
  // a stretch of an earlier reduction is none of this one
  const chosen = picked && reduced.segments.includes(picked) ? picked : null;
  const look = (from: number, to: number) => {
    const more = Math.max(5, 2 * (to - from));
    setWindow({ from: Math.max(0, from - more), to: Math.min(Math.max(1, entry.length), to + more) });
  };
  return (
    <div className="stack gap8">
      <div className="logsheet">
        <Trace {...{ logs, entry, reduced, window, setWindow, cursor, setCursor, chosen, setChosen }} />
        <div className="stack gap8">
          <LogMap reduced={reduced} window={window} stretch={chosen} cursor={cursor} onTime={setCursor} />
          <LegsFound
            mission={mission}
            found={reduced.legs}
            onMission={(id) => {
              setMission(id);
              void logs.change(entry, {});
            }}
          />
          <SiteLimits reduced={reduced} />
          <h3 className="flush">What is wrong with it</h3>
          <Faults
            faults={reduced.faults}
            kept={entry.kept}
            onKept={(kept) => void logs.change(entry, { kept })}
            onLook={look}
          />
        </div>
      </div>
      <FlownDiagrams body={body} reduced={reduced} />
    </div>
  );
}
