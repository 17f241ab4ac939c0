/**
 * What is flown, leg by leg. A mission whose first leg names its state is flown once; one that asks no state is flown by
 * each, where a formula asks for it.
 */
import {
  boundMissions,
  freeMissions,
  missionsAsked,
  siteSpread,
  USUAL_THROW,
  windGrowth,
  type Mission,
  type State,
} from '../design';
import { towedLine } from '../drag';
import { flyMission, type Craft, type Crew, type Flight, type Held } from '../mission';
import { air } from './air';
import { craft, stores } from './craft';
import type { Said } from '../words';
import { numbersOfFlight, saidOfNumber, type FlownNumber } from './missionNumbers';
import { ABSENT, step, type Source } from './step';

interface Fleet {
  of(state: string): Craft;
}

/** Every state that may be flown, made when it is asked for. */
const fleet = step({
  id: 'fleet',
  scope: 'all',
  needs: { craft },
  slice: () => ({}),
  run: ({ craft }): Fleet => ({ of: (state) => craft.of(state) }),
});

/** What all missions are flown in and with. */
export const missionField = step({
  id: 'field of missions',
  scope: 'all',
  needs: { air, stores, fleet },
  causes: ['wind'],
  slice: ({ brief: { site }, design }: Source) => ({
    wind: site.wind,
    from: site.windFrom ?? null,
    spread: siteSpread(site).wind,
    growth: windGrowth(site),
    limits: site.limits ?? {},
    winch: design.winch ?? null,
    towed: design.states.map((s) => ({ id: s.id, towed: s.towed })),
    reserve: design.flight.reserve,
    hand: design.launch?.throwHeight ?? USUAL_THROW.height,
  }),
  run: ({ air, stores, fleet }, s, causes): Crew => ({
    craft: (state) => fleet.of(state),
    stores,
    wind: { speed: s.growth * Math.max(0, s.wind + causes.wind * s.spread), from: s.from },
    winch: s.winch,
    pull(state, speed) {
      const towed = s.towed.find((t) => t.id === state)?.towed;
      return towed ? towedLine(towed, speed, air.density).tension : null;
    },
    reserve: s.reserve,
    air: air.temperature,
    hand: s.hand,
    limits: { height: s.limits.height ?? null, mass: s.limits.mass ?? null },
  }),
});

/** Flown when they are looked at. */
export interface Flights {
  /** those whose numbers are told */ readonly told: readonly Mission[];
  /** null where this is not the place of that mission */ of(mission: string): Flight | null;
}

interface AtRest extends Flights {
  readonly crew: Crew;
}

/** @param rest the same at rest: how often rounds are flown, and how far, does not move with a cause */
function flown(
  missions: readonly Mission[],
  told: readonly Mission[],
  crew: Crew,
  state: string,
  rest: AtRest | null,
): AtRest {
  // where nothing is moved it is flown already
  if (rest?.crew === crew) return { told, crew, of: (id) => rest.of(id) };
  const known = new Map<string, Flight>();
  const heldOf = (id: string): Held | null => {
    const f = rest?.of(id);
    return f ? { passes: f.counted ? Math.floor(f.rounds) : null, reached: f.reached } : null;
  };
  return {
    told,
    crew,
    of(id) {
      const mission = missions.find((m) => m.id === id);
      if (!mission) return null;
      if (!known.has(id)) known.set(id, flyMission(mission, crew, state, heldOf(id)));
      return known.get(id)!;
    },
  };
}

const bound = ({ brief, design }: Source) => ({ missions: boundMissions(brief, design) });
const free = ({ brief, design }: Source, state: State) => ({
  missions: freeMissions(brief, design),
  asked: missionsAsked(brief),
  state: state.id,
});

const boundAtRest = step({
  id: 'missions of named states, at rest',
  scope: 'all',
  needs: { field: missionField },
  still: true,
  slice: bound,
  run: ({ field }, { missions }): AtRest => flown(missions, [], field, '', null),
});

export const boundFlights = step({
  id: 'missions of named states',
  scope: 'all',
  needs: { field: missionField, boundAtRest },
  slice: bound,
  run: ({ field, boundAtRest }, { missions }): Flights => flown(missions, missions, field, '', boundAtRest),
});

const freeAtRest = step({
  id: 'missions of any state, at rest',
  scope: 'state',
  needs: { field: missionField },
  still: true,
  slice: free,
  run: ({ field }, { missions, state }): AtRest => flown(missions, [], field, state, null),
});

export const freeFlights = step({
  id: 'missions of any state',
  scope: 'state',
  needs: { field: missionField, freeAtRest },
  slice: free,
  run: ({ field, freeAtRest }, { missions, asked, state }): Flights => {
    const told = missions.filter((m) => asked.includes(m.id));
    return flown(missions, told, field, state, freeAtRest);
  },
});

/** What numbers of missions are read off. */
export const FLIGHT_STEPS = [boundFlights, freeFlights] as const;

/** Numbers of the missions that are told, always in the same order; none where nothing flies. */
export function flownNumbers(result: unknown): FlownNumber[] {
  if (result === ABSENT) return [];
  const flights = result as Flights;
  return flights.told.flatMap((m) => {
    const flight = flights.of(m.id);
    return flight ? numbersOfFlight(m, flight) : [];
  });
}

/** What must be said with one of those numbers. */
export function saidOfFlown(
  result: unknown,
  c: { readonly id: string; readonly part?: string; readonly leg?: string },
): Said[] {
  if (result === ABSENT) return [];
  const flights = result as Flights,
    mission = flights.told.find((m) => m.id === c.part),
    flight = mission && flights.of(mission.id);
  return flight ? saidOfNumber(mission, flight, c) : [];
}

export const MISSION_STEPS = [
  craft,
  stores,
  fleet,
  missionField,
  boundAtRest,
  boundFlights,
  freeAtRest,
  freeFlights,
];
