'use client';
/** What a printed page says of itself: project, version, station, state, day. Not shown on the screen. */
import { useMounted } from '@mantine/hooks';
import { usePathname } from 'next/navigation';
import { DateWords } from '../dates/DateWords';
import { dayOf } from '../dates/dateFormat';
import { useWorkspace } from '../workspace/useWorkspace';
import { STATIONS } from './stationList';

export function PrintHead() {
  const path = usePathname();
  const station = STATIONS.find((s) => path.endsWith(`/${s.id}`))?.name;
  const project = useWorkspace((w) => w.project.name);
  const version = useWorkspace((w) => w.versions.find((v) => v.id === w.versionId)?.name);
  const state = useWorkspace((w) => w.content.document.design.states.find((l) => l.id === w.loading)?.name);
  const person = useWorkspace((w) => w.person.name);
  const mounted = useMounted();
  return (
    <div className="printhead" aria-hidden="true">
      <b>
        {project}, {version}: {station}
      </b>
      <span>
        {state}; {person}, {mounted && <DateWords iso={dayOf(new Date())} />}
      </span>
    </div>
  );
}
