/**
 * Solar cells on a wing through one day: sun by date and place (SunCalc, after Meeus), clear-sky light by air mass, cells by
 * temperature, strings by the controller's window, pack and load in balance.
 *   direct light across the beam  1353 * 0.7^(AM^0.678) W/m2 (Meinel and Meinel, 1976, from memory), a tenth more from the sky
 *   air mass                      1 / (sin h + 0.50572 (h + 6.07995)^-1.6364), h in degrees (Kasten and Young, 1989, from memory)
 *   cell                          P = eta A G (1 + k (T - 25 C)), T = air + warming G / 1000
 * Cells lie level, as on a wing in level flight.
 */
import { say, type Said } from '../words';
import { getPosition } from 'suncalc';

export interface SolarData {
  series: number;
  strings: number;
  cell: {
    area: number;
    mass: number;
    efficiency: number;
    openVolts: number;
    workVolts: number;
    temperatureCoefficient: number;
  };
  controller: { minVolts: number; maxVolts: number; efficiency: number; kind: 'boost' | 'buck' | 'direct' };
  /** [rad] */ latitude: number;
  longitude: number;
  date: string;
  clarity: number;
  warming: number;
}

export interface SolarArray {
  cells: number;
  area: number;
  mass: number;
  /** at 1000 W/m2 and 25 C [W, V, A] */ peak: number;
  workVolts: number;
  openVolts: number;
  current: number;
  /** volts inside the controller's window */ starts: boolean;
  said: Said;
}

const SUN_STANDARD = 1000;
const STANDARD_TEMPERATURE = 298.15;

export function solarArray(s: SolarData): SolarArray {
  const cells = s.series * s.strings,
    { cell, controller } = s;
  const peak = cells * cell.area * cell.efficiency * SUN_STANDARD,
    workVolts = s.series * cell.workVolts,
    openVolts = s.series * cell.openVolts;
  const low = workVolts < controller.minVolts,
    high = openVolts > controller.maxVolts;
  const said = low
    ? say('string-too-low', {
        cells: s.series,
        volts: workVolts,
        starts: controller.minVolts,
        least: Math.ceil(controller.minVolts / cell.workVolts),
      })
    : high
      ? say('string-too-high', {
          cells: s.series,
          volts: openVolts,
          stands: controller.maxVolts,
          most: Math.floor(controller.maxVolts / cell.openVolts),
        })
      : say('string-fits', {
          work: workVolts,
          open: openVolts,
          from: controller.minVolts,
          to: controller.maxVolts,
        });
  return {
    cells,
    area: cells * cell.area,
    mass: cells * cell.mass,
    peak,
    workVolts,
    openVolts,
    current: (s.strings * cell.area * cell.efficiency * SUN_STANDARD) / cell.workVolts,
    starts: !low && !high,
    said,
  };
}

/** Sun's height over the horizon [rad] at an instant (milliseconds since 1970, universal time). */
export function sunHeight(instant: number, latitude: number, longitude: number): number {
  const deg = 180 / Math.PI;
  return getPosition(new Date(instant), latitude * deg, longitude * deg).altitude / deg;
}

/** Light on a level face [W/m2] under a clear sky. @param height of the sun [rad] */
export function clearSky(height: number): number {
  if (!(height > 0)) return 0;
  const h = (height * 180) / Math.PI,
    sin = Math.sin(height);
  const airMass = 1 / (sin + 0.50572 * (h + 6.07995) ** -1.6364);
  return 1.1 * 1353 * 0.7 ** (airMass ** 0.678) * sin;
}

/** Power behind the controller [W] in a light [W/m2] and air [K]; none outside the controller's window. */
export function solarPower(s: SolarData, light: number, air: number): number {
  if (!(light > 0)) return 0;
  const t = air + (s.warming * light) / SUN_STANDARD,
    factor = Math.max(0, 1 + s.cell.temperatureCoefficient * (t - STANDARD_TEMPERATURE));
  // volts fall with heat as power does, and with the logarithm of the light; about 3 % a halving (from memory)
  const volts =
    s.series * s.cell.workVolts * factor * (1 + 0.045 * Math.log(Math.max(light, 1) / SUN_STANDARD));
  if (volts < s.controller.minVolts || s.series * s.cell.openVolts * factor > s.controller.maxVolts * 1.0001)
    return 0;
  return s.series * s.strings * s.cell.area * s.cell.efficiency * light * factor * s.controller.efficiency;
}

export interface SolarRow {
  /** local solar time since midnight [s] */ time: number;
  height: number;
  light: number;
  power: number;
  charge: number;
}
export interface SolarDay {
  rows: SolarRow[];
  /** [J] */ harvest: number;
  used: number;
  surplus: number;
  /** most power of the day [W] and the light that carries the load [W/m2], null when the array never can */ best: number;
  leastLight: number | null;
  leastHeight: number | null;
  /** longest time aloft from one launch with a full pack [s], and when that launch is [s] */ aloft: number;
  launchTime: number;
  allDay: boolean;
  /** seconds for the cells to give back a full pack with nothing drawn, null when they cannot in a day */ refill:
    number | null;
}

const STEP = 300;

/**
 * One day from midnight to midnight of local solar time.
 * @param load from the pack in level flight [W] @param pack usable energy [J] @param air [K]
 */
export function solarDay(s: SolarData, load: number, pack: number, air: number): SolarDay {
  const midnight = new Date(`${s.date}T00:00:00Z`).getTime() - (s.longitude / (2 * Math.PI)) * 86_400_000;
  const N = 86_400 / STEP;
  const light = Array.from(
    { length: N },
    (_, i) => s.clarity * clearSky(sunHeight(midnight + (i + 0.5) * STEP * 1000, s.latitude, s.longitude)),
  );
  const power = light.map((g) => solarPower(s, g, air));
  const rows: SolarRow[] = light.map((g, i) => ({
    time: (i + 0.5) * STEP,
    height: sunHeight(midnight + (i + 0.5) * STEP * 1000, s.latitude, s.longitude),
    light: g,
    power: power[i],
    charge: 0,
  }));
  const fly = (from: number): { time: number; charge: number[] } => {
    let e = pack,
      k = 0;
    const charge: number[] = [];
    for (; k < 2 * N && e > 0; k++) {
      e = Math.min(pack, e + (power[(from + k) % N] - load) * STEP);
      charge.push(Math.max(0, e));
    }
    return { time: k * STEP, charge };
  };
  let launch = 0,
    aloft = 0;
  for (let i = 0; i < N; i += 3) {
    const t = fly(i).time;
    if (t > aloft) {
      aloft = t;
      launch = i;
    }
  }
  fly(launch)
    .charge.slice(0, N)
    .forEach((e, k) => {
      rows[(launch + k) % N].charge = e;
    });
  const harvest = power.reduce((a, p) => a + p * STEP, 0),
    used = load * 86_400;
  let leastLight: number | null = null;
  for (let g = 20; g <= 1200; g += 5)
    if (solarPower(s, g, air) >= load) {
      leastLight = g;
      break;
    }
  const carried = leastLight === null ? null : rows.filter((r) => r.light >= leastLight);
  let filled = 0,
    seconds: number | null = null;
  const noonFirst = [...power].sort((a, b) => b - a);
  for (const [k, p] of noonFirst.entries()) {
    filled += p * STEP;
    if (filled >= pack) {
      seconds = (k + 1) * STEP;
      break;
    }
  }
  return {
    rows,
    harvest,
    used,
    surplus: harvest - used,
    best: Math.max(...power),
    leastLight,
    leastHeight: carried?.length ? Math.min(...carried.map((r) => r.height)) : null,
    aloft: Math.min(aloft, 2 * 86_400),
    launchTime: launch * STEP,
    allDay: aloft >= 2 * N * STEP,
    refill: seconds,
  };
}
