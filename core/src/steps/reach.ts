/** How long and how far on the wing: level on its drive at each speed, and gliding into the wind. */
import { G0 } from '../air';
import { hovers, siteSpread, windGrowth } from '../design';
import { findMinimum } from '../numeric';
import { driveMap, powerFor, type DriveMap } from '../power';
import { climb } from './climb';
import { airframe } from './drag';
import { drives, energy } from './drive';
import { curvesOf, part, quantitiesOf } from './quantity';
import { thrustNodes } from './speeds';
import { NOTHING, step } from './step';

/** Best speeds are found to this share of what is looked through. */
const CLOSE = 1e-3;

/** Flown no slower than this over the stall; common practice. */
const OVER_STALL = 1.1;

/** The forward drive over speed and throttle. */
const mapped = step({
  id: 'drive over speed and throttle',
  scope: 'all',
  needs: { drives, thrustNodes },
  slice: NOTHING,
  run: ({ drives: { cruise }, thrustNodes }): { map: DriveMap | null } => ({
    map: cruise && driveMap(cruise, thrustNodes.at),
  }),
});

interface Best {
  readonly speed: number;
  readonly power: number;
}

interface Level {
  /** null: it does not hold level flight there */ readonly longest: Best | null;
  readonly farthest: Best | null;
  /** usable, reserve taken off [J] */ readonly usable: number;
  readonly chart: { x: readonly number[]; y: readonly number[] };
}

/** null: no motor pulls it, or it hangs on its rotors. */
export const level = step({
  id: 'level on its drive',
  scope: 'state',
  needs: { airframe, mapped, energy, climb },
  slice: ({ design }, state) => ({ hovers: hovers(design, state), reserve: design.flight.reserve }),
  run: ({ airframe, mapped: { map }, energy, climb }, { hovers, reserve }): Level | null => {
    if (hovers || !map || energy.usable === undefined || !climb) return null;
    const power = (v: number) => powerFor(map, airframe.drag(v), v),
      drawn = airframe.chart.map((v, i) => powerFor(map, airframe.charted[i], v)),
      from = OVER_STALL * airframe.stall;
    const best = (cost: (power: number, v: number) => number): Best | null => {
      if (climb.top === null || climb.top <= from) return null;
      const { x } = findMinimum((v) => cost(power(v), v), from, climb.top, CLOSE);
      return { speed: x, power: power(x) };
    };
    return {
      longest: best((p) => p),
      farthest: best((p, v) => p / v),
      usable: (1 - reserve) * energy.usable,
      chart: { x: airframe.chart, y: drawn },
    };
  },
});

/** Speeds over the stall that a glide is looked for between. */
const SLOWEST = 1.05,
  FASTEST = 3.3;

interface Gliding {
  readonly ratio: number;
  readonly speed: number;
  readonly chart: { x: readonly number[]; y: readonly number[] };
}

/** null: it hangs on its rotors. */
const gliding = step({
  id: 'gliding',
  scope: 'state',
  needs: { airframe },
  causes: ['wind'],
  slice: ({ brief: { site }, design }, state) => ({
    hovers: hovers(design, state),
    wind: site.wind,
    growth: windGrowth(site),
    spread: siteSpread(site).wind,
  }),
  run: ({ airframe }, s, causes): Gliding | null => {
    if (s.hovers) return null;
    const wind = s.growth * Math.max(0, s.wind + causes.wind * s.spread),
      weight = airframe.mass * G0,
      // from a little over the stall, or the wind, to a dive
      from = Math.max(SLOWEST * airframe.stall, 1.05 * wind),
      to = Math.max(FASTEST * airframe.stall, 2 * wind);
    const sinks = (v: number) => (airframe.drag(v) * v) / Math.max(v - wind, 1e-6),
      { x: speed, value } = findMinimum(sinks, from, to, CLOSE);
    return {
      ratio: weight / value,
      speed,
      chart: { x: airframe.chart, y: airframe.chart.map((v, i) => (-airframe.charted[i] * v) / weight) },
    };
  },
});

const BY_DRIVE =
  'Trimmed drag held by the drive at its own throttle (table of the drive over speed and throttle), at half charge';
const INTO_WIND =
  'Most ground for the height lost; Anderson, Introduction to Flight, 6.9, head wind taken off';

const REACH = {
  ...quantitiesOf(level, {
    cruiseLongest: {
      name: 'Longest in the air, on the wing',
      kind: 'duration',
      station: 'flight',
      formula: '(1 − reserve) · {usableEnergy} / pack power at {cruiseLongestSpeed}',
      method: BY_DRIVE,
      better: 'more',
      read: (r) => (r?.longest ? r.usable / r.longest.power : undefined),
    },
    cruiseLongestSpeed: {
      name: 'Speed that lasts longest, on the wing',
      kind: 'speed',
      station: 'flight',
      formula: 'V of least pack power, at least 1.1 · {stallSpeed}',
      method: BY_DRIVE,
      read: (r) => r?.longest?.speed,
    },
    cruiseFarthest: {
      name: 'Farthest way, on the wing',
      kind: 'distance',
      station: 'flight',
      formula: '{cruiseFarthestSpeed} · (1 − reserve) · {usableEnergy} / pack power, no wind',
      method: BY_DRIVE,
      better: 'more',
      read: (r) => (r?.farthest ? (r.farthest.speed * r.usable) / r.farthest.power : undefined),
    },
    cruiseFarthestSpeed: {
      name: 'Speed that goes farthest, on the wing',
      kind: 'speed',
      station: 'flight',
      formula: 'V of most distance for the charge, at least 1.1 · {stallSpeed}',
      method: BY_DRIVE,
      read: (r) => r?.farthest?.speed,
    },
  }),
  ...quantitiesOf(gliding, {
    glideWind: {
      name: 'Best glide into the wind',
      kind: 'ratio',
      station: 'flight',
      formula: 'max (V − wind) · {mass} · g / (D · V); {glideRatio} without wind',
      method: INTO_WIND,
      better: 'more',
      read: (r) => r?.ratio,
    },
    glideWindSpeed: {
      name: 'Speed of the best glide into the wind',
      kind: 'speed',
      station: 'flight',
      formula: 'V at {glideWind}',
      method: INTO_WIND,
      read: (r) => (r && r.ratio > 0 ? r.speed : undefined),
    },
  }),
};

const REACH_CURVES = [
  ...curvesOf(level, {
    levelPower: { xKind: 'speed', yKind: 'power', read: (r) => r && r.chart },
  }),
  ...curvesOf(gliding, {
    sink: { xKind: 'speed', yKind: 'climbRate', read: (r) => r && r.chart },
  }),
];

export const REACH_PART = part([mapped, level, gliding], REACH, REACH_CURVES);
