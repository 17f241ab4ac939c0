/** Motors, propellers and packs: standing still, over the speeds, and the energy there is. */
import { powertrainOf } from '../design';
import { interpolateLinear } from '../numeric';
import {
  buildDrive,
  liftDrive,
  MEAN_SOC,
  operate,
  packVolts,
  settledWinding,
  type Drive,
  type OperatingPoint,
} from '../power';
import { air } from './air';
import { curvesOf, quantitiesOf, part } from './quantity';
import { driveParts, lifter, speeds, thruster, thrustNodes } from './speeds';
import { NOTHING, step } from './step';

const MOTOR =
  'Blade elements with momentum for the propeller, three-constant motor, sagging pack, at half charge';

export interface Drives {
  /** null where no electric motor is fitted */ readonly cruise: Drive | null;
  /** the lift motors, or the tilting cruise drive; null where nothing lifts */ readonly lifting: Drive | null;
}

/** With the charge on the label: what is left of it is `energy`. */
export const drives = step({
  id: 'drives',
  scope: 'all',
  needs: { air, thruster, lifter },
  causes: ['thrust', 'electricalLoss', 'torque'],
  slice: ({ design }) => ({
    parts: driveParts(design),
    lift: powertrainOf(design).lift,
    rotors: powertrainOf(design).rotorCount,
  }),
  run: ({ air, thruster, lifter }, { parts, lift, rotors }, factors): Drives => {
    const f = { ...factors, capacity: 1 },
      cruise = thruster ? buildDrive(parts, air.density, f, thruster) : null;
    return { cruise, lifting: liftDrive({ ...parts, lift }, rotors, air.density, f, lifter, cruise) };
  },
});

/** Full throttle, standing still. */
export const still = step({
  id: 'standing still',
  scope: 'all',
  needs: { air, drives },
  slice: NOTHING,
  run: ({ air, drives: { cruise } }): Still | null => {
    if (!cruise) return null;
    const point = operate(cruise, 1, 0, MEAN_SOC);
    return {
      point,
      winding: settledWinding(cruise, point, 0, air.temperature),
      tipMach: (point.omega * cruise.curve.size.diameter) / 2 / air.soundSpeed,
    };
  },
});
interface Still {
  readonly point: OperatingPoint;
  readonly winding: number;
  readonly tipMach: number;
}

export interface ThrustCurve {
  /** [m/s], ascending from standing still */ readonly speeds: readonly number[];
  /** [N] */ readonly thrust: readonly number[];
}

/** Thrust at an airspeed, between the nodes; nothing without a drive. */
export function thrustAt(curve: ThrustCurve | null): (speed: number) => number {
  if (!curve) return () => 0;
  return (speed) => interpolateLinear(curve.speeds, curve.thrust, speed);
}

const overSpeeds = (drive: Drive | null, throttle: number, nodes: readonly number[]): ThrustCurve | null =>
  drive && { speeds: nodes, thrust: nodes.map((s) => operate(drive, throttle, s).thrust) };

export interface ThrustResult {
  /** null without a drive */ readonly curve: ThrustCurve | null;
}

export const fullThrust = step({
  id: 'full thrust',
  scope: 'all',
  needs: { drives, thrustNodes },
  slice: NOTHING,
  run: ({ drives, thrustNodes }): ThrustResult => ({ curve: overSpeeds(drives.cruise, 1, thrustNodes.at) }),
});

export const lapThrust = step({
  id: 'lap thrust',
  scope: 'all',
  needs: { drives, thrustNodes },
  slice: ({ design }) => ({ throttle: design.flight.lapThrottle }),
  run: ({ drives, thrustNodes }, { throttle }): ThrustResult => ({
    curve: overSpeeds(drives.cruise, throttle, thrustNodes.at),
  }),
});

type Chart = { x: readonly number[]; y: readonly number[] } | null;

/** As they are drawn. */
const thrustCharts = step({
  id: 'thrust charts',
  scope: 'all',
  needs: { fullThrust, lapThrust, speeds },
  slice: NOTHING,
  run: ({ fullThrust, lapThrust, speeds }): { full: Chart; lap: Chart } => {
    const drawn = ({ curve }: ThrustResult): Chart =>
      curve && { x: speeds.curve, y: speeds.curve.map(thrustAt(curve)) };
    return { full: drawn(fullThrust), lap: drawn(lapThrust) };
  },
});

export interface Energy {
  /** usable charge of the cruise drive, and of the lift motors [A s] */ readonly cruise: number;
  readonly lifting: number;
  /** [J]; undefined where there is no electric drive */ readonly usable: number | undefined;
}

export const energy = step({
  id: 'energy',
  scope: 'all',
  needs: { drives },
  causes: ['capacity'],
  slice: NOTHING,
  run: ({ drives: { cruise, lifting } }, _, f): Energy => {
    // a craft that only hovers flies on the pack of its lift motors
    const bearer = cruise ?? lifting;
    return {
      cruise: (cruise?.charge ?? 0) * f.capacity,
      lifting: (lifting?.charge ?? 0) * f.capacity,
      usable: bearer ? bearer.charge * f.capacity * packVolts(bearer, MEAN_SOC) : undefined,
    };
  },
});

const DRIVE = {
  ...quantitiesOf(still, {
    staticThrust: {
      name: 'Static thrust',
      kind: 'force',
      station: 'power',
      formula: 'CT(0) · ρ · n² · D⁴ at {staticRpm}, ρ = {airDensity}',
      method: MOTOR,
      better: 'more',
      read: (r) => r?.point.thrust,
    },
    staticCurrent: {
      name: 'Static current',
      kind: 'current',
      station: 'power',
      formula: 'throttle · motor current + avionics',
      method: MOTOR,
      better: 'less',
      read: (r) => r?.point.current,
    },
    staticRpm: {
      name: 'Static rotation',
      kind: 'rotation',
      station: 'power',
      formula: 'Kv · (V − I · R), torque equal on motor and propeller',
      method: MOTOR,
      read: (r) => r?.point.omega,
    },
    staticPower: {
      name: 'Static pack power',
      kind: 'power',
      station: 'power',
      formula: 'volts under load · {staticCurrent}',
      method: MOTOR,
      read: (r) => r?.point.power,
    },
    packVoltage: {
      name: 'Pack under static load',
      kind: 'voltage',
      station: 'power',
      formula: 'open circuit − {staticCurrent} · resistance',
      method:
        'Sag by Ohm’s law over the cells’ resistance, worn and warm, at half charge (common practice, no source)',
      better: 'more',
      read: (r) => r?.point.voltage,
    },
    windingHeat: {
      name: 'Winding, full throttle held',
      kind: 'temperature',
      station: 'power',
      formula: 'air + iron and copper loss over the cooling, standing still at {staticCurrent}',
      method: 'Two heat masses, conductances by the motor’s weight; common practice, no source',
      better: 'less',
      read: (r) => r?.winding,
    },
    tipMach: {
      name: 'Propeller tip Mach, static',
      kind: 'ratio',
      station: 'power',
      formula: 'π · n · D / a at {staticRpm}',
      method: 'Definition',
      better: 'less',
      read: (r) => r?.tipMach,
    },
  }),
  ...quantitiesOf(energy, {
    usableEnergy: {
      name: 'Usable energy',
      kind: 'energy',
      station: 'power',
      formula: 'capacity · usable share · mean volts',
      method: 'Open-circuit volts at half charge',
      better: 'more',
      read: (r) => r.usable,
    },
  }),
};

const DRIVE_CURVES = curvesOf(thrustCharts, {
  thrust: { xKind: 'speed', yKind: 'force', read: (r) => r.full },
  lapThrust: { xKind: 'speed', yKind: 'force', read: (r) => r.lap },
});

export const DRIVE_PART = part(
  [drives, still, fullThrust, lapThrust, thrustCharts, energy],
  DRIVE,
  DRIVE_CURVES,
);

export { MOTOR };
