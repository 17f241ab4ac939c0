/** What does not work out in a mission, and figures of a winch that cannot all be. */
import type { Brief, Design } from '../design';
import { lineSpeed, slipOf } from '../mission';
import { ALL } from '../steps';
import { say } from '../words';
import type { AddFinding, Ledger } from './ledger';

/** Lines of model winches run between these [m/s]. Common practice, no source. */
const USUAL_LINE = [0.1, 4] as const;

/** A mission that every state may fly is told of by the states’ own numbers. */
export function missionFindings(brief: Brief, ledger: Ledger, add: AddFinding): void {
  for (const e of ledger.entries) {
    if (e.part === undefined || e.state !== ALL) continue;
    const mission = brief.missions.find((m) => m.id === e.part)?.name ?? e.part;
    if (e.id === 'missionTime' || e.id === 'legTime')
      for (const said of e.warnings) add('flight', 'look', ALL, say('of-mission', { mission, said }));
  }
}

export function winchFindings({ winch }: Pick<Design, 'winch'>, add: AddFinding): void {
  if (!winch) return;
  const speed = lineSpeed(winch),
    slip = winch.stated === undefined ? null : slipOf(winch.stated, speed, winch.gear);
  if (slip) add('flight', 'ask', ALL, say('winch-slip', { stated: winch.stated!, computed: speed, slip }));
  if (speed < USUAL_LINE[0] || speed > USUAL_LINE[1])
    add('flight', 'ask', ALL, say('line-unusual', { speed }));
}
