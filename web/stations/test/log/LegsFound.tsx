'use client';
/** The legs of the mission that the stretches of a flight are, and those that nothing in it looks like. */
import type { Mission } from '@skiametra/core/design';
import type { Segment } from '@skiametra/core/log';
import { legsSeen } from './segmentKinds';

interface FoundProps {
  mission: Mission | undefined;
  segments: readonly Segment[];
}

export function LegsFound({ mission, segments }: FoundProps) {
  if (!mission) return null;
  const { seen, missing } = legsSeen(segments, mission);
  if (seen.length === 0)
    return <p className="dim tiny flush">Nothing in this log looks like a leg of {mission.name}.</p>;
  return (
    <p className="tiny flush">
      Legs of {mission.name} in it:{' '}
      {seen.map((s, i) => (
        <span key={s.name}>
          {i > 0 && ', '}
          <b>{s.name}</b>
          {s.times > 1 && ` × ${s.times}`}
        </span>
      ))}
      {missing.length > 0 && <span className="dim">; not told in it: {missing.join(', ')}</span>}.
    </p>
  );
}
