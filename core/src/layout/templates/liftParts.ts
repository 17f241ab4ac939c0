/**
 * Motors and blades that lift a weight, as such parts usually are: discs loaded with 60 N/m2, twice and a quarter the
 * thrust that hovers. Common practice, no source; every figure a guess until somebody weighs, measures or buys.
 */
import { G0 } from '../../air';
import type { Design } from '../../design';
import type { Powertrain } from '../../design';

type Lift = NonNullable<Powertrain['lift']>;
type Pack = Design['power']['packs'][number];

const DISC_LOADING = 60,
  FULL_OVER_HOVER = 2.25,
  CELL_VOLTS = 3.7,
  INCH = 0.0254;
/** static thrust coefficient T / (rho n2 D4) of such blades */
const CT = 0.105;
const AIR = 1.225;

/** Two figures, as parts are sold. */
const round2 = (v: number) => Number(v.toPrecision(2));

export interface LiftParts {
  readonly motor: Lift['motor'];
  readonly controller: Lift['esc'];
  readonly propeller: Lift['propeller'];
  /** of one: motor with its wires, blades, controller [kg] */ readonly masses: {
    motor: number;
    blades: number;
    controller: number;
  };
}

/** What one of `count` rotors is to be. @param mass all-up, kg @param cells in series */
export function liftPartsFor(mass: number, count: number, cells: number): LiftParts {
  const hover = (mass * G0) / count,
    diameter = Math.round(Math.sqrt((4 * hover) / (Math.PI * DISC_LOADING)) / INCH) * INCH;
  const turns = Math.sqrt((FULL_OVER_HOVER * hover) / (CT * AIR * diameter ** 4)),
    omega = 2 * Math.PI * turns,
    volts = CELL_VOLTS * cells;
  // at full throttle three quarters of the volts turn it
  const kv = omega / (0.75 * volts),
    motor = round2(0.006 * FULL_OVER_HOVER * hover + 0.01),
    resistance = round2((1 / kv / (0.5 * motor + 0.006)) ** 2);
  const power = (FULL_OVER_HOVER * hover) ** 1.5 / Math.sqrt(2 * AIR * (Math.PI / 4) * diameter ** 2) / 0.5,
    current = round2((1.3 * power) / volts);
  return {
    motor: {
      kv,
      resistance,
      noLoadCurrent: round2(0.035 * current),
      noLoadVolts: 10,
      maxCurrent: current,
      mass: motor,
    },
    controller: { resistance: round2(0.24 / current), maxCurrent: round2(1.2 * current) },
    propeller: { diameter, pitch: round2(0.35 * diameter), blades: 2, family: 'multirotor' },
    masses: { motor, blades: round2(0.9 * diameter ** 2.3), controller: round2(0.0007 * current + 0.004) },
  };
}

/** A pack of so many cells that hovers for about a quarter of an hour. @param power hovering, W */
export function packFor(power: number, cells: number, seconds = 900): Pack {
  const capacity = Math.round((power * seconds) / (CELL_VOLTS * cells) / 0.8 / 720) * 720;
  return {
    id: 'main',
    name: 'Flight pack',
    series: cells,
    parallel: 1,
    capacity,
    cellResistance: round2((0.004 * (3600 * 5)) / capacity),
    maxC: 25,
    usable: 0.8,
    chemistry: 'LiPo',
  };
}

/** Pack power that hovers a mass on discs so loaded, at half the ideal efficiency [W]. */
export function usualHoverPower(mass: number): number {
  const weight = mass * G0;
  return (weight * Math.sqrt(DISC_LOADING / (2 * AIR))) / 0.5;
}

/** What a pack weighs, by its energy: 150 Wh/kg [kg]. */
export const packMass = (p: Pack) => round2((p.capacity * CELL_VOLTS * p.series) / 3600 / 150);
