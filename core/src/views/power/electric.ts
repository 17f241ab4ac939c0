/** The electric drive of a state, link by link and over speed, throttle and discharge. */
import { G0 } from '../../air';
import { powertrainOf } from '../../design';
import { groundGeometry } from '../../layout';
import {
  driveChain,
  idleDragArea,
  MEAN_SOC,
  operate,
  operateForThrust,
  packVolts,
  pitchSpeed,
  simulateDischarge,
  staticCard,
  type Discharge,
  type Drive,
} from '../../power';

import { type Scene } from './scene';
import { type PowerReport } from './report';

export interface SpeedRow {
  speed: number;
  full: { thrust: number; current: number; omega: number };
  /** each link's share that gets through */ motor: number;
  propeller: number;
  overall: number;
  hold: { current: number; duty: number } | null;
}

export interface ThrottleRow {
  throttle: number;
  thrust: number;
  current: number;
  omega: number;
  power: number;
}

const CLEARANCE = 0.025;

export function electricPart(
  s: Scene,
): Pick<
  PowerReport,
  | 'chain'
  | 'cards'
  | 'speeds'
  | 'throttles'
  | 'discharge'
  | 'volts'
  | 'idle'
  | 'largestPropeller'
  | 'pitchSpeed'
  | 'stalledBlade'
  | 'from'
> {
  const { drive: d, air, design, state, speed } = s;
  if (!d)
    return {
      chain: null,
      cards: null,
      speeds: [],
      throttles: [],
      discharge: null,
      volts: null,
      idle: null,
      largestPropeller: null,
      pitchSpeed: null,
      stalledBlade: null,
      from: null,
    };
  const limits = {
    escCurrent: powertrainOf(design).esc.maxCurrent,
    wireArea: powertrainOf(design).wire?.area ?? null,
    soundSpeed: air.soundSpeed,
    air: air.temperature,
  };
  const still = operate(d, 1, 0),
    need = s.drag(speed),
    hold = operateForThrust(d, need, speed),
    full = operate(d, 1, speed);
  return {
    chain: {
      still: driveChain(d, still, 0, limits),
      flight: driveChain(d, hold, speed, limits),
      full: driveChain(d, full, speed, limits),
      speed,
    },
    cards: {
      still: staticCard(d, state.mass, 0, air.soundSpeed, G0),
      flight: staticCard(d, state.mass, speed, air.soundSpeed, G0),
    },
    speeds: Array.from({ length: 22 }, (_, i) => speedRow(s, d, (1.45 * Math.max(speed, s.stall) * i) / 21)),
    throttles: Array.from({ length: 19 }, (_, i) => {
      const throttle = 0.1 + 0.05 * i,
        o = operate(d, throttle, 0);
      return { throttle, thrust: o.thrust, current: o.current, omega: o.omega, power: o.power };
    }),
    discharge: {
      flight: shortened(
        simulateDischarge(d, [{ seconds: 7200, speed, thrust: need }], air.temperature, 1, 5),
      ),
      full: shortened(
        simulateDischarge(d, [{ seconds: 3600, speed: 0, throttle: 1 }], air.temperature, 1, 2),
      ),
    },
    volts: {
      printed: d.pack.nominal,
      full: d.pack.full,
      half: packVolts(d, MEAN_SOC),
      loaded: still.voltage,
      least: d.pack.least,
    },
    idle: d.curve.from === 'fan' ? null : idleDragArea(d.curve),
    largestPropeller: largestPropeller(s, d),
    pitchSpeed: pitchSpeed(d.curve.size, still.omega),
    stalledBlade: d.curve.from === 'blade elements' ? d.curve.stalled : null,
    from: d.curve.from === 'table' ? d.curve.size.table!.name : d.curve.from,
  };
}

/** Diameter [m] that clears the ground by `CLEARANCE`, standing on the wheels; null where none are given. */
export function largestPropeller(s: Scene, d: Drive): number | null {
  const clearance = groundGeometry(s.design, { x: s.state.x, z: s.state.z })?.propellerClearance;
  return clearance == null ? null : Math.max(0.05, d.curve.size.diameter + 2 * (clearance - CLEARANCE));
}

function speedRow(s: Scene, d: Drive, v: number): SpeedRow {
  const o = operate(d, 1, v),
    inMotor = o.power - d.avionics * o.voltage;
  const hold = v > 0.95 * s.stall ? operateForThrust(d, s.drag(v), v) : null;
  return {
    speed: v,
    full: { thrust: o.thrust, current: o.current, omega: o.omega },
    motor: o.shaftPower / Math.max(inMotor, 1e-9),
    propeller: o.shaftPower > 0 ? Math.max(0, (o.thrust * v) / o.shaftPower) : 0,
    overall: Math.max(0, o.efficiency),
    hold: hold && hold.duty <= 1 ? { current: hold.current, duty: hold.duty } : null,
  };
}

function shortened(d: Discharge): Discharge {
  const step = Math.max(1, Math.ceil(d.rows.length / 120));
  return { ...d, rows: d.rows.filter((_, i) => i % step === 0 || i === d.rows.length - 1) };
}
