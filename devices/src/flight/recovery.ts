/**
 * How often a hidden truth lies within one stated sigma of what the reduction finds: flights of many seeds, each of another
 * aircraft in another wind, by the simulated logger.
 */
import { cleanLog, placed, reduceFlight, type ResultId } from '@skiametra/core/log';
import { G0 } from '@skiametra/core/air';
import { normalFrom } from '../random';
import { flyPlan, sinkAt, type Flown } from './pilot';
import { recordFlight, type Recorder } from './recorder';
import { NO_FAULTS, type FlightTruth, type Manoeuvre } from './truth';

/** What is flown: on a wing, with nothing but a track a second of it, or hanging on rotors. */
export type Trial = 'wing' | 'track' | 'rotors';

export interface Recovery {
  readonly of: number;
  readonly within: number;
  /** mean of what is missed, in sigmas */ readonly mean: number;
}

/** An aircraft and a day. */
function drawn(n: () => number): FlightTruth {
  const bearing = 3 * n(),
    wind = Math.abs(2.5 + n()),
    about = (value: number, share: number) => value * (1 + share * n());
  return {
    mass: 2.2,
    area: 0.4,
    density: 1.225,
    dragArea: about(0.02, 0.1),
    inducedFactor: about(0.055, 0.1),
    stallSpeed: about(8, 0.03),
    windEast: wind * Math.sin(bearing),
    windNorth: wind * Math.cos(bearing),
    groundRun: about(12, 0.15),
    landingRun: 25,
    liftOffSpeed: 10,
    climbRate: about(2.5, 0.1),
    climbSpeed: 12,
    lapSpeed: about(14, 0.05),
    turnBank: about(0.6, 0.1),
    fullPower: about(400, 0.1),
    lapPower: about(160, 0.1),
    hoverPower: about(300, 0.1),
    volts: 15.6,
    packResistance: 0.06,
    airspeedFactor: about(1, 0.05),
  };
}

/** Largest load of the pull that is flown. */
const PULL = 3.5;

const stalls: Manoeuvre[] = [0, 1, 2].flatMap(() => [{ kind: 'stall' }, { kind: 'straight', seconds: 4 }]);
const glides: Manoeuvre[] = [10.5, 13, 16, 19].flatMap((speed) => [
  { kind: 'glide', speed, seconds: 14 },
  { kind: 'straight', seconds: 5 },
]);

const PLANS: Readonly<Record<'wing' | 'rotors', readonly Manoeuvre[]>> = {
  wing: [
    { kind: 'stand', seconds: 8 },
    { kind: 'run' },
    { kind: 'climb', to: 60 },
    { kind: 'circles', rounds: 4 },
    { kind: 'laps', count: 5, straight: 150 },
    { kind: 'pull', load: PULL },
    { kind: 'straight', seconds: 4 },
    { kind: 'climb', to: 220 },
    ...glides,
    ...stalls,
    { kind: 'land' },
    { kind: 'stand', seconds: 8 },
  ],
  rotors: [
    { kind: 'stand', seconds: 8 },
    { kind: 'rise', to: 12 },
    { kind: 'hover', seconds: 40 },
    { kind: 'mark', name: 'drop 1' },
    { kind: 'hover', seconds: 10 },
    { kind: 'sink' },
    { kind: 'stand', seconds: 8 },
  ],
};

/** Largest and least of a polar over the speeds that are flown. */
function polarOf(truth: FlightTruth) {
  let sink = Infinity,
    ratio = 0;
  for (let v = 6; v < 30; v += 0.01) {
    const s = sinkAt(truth, v);
    sink = Math.min(sink, s);
    ratio = Math.max(ratio, v / s);
  }
  return { sink, ratio };
}

const STEP = 0.05;

/** What a result should come to. */
function expected(trial: Trial, truth: FlightTruth, { moments }: Flown): Partial<Record<ResultId, number>> {
  const air = moments.filter((m) => !m.onGround),
    both = {
      hoverPower: truth.hoverPower,
      energyUsed: moments.reduce((s, m) => s + m.power * STEP, 0),
      endurance: air.length * STEP,
    };
  if (trial === 'rotors') return both;
  const { sink, ratio } = polarOf(truth);
  return {
    ...both,
    windSpeed: Math.hypot(truth.windEast, truth.windNorth),
    windFrom: Math.atan2(-truth.windEast, -truth.windNorth),
    airspeedFactor: truth.airspeedFactor,
    groundRun: truth.groundRun,
    climbRate: truth.climbRate,
    sinkRate: sink,
    glideRatio: ratio,
    dragArea: truth.dragArea,
    inducedFactor: truth.inducedFactor,
    stallSpeed: truth.stallSpeed,
    turnBank: truth.turnBank,
    turnLoadFactor: 1 / Math.cos(truth.turnBank),
    turnRadius: truth.lapSpeed ** 2 / (G0 * Math.tan(truth.turnBank)),
    lapSpeed: truth.lapSpeed,
    maxLoadFactor: PULL,
    powerToWeight: truth.fullPower / truth.mass,
    peakHeight: moments.reduce((a, m) => Math.max(a, m.height), 0),
  };
}

/** What is missed, in sigmas; a bearing goes round. */
function missed(id: ResultId, value: number, truth: number, sigma: number): number {
  const off = value - truth;
  const round = id === 'windFrom' ? Math.atan2(Math.sin(off), Math.cos(off)) : off;
  return round / sigma;
}

/** With gaps, spikes, repeats and rows out of order; `pitot`: with an airspeed sensor. */
function recorderOf(trial: Trial, pitot: boolean): Recorder {
  if (trial === 'track')
    return { rate: 1, airspeed: false, load: false, power: false, velocity: false, faults: NO_FAULTS };
  const faults = trial === 'wing' ? { gaps: 1, spikes: 2, frozen: 0, repeats: 3, swaps: 2 } : NO_FAULTS;
  return { rate: 5, airspeed: pitot, load: true, power: true, velocity: true, faults };
}

/** @param seeds how many flights @param first of their seeds */
export function recoveryOf(
  trial: Trial,
  pitot: boolean,
  seeds: number,
  first = 1,
): Partial<Record<ResultId, Recovery>> {
  const found = new Map<ResultId, number[]>();
  for (let seed = first; seed < first + seeds; seed++) {
    const truth = drawn(normalFrom(seed * 7919)),
      flown = flyPlan(truth, PLANS[trial === 'rotors' ? 'rotors' : 'wing']),
      raw = recordFlight(flown, truth, recorderOf(trial, pitot), seed),
      { mass, area, density } = truth,
      { results } = reduceFlight(cleanLog(placed(raw)).log, { mass, area, density }),
      asked = expected(trial, truth, flown);
    for (const { id, value, sigma } of results) {
      const should = asked[id];
      if (should === undefined) continue;
      found.set(id, [...(found.get(id) ?? []), missed(id, value, should, sigma)]);
    }
  }
  return Object.fromEntries(
    [...found].map(([id, z]) => [
      id,
      {
        of: z.length,
        within: z.filter((v) => Math.abs(v) <= 1).length / z.length,
        mean: z.reduce((s, v) => s + v, 0) / z.length,
      },
    ]),
  );
}
