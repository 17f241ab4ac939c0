'use client';
/** The legs of the mission that were found in a flight, and those that nothing in it is. */
import { NativeSelect } from '@mantine/core';
import type { Mission } from '@skiametra/core/design';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Reduced } from '../../../workers/logJobs';

interface FoundProps {
  mission: Mission | null;
  found: Reduced['legs'];
  onMission: (id: string) => void;
}

export function LegsFound({ mission, found, onMission }: FoundProps) {
  const missions = useWorkspace((w) => w.content.document.brief.missions);
  if (!mission) return null;
  return (
    <div className="stack gap4">
      {missions.length > 1 && (
        <NativeSelect
          size="xs"
          label="Legs looked for"
          value={mission.id}
          data={missions.map((m) => ({ value: m.id, label: m.name }))}
          onChange={(e) => onMission(e.currentTarget.value)}
        />
      )}
      <Found mission={mission} found={found} />
    </div>
  );
}

function Found({ mission, found }: { mission: Mission; found: Reduced['legs'] }) {
  const legs = mission.rounds.flatMap((r) => r.legs),
    timesOf = (id: string) => found.filter((f) => f.leg === id).length,
    seen = legs.filter((l) => timesOf(l.id) > 0),
    missing = legs.filter((l) => timesOf(l.id) === 0);
  if (seen.length === 0)
    return <p className="dim tiny flush">Nothing in this log looks like a leg of {mission.name}.</p>;
  return (
    <p className="tiny flush">
      May be legs of {mission.name}:{' '}
      {seen.map((l, i) => (
        <span key={l.id}>
          {i > 0 && ', '}
          <b>{l.name}</b>
          {timesOf(l.id) > 1 && ` × ${timesOf(l.id)}`}
        </span>
      ))}
      {missing.length > 0 && (
        <span className="dim">; not told in it: {missing.map((l) => l.name).join(', ')}</span>
      )}
      .
    </p>
  );
}
