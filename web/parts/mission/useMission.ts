'use client';
/** The mission that is looked at, and what it comes to; the first that names its states where none was chosen. */
import { missionInView, type Mission } from '@skiametra/core/design';
import type { MissionReport } from '@skiametra/core/views';
import { reportMission } from '../../workers/coreClient';
import { useLiveReport } from '../useLiveReport';
import { useWorkspace } from '../workspace/useWorkspace';

export function useMission(): {
  mission: Mission | null;
  report: MissionReport | null;
  trouble: string | null;
} {
  const missions = useWorkspace((w) => w.content.document.brief.missions),
    wanted = useWorkspace((w) => w.missionId);
  const mission = missionInView({ missions }, wanted);
  const { report, trouble } = useLiveReport(`mission ${mission?.id ?? ''}`, (at) =>
    mission ? reportMission({ ...at, mission: mission.id }) : Promise.resolve(null),
  );
  // that of another mission is shown no longer
  const own = report && report.id === mission?.id ? report : null;
  return { mission, report: own, trouble };
}
