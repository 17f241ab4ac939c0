'use client';
/** Combinations of battery, motor and propeller that no other beats. */
import type { PowerReport } from '@skiametra/core/views';
import type { Ghost } from '../useGhost';
import { Compared } from './Compared';
import { FanBeside } from './FanBeside';
import { ByScore } from './ByScore';
import { Front } from './Front';
import { MatchLimits } from './MatchLimits';
import { Reasons } from './Reasons';
import { useCompared } from './useCompared';
import { useMatch } from './useMatch';
import { useScores } from './useScores';
import { WhyOut } from './WhyOut';

interface Props {
  match: NonNullable<PowerReport['match']>;
  ghost: Ghost | null;
  setGhost: (g: Ghost | null) => void;
}

export function MatchTab({ match: base, ghost, setGhost }: Props) {
  const match = useMatch(base);
  const compared = useCompared(match.setTrouble);
  const { parts, found, task } = match,
    { scored, left, trouble, asks } = useScores(found, parts);
  return (
    <div className="station two cols-matchtab">
      <div className="stack">
        <MatchLimits match={match} />
        <FanBeside compared={compared} />
        {found && <Reasons found={found} />}
        <WhyOut parts={parts} task={task} />
      </div>
      <div className="stack">
        {compared.list.length > 0 && <Compared compared={compared} ghost={ghost} setGhost={setGhost} />}
        {found && asks && <ByScore {...{ scored, left, parts, compared }} />}
        {trouble && (
          <p role="alert" className="stoptext note">
            {trouble}
          </p>
        )}
        {found ? (
          asks ? (
            <details>
              <summary className="dim clickable">On the bench alone: thrust, time and lightness</summary>
              <Front found={found} parts={parts} compared={compared} />
            </details>
          ) : (
            <Front found={found} parts={parts} compared={compared} />
          )
        ) : (
          <p className="dim atmost620">
            {parts.motors.length} motors, {parts.propellers.length} propellers, {parts.packs.length} packs and{' '}
            {parts.escs.length} controllers, made up but of usual size, with your own parts among them. Each
            combination is flown on paper in this airframe, in the state chosen above.
          </p>
        )}
      </div>
    </div>
  );
}
