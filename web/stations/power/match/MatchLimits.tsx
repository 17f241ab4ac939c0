'use client';
/** What a combination must do to stay in, and the walk through all of them. */
import { Button } from '@mantine/core';
import type { MatchTask } from '@skiametra/core/power';
import { formatQuantity, type KindName } from '@skiametra/core/units';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Match } from './useMatch';

interface Limit {
  key: keyof MatchTask['limits'];
  label: string;
  kind: KindName;
  /** may be lifted */ lifts?: boolean;
}
const LIMITS: readonly Limit[] = [
  { key: 'time', label: 'Time aloft, at least', kind: 'time' },
  { key: 'climb', label: 'Climb, at least', kind: 'climbRate' },
  { key: 'diameter', label: 'Propeller, at most', kind: 'length', lifts: true },
  { key: 'current', label: 'Current, at most', kind: 'current', lifts: true },
  { key: 'mass', label: 'All-up, at most', kind: 'allUpMass', lifts: true },
  { key: 'margin', label: 'Margin kept', kind: 'percent' },
];

export function MatchLimits({ match }: { match: Match }) {
  const units = useWorkspace((w) => w.units);
  const { task, set } = match;
  const take = (fits: boolean, change: Parameters<typeof set>[0], why: string) => {
    if (!fits) return why;
    set(change);
    return null;
  };
  return (
    <section className="block">
      <h2>What it must do</h2>
      <div className="fields">
        <QuantityField
          label="Task throttle"
          kind="percent"
          value={task.throttle}
          onCommit={(si) => take(si >= 0.1 && si <= 1, { throttle: si }, 'Throttle goes from 10 to 100 %.')}
        />
        <QuantityField
          label="Thrust compared at"
          kind="speed"
          value={task.speed}
          onCommit={(si) => take(si > 0 && si < 80, { speed: si }, 'A speed above zero, below 80 m/s.')}
        />
        {LIMITS.map(({ key, label, kind, lifts }) => (
          <QuantityField
            key={key}
            label={label}
            kind={kind}
            value={task.limits[key]}
            onCommit={(si) => take(true, { [key]: si }, '')}
            onClear={lifts ? () => take(true, { [key]: null }, '') : undefined}
          />
        ))}
      </div>
      <p className="dim small around8">
        From the brief and the ground clearance; the strip is{' '}
        {formatQuantity(task.strip ?? 0, 'distance', units)}. Emptying a field lifts that limit.
      </p>
      <Walk match={match} />
      {match.trouble && (
        <p className="stoptext" role="alert">
          {match.trouble}
        </p>
      )}
    </section>
  );
}

function Walk({ match: { progress, total, search, stop } }: { match: Match }) {
  if (!progress)
    return <Button onClick={() => void search()}>Fly all {total.toLocaleString('en')} combinations</Button>;
  return (
    <div className="line gap8 mid">
      <progress value={progress.done} max={progress.total} aria-label="Combinations flown" />
      <span className="num small">
        {progress.done} of {progress.total}
      </span>
      <Button size="compact-xs" variant="default" onClick={stop}>
        Stop
      </Button>
    </div>
  );
}
