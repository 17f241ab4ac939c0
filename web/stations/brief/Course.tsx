'use client';
/** The course that is flown. */
import { BRIEF } from '../../parts/paths';
import { Button } from '@mantine/core';
import { lapMission, type Mission } from '@skiametra/core/design';
import { DocField, IntField } from '../../parts/fields/DocField';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

/** The mission of laps; legs of other missions stand under Power, Energy. */
export function Course() {
  const missions = useWorkspace((w) => w.content.document.brief.missions);
  const edit = useWorkspace((w) => w.edit);
  const found = lapMission({ missions });
  if (!found)
    return (
      <Button
        variant="light"
        onClick={() => edit({ type: 'insert', path: `${BRIEF}.missions`, value: USUAL_LAPS, at: 0 })}
      >
        Fly laps
      </Button>
    );
  const lap = `document.${found.path}`,
    leg = (kind: string) => `${lap}.legs.${found.round.legs.find((l) => l.kind === kind)?.id}`;
  return (
    <div className="fields">
      <DocField label="Straight" path={`${leg('straight')}.length`} />
      <IntField label="Straights per lap" path={`${leg('straight')}.count`} />
      <IntField label="Half turns per lap" path={`${leg('turn')}.count`} />
      <DocField label="Time window" path={`${BRIEF}.missions.${found.mission.id}.window`} />
      <IntField label="Timed laps" path={`${lap}.timed`} />
    </div>
  );
}
const USUAL_LAPS: Mission = {
  id: 'laps',
  name: 'Laps',
  window: 300,
  rounds: [
    {
      id: 'lap',
      name: 'Lap',
      times: null,
      timed: 1,
      legs: [
        { id: 'straight', name: 'Straights', kind: 'straight', state: null, length: 100, count: 2 },
        { id: 'turn', name: 'Half turns', kind: 'turn', state: null, count: 2 },
      ],
    },
  ],
};
