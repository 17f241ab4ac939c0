/** Missions as the demos describe them. */
import type { Member, Mission } from '../design';

/** Straights and half turns, as often as fits the window [m, s]. */
export function lapsOf(course: {
  straight: number;
  straightsPerLap: number;
  turnsPerLap: number;
  window: number;
  timedLaps: number;
}): Mission {
  const leg = { state: null };
  return {
    id: 'laps',
    name: 'Laps',
    window: course.window,
    rounds: [
      {
        id: 'lap',
        name: 'Lap',
        times: null,
        timed: course.timedLaps,
        legs: [
          {
            id: 'straight',
            name: 'Straights',
            kind: 'straight',
            ...leg,
            length: course.straight,
            count: course.straightsPerLap,
          },
          { id: 'turn', name: 'Half turns', kind: 'turn', ...leg, count: course.turnsPerLap },
        ],
      },
    ],
  };
}

/** The one member of a plain wing. */
export function wingSpar(shape: Member['shape'], chordPlace = 0.28): Member[] {
  return [{ id: 'spar', name: 'Wing spar', surface: 'wing', chordPlace, shape }];
}
