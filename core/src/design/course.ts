/** What the computation of laps and of energy reads from the missions. */
import type { Leg, Mission } from './missionSchema';

/** A mission of laps: straights and half turns, as often as fits a window. */
export interface LapCourse {
  /** one straight; the mean where they differ [m] */ readonly straight: number;
  readonly straightsPerLap: number;
  /** half turns of a lap */ readonly turnsPerLap: number;
  /** [s] */ readonly window: number;
  /** laps that are timed */ readonly timedLaps: number;
}

type Brief = { missions: readonly Mission[] };

/** The mission of laps and its round; the first where there are several. */
export function lapMission(
  brief: Brief,
): { mission: Mission; round: Mission['rounds'][number]; path: string } | null {
  for (const mission of brief.missions)
    for (const round of mission.rounds)
      if (round.times === null)
        return { mission, round, path: `brief.missions.${mission.id}.rounds.${round.id}` };
  return null;
}

/** null: no mission of laps, or one without a clock. */
export function courseOf(brief: Brief): LapCourse | null {
  const found = lapMission(brief);
  if (!found || found.mission.window === null) return null;
  const { mission, round } = found;
  const sum = (kind: Leg['kind'], of: (l: Leg) => number) =>
    round.legs.reduce((s, l) => (l.kind === kind ? s + of(l) : s), 0);
  const straights = sum('straight', (l) => l.count ?? 1),
    far = sum('straight', (l) => (l.length ?? 0) * (l.count ?? 1));
  return {
    straight: straights > 0 ? far / straights : 0,
    straightsPerLap: straights,
    turnsPerLap: sum('turn', (l) => l.count ?? 1),
    window: mission.window!,
    timedLaps: round.timed ?? 1,
  };
}

/** The mission whose legs are planned by time: the first of them whose rounds all have an end. */
export function timedMission(brief: Brief): Mission | null {
  return brief.missions.find((m) => m.rounds.every((r) => r.times !== null)) ?? null;
}

/** A leg with the time it takes, in a state. */
export type TimedLeg = Leg & { time: number; state: string };

/** Its legs in the order flown, rounds repeated; without those that have no time or no state yet. */
export function timedLegs(brief: Brief): TimedLeg[] {
  const rounds = timedMission(brief)?.rounds ?? [];
  return rounds
    .flatMap((r) => Array.from({ length: r.times! }, () => r.legs).flat())
    .filter((l): l is TimedLeg => l.time !== undefined && l.state !== null);
}
