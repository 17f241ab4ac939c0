/**
 * Legs of a mission found in a flight: its stretches in time are laid beside the legs in the order in which they are flown, and
 * as many as fit one another in that order are taken (longest common subsequence, a general method).
 */
import { entryOf, flownOf, type Ledger } from '../assess';
import type { Design, Leg, Mission, SegmentKind } from '../design';
import {
  CURRENT_OFF,
  integralOf,
  meanWithSpread,
  straightsOf,
  wattsOf,
  type FlightLog,
  type Segment,
} from '../log';
import { turnAt } from '../mission';

/** A mission to be looked for, and how long each of its legs is expected to take [s], by id where anybody knows. */
export interface Course {
  readonly mission: Mission;
  readonly times: Readonly<Record<string, number>>;
}

/** What a leg takes at the speed and bank of laps, where no mission of named states told it. */
function timeAtLapSpeed(
  leg: Leg,
  speed: number | undefined,
  { turnBank }: Design['flight'],
): number | undefined {
  const v = leg.speed ?? speed,
    times = leg.count ?? 1;
  if (!v) return undefined;
  if (leg.kind === 'straight') return leg.length === undefined ? leg.time : (times * leg.length) / v;
  const angle = Math.abs(leg.angle ?? Math.PI);
  return times * angle * turnAt(v, leg.bank ?? turnBank).secondsPerRadian;
}

/** @param state that was flown */
export function courseFlown(mission: Mission, design: Design, ledger: Ledger | null, state: string): Course {
  const times: Record<string, number> = {},
    speed = ledger ? entryOf(ledger, 'lapSpeed', state)?.value : undefined;
  for (const leg of mission.rounds.flatMap((r) => r.legs)) {
    const told = ledger && flownOf(ledger, 'legTime', { mission: mission.id, leg: leg.id, state })?.value,
      time = told ?? (AS_LONG.has(leg.kind) ? timeAtLapSpeed(leg, speed, design.flight) : undefined);
    if (time !== undefined && time > 0) times[leg.id] = time;
  }
  return { mission, times };
}

/** What a stretch may be; a straight is a level one without its turns. */
type Stretch = { readonly kind: SegmentKind | 'straight'; readonly from: number; readonly to: number };

const MAY_BE: Readonly<Partial<Record<Stretch['kind'], readonly Leg['kind'][]>>> = {
  run: ['takeOff'],
  climb: ['climb'],
  straight: ['straight'],
  turn: ['turn'],
  level: ['loiter', 'pattern', 'tow', 'letOut', 'takeIn'],
  glide: ['glide'],
  hover: ['hover', 'drop', 'unload', 'reload', 'wait'],
  landing: ['land'],
};

/** Legs whose length is the mission's own: a stretch of another length is none of them, by this share of its time. */
const AS_LONG: ReadonlySet<Leg['kind']> = new Set(['straight', 'turn']);
const LENGTHS = 2;

/** Passes that are laid beside a flight at most. */
const MOST_PASSES = 600;

/** One time that a leg is flown, or one of its straights or turns. */
interface Pass {
  readonly leg: Leg;
  /** which time its round is flown */ readonly lap: number;
}

export interface LegFlown extends Pass {
  readonly from: number;
  readonly to: number;
}

/** Straights and turns written one behind the other are flown in turn. */
function passesOf(legs: readonly Leg[], lap: number): Pass[] {
  const out: Pass[] = [];
  for (let i = 0; i < legs.length;) {
    let end = i + 1;
    if (AS_LONG.has(legs[i].kind)) while (end < legs.length && AS_LONG.has(legs[end].kind)) end++;
    const group = legs.slice(i, end),
      times = (l: Leg) => (AS_LONG.has(l.kind) ? (l.count ?? 1) : 1),
      most = Math.max(...group.map(times));
    for (let k = 0; k < most; k++) for (const leg of group) if (k < times(leg)) out.push({ leg, lap });
    i = end;
  }
  return out;
}

/** All that a mission may come to; a round without a number as often as the flight could hold it. */
function passesOfMission(mission: Mission, stretches: number): Pass[] {
  const out: Pass[] = [];
  for (const round of mission.rounds) {
    const once = Math.max(1, passesOf(round.legs, 0).length),
      times = round.times ?? Math.ceil(stretches / once) + 1;
    for (let lap = 0; lap < times && out.length + once <= MOST_PASSES; lap++)
      out.push(...passesOf(round.legs, lap));
  }
  return out;
}

/** What was flown, in time; laps are made of straights and turns. */
function stretchesOf(segments: readonly Segment[]): Stretch[] {
  const plain = segments.filter((s) => MAY_BE[s.kind]),
    straights = straightsOf(segments, 'level', 0).map((s) => ({ kind: 'straight' as const, ...s }));
  return [...plain, ...straights].sort((a, b) => a.from - b.from).slice(0, MOST_PASSES);
}

/** Pairs in order, as many as there can be. */
function aligned(rows: number, columns: number, fits: (i: number, k: number) => boolean): [number, number][] {
  const best = Array.from({ length: rows + 1 }, () => new Uint16Array(columns + 1));
  for (let i = rows - 1; i >= 0; i--)
    for (let k = columns - 1; k >= 0; k--)
      best[i][k] = fits(i, k) ? best[i + 1][k + 1] + 1 : Math.max(best[i + 1][k], best[i][k + 1]);
  const out: [number, number][] = [];
  for (let i = 0, k = 0; i < rows && k < columns;) {
    if (fits(i, k)) out.push([i++, k++]);
    else if (best[i + 1][k] >= best[i][k + 1]) i++;
    else k++;
  }
  return out;
}

/** Which stretch is which leg, in the order in which they were flown. */
export function legsFlown(segments: readonly Segment[], { mission, times }: Course): LegFlown[] {
  const stretches = stretchesOf(segments),
    passes = passesOfMission(mission, stretches.length);
  const fits = (i: number, k: number) => {
    const s = stretches[i],
      { leg } = passes[k];
    if (!MAY_BE[s.kind]?.includes(leg.kind)) return false;
    const expected = AS_LONG.has(leg.kind) ? times[leg.id] : undefined,
      ratio = expected === undefined ? 1 : ((s.to - s.from) * (leg.count ?? 1)) / expected;
    return ratio < LENGTHS && ratio > 1 / LENGTHS;
  };
  return aligned(stretches.length, passes.length, fits).map(([i, k]) => ({
    ...passes[k],
    from: stretches[i].from,
    to: stretches[i].to,
  }));
}

interface Spread {
  readonly value: number;
  readonly sigma: number;
}

/** What a leg took, over all the times it was flown whole. */
export interface LegReading {
  readonly leg: string;
  readonly name: string;
  readonly passes: number;
  /** [s] */ readonly time: Spread;
  /** [J], of the pack; null where the log does not say */ readonly energy: Spread | null;
  /** [A s] */ readonly charge: Spread | null;
}

/** Nobody knows the ends of a leg better than this [s]. */
const ENDS = 0.5;

/** Times that a leg was flown whole: all its straights or turns in one round. */
function wholeOf(flown: readonly LegFlown[], leg: Leg): (readonly LegFlown[])[] {
  const laps = new Map<number, LegFlown[]>();
  for (const f of flown) if (f.leg.id === leg.id) laps.set(f.lap, [...(laps.get(f.lap) ?? []), f]);
  const asked = AS_LONG.has(leg.kind) ? (leg.count ?? 1) : 1;
  return [...laps.values()].filter((l) => l.length === asked);
}

/** Time, energy and charge of each leg that was found. */
export function legReadings(log: FlightLog, flown: readonly LegFlown[]): LegReading[] {
  const watts = wattsOf(log),
    { amps } = log.channels,
    legs = [...new Map(flown.map((f) => [f.leg.id, f.leg])).values()];
  return legs.flatMap((leg): LegReading[] => {
    const whole = wholeOf(flown, leg);
    if (whole.length === 0) return [];
    const over = (of: (f: LegFlown) => number) => whole.map((p) => p.reduce((s, f) => s + of(f), 0)),
      n = Math.sqrt(whole.length);
    const used = (v: Float64Array | null | undefined): Spread | null => {
      if (!v) return null;
      const { value, sigma } = meanWithSpread(
        over((f) => integralOf(log.t, v, f)),
        0,
      );
      return value > 0 ? { value, sigma: Math.hypot(sigma, CURRENT_OFF * value) } : null;
    };
    return [
      {
        leg: leg.id,
        name: leg.name,
        passes: whole.length,
        time: meanWithSpread(
          over((f) => f.to - f.from),
          ENDS / n,
        ),
        energy: used(watts),
        charge: used(amps),
      },
    ];
  });
}
