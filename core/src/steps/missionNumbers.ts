/** Numbers of missions and of their legs: what they are, and how they are read off a flight. */
import { legIds, type Mission } from '../design';
import { endingSaid, saidOfLeg, type Flight, type FlownLeg } from '../mission';
import type { KindName } from '../units';
import type { Said } from '../words';
import type { QuantityDef } from './quantity';

const FLOWN_SO =
  'Leg by leg at steady speed: drag, drive and packs of the state that flies it; charge counted along the way, currents by what is left';

interface Spec<R> {
  readonly name: string;
  readonly kind: KindName;
  readonly formula: string;
  readonly better?: 'more' | 'less';
  /** as formulas of tasks write it behind the name */ readonly after: string;
  /** SI; undefined where there is none */ readonly read: (r: R) => number | undefined;
}

const finite = (x: number) => (Number.isFinite(x) ? x : undefined);

export const OF_MISSION = {
  missionTime: {
    name: 'Time of the mission',
    kind: 'duration',
    formula: 'sum of its legs',
    after: 'time',
    read: (f) => finite(f.time),
  },
  missionDistance: {
    name: 'Way of the mission',
    kind: 'distance',
    formula: 'sum of its legs, over the ground',
    after: 'distance',
    read: (f) => finite(f.distance),
  },
  missionEnergy: {
    name: 'Energy of the mission',
    kind: 'energy',
    formula: 'sum of its legs, from the packs',
    better: 'less',
    after: 'energy',
    read: (f) => f.energy,
  },
  missionLeft: {
    name: 'Charge left after the mission',
    kind: 'percent',
    formula: '1 − charge used / (usable charge · (1 − reserve)), of the pack nearest to its end',
    better: 'more',
    after: 'left',
    read: (f) => (f.charge > 0 ? 1 - f.share : undefined),
  },
  missionRounds: {
    name: 'Rounds that fit',
    kind: 'ratio',
    formula: 'whole rounds, and the part of the next that clock and packs allow',
    better: 'more',
    after: 'rounds',
    read: (f) => (f.counted ? f.rounds : undefined),
  },
  missionGiven: {
    name: 'Units delivered',
    kind: 'count',
    formula: 'handed over or dropped',
    better: 'more',
    after: 'deliveries',
    read: (f) => f.given,
  },
  missionPeak: {
    name: 'Greatest height of the mission',
    kind: 'distance',
    formula: 'highest end of a leg',
    after: 'peak',
    read: (f) => f.peak,
  },
  missionMargin: {
    name: 'Tightest margin of the mission',
    kind: 'ratio',
    formula: 'what there is over what is needed, least over all legs',
    better: 'more',
    after: 'margin',
    read: (f) => f.margin?.ratio,
  },
  missionUnproven: {
    name: 'Rests on legs never flown',
    kind: 'percent',
    formula: 'energy of legs not marked as flown / {missionEnergy}',
    better: 'less',
    after: 'unproven',
    read: (f) => (f.energy > 0 ? f.unproven : undefined),
  },
} as const satisfies Record<string, Spec<Flight>>;

/** The first time it is flown; its margin of all times. */
type Passes = readonly FlownLeg[];
const first = (of: (l: FlownLeg) => number | undefined) => (p: Passes) => {
  const value = p[0] && of(p[0]);
  return value === undefined ? undefined : finite(value);
};

export const OF_LEG = {
  legTime: {
    name: 'Time of the leg',
    kind: 'time',
    formula: 'way / speed over the ground, turn · V / (g · tan bank), height / climb, or as typed',
    after: 'time',
    read: first((l) => l.time),
  },
  legDistance: {
    name: 'Way of the leg',
    kind: 'distance',
    formula: 'speed over the ground · time',
    after: 'distance',
    read: first((l) => l.distance),
  },
  legEnergy: {
    name: 'Energy of the leg',
    kind: 'energy',
    formula: 'pack power · time',
    better: 'less',
    after: 'energy',
    read: first((l) => l.energy),
  },
  legCharge: {
    name: 'Charge of the leg',
    kind: 'charge',
    formula: 'current · time',
    better: 'less',
    after: 'charge',
    read: first((l) => l.charge),
  },
  legVolts: {
    name: 'Volts under load',
    kind: 'voltage',
    formula: 'open circuit at its charge − current · resistance, least of the leg',
    better: 'more',
    after: 'volts',
    read: first((l) => (l.volts > 0 ? l.volts : undefined)),
  },
  legHeight: {
    name: 'Height at its end',
    kind: 'distance',
    formula: 'height before + climb · time',
    after: 'height',
    read: first((l) => l.height),
  },
  legMass: {
    name: 'Mass before the leg',
    kind: 'mass',
    formula: 'state that flies it, less what was let go',
    after: 'mass',
    read: first((l) => l.before.mass),
  },
  legCg: {
    name: 'CG after the leg',
    kind: 'length',
    formula: 'moments of what is still aboard',
    after: 'cgX',
    read: first((l) => l.after.cgX),
  },
  legMargin: {
    name: 'Tightest margin of the leg',
    kind: 'ratio',
    formula: 'what there is over what is needed, least of all times that it is flown',
    better: 'more',
    after: 'margin',
    read: (p) => {
      let least = Infinity;
      for (const l of p) if (l.margin && l.margin.ratio < least) least = l.margin.ratio;
      return finite(least);
    },
  },
} as const satisfies Record<string, Spec<Passes>>;

export type MissionId = keyof typeof OF_MISSION;
export type LegId = keyof typeof OF_LEG;
export const MISSION_IDS = Object.keys(OF_MISSION) as MissionId[];
export const LEG_IDS = Object.keys(OF_LEG) as LegId[];

function defs<K extends string>(
  specs: Readonly<Record<K, Omit<Spec<never>, 'read'>>>,
  of: 'mission' | 'leg',
): Readonly<Record<K, QuantityDef>> {
  const rows = (Object.entries(specs) as [K, Omit<Spec<never>, 'read'>][]).map(
    ([id, { name, kind, formula, better }]): [K, QuantityDef] => [
      id,
      {
        id,
        name,
        kind,
        scope: 'all',
        station: 'flight',
        formula,
        method: FLOWN_SO,
        better: better ?? 'none',
        of,
      },
    ],
  );
  return Object.fromEntries(rows) as Record<K, QuantityDef>;
}

export const FLOWN = { ...defs(OF_MISSION, 'mission'), ...defs(OF_LEG, 'leg') };
export type FlownId = keyof typeof FLOWN;

/** One number of a flight, where it stands. */
export interface FlownNumber {
  readonly id: FlownId;
  readonly part: string;
  readonly leg?: string;
  readonly value: number | undefined;
}

/** The times that each leg is flown before the mission ends. */
function passesOf(mission: Mission, f: Flight): ReadonlyMap<string, FlownLeg[]> {
  const passes = new Map<string, FlownLeg[]>();
  for (const leg of legIds(mission)) passes.set(leg, []);
  for (let i = 0; i < f.reached; i++) passes.get(f.legs[i].leg.id)?.push(f.legs[i]);
  return passes;
}

/** All of one mission, always in the same order and of the same length. */
export function numbersOfFlight(mission: Mission, f: Flight): FlownNumber[] {
  const part = mission.id,
    out: FlownNumber[] = [];
  for (const id of MISSION_IDS) out.push({ id, part, value: OF_MISSION[id].read(f) });
  for (const [leg, passes] of passesOf(mission, f))
    for (const id of LEG_IDS) out.push({ id, part, leg, value: OF_LEG[id].read(passes) });
  return out;
}

/** What must be said with one of them: that the mission ends in a leg, that something does not fit its leg. */
export function saidOfNumber(
  mission: Mission,
  f: Flight,
  { id, leg }: { readonly id: string; readonly leg?: string },
): Said[] {
  if (id === 'missionTime') return f.ending.leg === null ? [] : [endingSaid(mission, f)];
  if (id !== 'legTime') return [];
  const flown = f.legs.slice(0, f.reached).find((l) => l.leg.id === leg);
  return flown ? saidOfLeg(flown).filter((s) => s.code !== 'leg-fits') : [];
}
