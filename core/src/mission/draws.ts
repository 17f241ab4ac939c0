/** What a drive draws from its pack for something steady, at any charge. */
import {
  atCharge,
  CHARGE_NODES,
  givingPower,
  MEAN_SOC,
  motorLoss,
  operate,
  operateForThrust,
  overCharge,
  packVolts,
  streamSpeed,
  type Drive,
} from '../power';
import type { Draw, StoreId } from './craft';

const NO_PACK = { current: 0, open: Infinity, voltage: Infinity, power: 0, duty: 0 };
const COLD = { motorCurrent: 0, copper: 0, iron: 0, stream: 0 };

/** A thrust at an airspeed. */
export function thrustDraw(d: Drive, from: StoreId, thrust: number, speed: number): Draw {
  const o = operateForThrust(d, thrust, speed);
  return {
    from,
    at: (soc) => atCharge(d, o, soc),
    motorCurrent: o.motorCurrent,
    ...motorLoss(d, o),
    stream: streamSpeed(d, o.thrust, speed),
  };
}

/** A power of all motors together, as of rotors in flight. */
export function powerDraw(d: Drive, from: StoreId, power: number): Draw {
  const each = (givingPower(d, power, MEAN_SOC).current - d.avionics) / d.count;
  return {
    from,
    at: (soc) => givingPower(d, power, soc),
    motorCurrent: Math.max(0, each),
    copper: each * each * d.motorResistance,
    iron: 0,
    stream: streamSpeed(d, 0, 0),
  };
}

/** Receiver and servos alone. */
export function restDraw(d: Drive | null, from: StoreId): Draw {
  if (!d) return { from, at: () => NO_PACK, ...COLD };
  return {
    from,
    at(soc) {
      const open = packVolts(d, soc),
        voltage = open - d.avionics * d.packResistance;
      return { current: d.avionics, open, voltage, power: voltage * d.avionics, duty: 0 };
    },
    ...COLD,
  };
}

/** Full throttle at an airspeed, and the thrust that there is [N] at a charge. */
export function fullDraw(
  d: Drive,
  from: StoreId,
  speed: number,
): { draw: Draw; thrust: (soc: number) => number } {
  const points = CHARGE_NODES.map((soc) => operate(d, 1, speed, soc)),
    of = (pick: (p: (typeof points)[number]) => number) => {
      const values = points.map(pick);
      return (soc: number) => overCharge(values, soc);
    };
  const current = of((p) => p.current),
    voltage = of((p) => p.voltage),
    half = points[1];
  return {
    draw: {
      from,
      at(soc) {
        const i = current(soc),
          v = voltage(soc);
        // all of the throttle is what is meant: none of it is to spare, and none lacks
        return { current: i, open: packVolts(d, soc), voltage: v, power: v * i, duty: 0 };
      },
      motorCurrent: points[2].motorCurrent,
      ...motorLoss(d, half),
      stream: streamSpeed(d, half.thrust, speed),
    },
    thrust: of((p) => p.thrust),
  };
}
