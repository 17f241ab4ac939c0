/** What the computation of laps and of energy reads from the missions. */
import type { Leg, Mission } from './missionSchema';
import type { Design } from './schema';

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

/** Whether its first leg asks no state: any may fly it. */
export const isFree = (m: Mission): boolean => (m.rounds.flatMap((r) => r.legs)[0]?.state ?? null) === null;

/** The mission in view: the chosen one, else the first that names its states, else the first; null where there is none. */
export const missionInView = ({ missions }: Brief, wanted: string | null): Mission | null =>
  missions.find((m) => m.id === wanted) ?? missions.find((m) => !isFree(m)) ?? missions[0] ?? null;

/** Missions that name their states, and those that any state may fly; without those that have no leg yet. */
export const boundMissions = (brief: Brief, { states }: Pick<Design, 'states'>): Mission[] =>
  brief.missions.filter((m) => hasLegs(m) && !isFree(m) && namesStates(m, states));
export const freeMissions = (brief: Brief, { states }: Pick<Design, 'states'>): Mission[] =>
  brief.missions.filter((m) => hasLegs(m) && isFree(m) && namesStates(m, states));

/** A mission of states that there are not cannot be flown. */
const namesStates = (m: Mission, states: Design['states']) =>
  m.rounds.every((r) => r.legs.every((l) => l.state === null || states.some((s) => s.id === l.state)));

const hasLegs = (m: Mission) => m.rounds.some((r) => r.legs.length > 0);

/** Ids of its legs in the order written. */
export const legIds = (m: Mission): string[] => m.rounds.flatMap((r) => r.legs.map((l) => l.id));

/** Way that missions of named states go straight on [m]. @param speed where a leg is told by its time and names none [m/s] */
export function straightWay(brief: Brief, speed: number): number {
  const legs = brief.missions
    .filter((m) => !isFree(m))
    .flatMap((m) => m.rounds.flatMap((r) => r.legs.map((l) => ({ ...l, times: r.times ?? 1 }))));
  return legs
    .filter((l) => l.kind === 'straight')
    .reduce((sum, l) => {
      const once = l.length === undefined ? (l.time ?? 0) * (l.speed ?? speed) : l.length * (l.count ?? 1);
      return sum + l.times * once;
    }, 0);
}
