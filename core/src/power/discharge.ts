/**
 * A pack run down through a history of throttle, thrust or power: charge, volts, current, rpm and the motor's heat by time.
 * Charge by the current drawn; steps of at most a second; the step that would pass a limit is cut at it.
 */
import type { Drive, OperatingPoint } from './electric';
import { motorLoss, operate, operateForThrust, packVolts, streamSpeed } from './electric';
import { COPPER, heatStep, thermalOf, USUAL_LIMIT } from './motor';

export type Segment = { seconds: number; speed: number } & (
  { throttle: number } | { thrust: number } | { power: number }
);

export interface DischargeRow {
  time: number;
  soc: number;
  voltage: number;
  current: number;
  omega: number;
  thrust: number;
  duty: number;
  power: number;
  winding: number;
  case: number;
}
export interface Discharge {
  rows: DischargeRow[];
  /** why it ended */ end: 'history over' | 'charge used' | 'volts at the least' | 'cannot be held';
  /** [s], [A s], [J] from the pack */ time: number;
  charge: number;
  energy: number;
  /** hottest the winding came [K] */ hottest: number;
}

/** A wanted pack power as an operating point: duty by bisection, since power grows with duty. */
function operateForPower(d: Drive, power: number, speed: number, soc: number): OperatingPoint {
  let lo = 0.02,
    hi = 1;
  if (operate(d, 1, speed, soc).power < power) return { ...operate(d, 1, speed, soc), duty: 9 };
  for (let i = 0; i < 30; i++) {
    const m = 0.5 * (lo + hi);
    if (operate(d, m, speed, soc).power < power) lo = m;
    else hi = m;
  }
  return operate(d, hi, speed, soc);
}

/**
 * @param history one segment after the other; the last may be long: the pack ends it
 * @param air at the motor [K]; the slipstream cools as the airspeed plus the induced flow
 * @param soc to begin with
 */
export function simulateDischarge(
  d: Drive,
  history: readonly Segment[],
  air = 288.15,
  soc = 1,
  step = 1,
): Discharge {
  const thermal = thermalOf(d.motor),
    rows: DischargeRow[] = [];
  let s = soc,
    time = 0,
    charge = 0,
    energy = 0,
    heat = { winding: air, case: air },
    hottest = air;
  const full = d.charge / Math.max(d.pack.usableCharge / d.pack.charge, 1e-6);
  const finish = (end: Discharge['end']): Discharge => ({ rows, end, time, charge, energy, hottest });
  for (const seg of history) {
    for (let left = seg.seconds; left > 1e-9;) {
      const dt = Math.min(step, left);
      // hot copper resists more
      const warm = { ...d, motorResistance: d.motorResistance * (1 + COPPER * (heat.winding - 298.15)) };
      const o =
        'throttle' in seg
          ? operate(warm, seg.throttle, seg.speed, s)
          : 'thrust' in seg
            ? operateForThrust(warm, seg.thrust, seg.speed, s)
            : operateForPower(warm, seg.power, seg.speed, s);
      const row = {
        time,
        soc: s,
        voltage: o.voltage,
        current: o.current,
        omega: o.omega,
        thrust: o.thrust,
        duty: o.duty,
        power: o.power,
        winding: heat.winding,
        case: heat.case,
      };
      if (o.duty > 1.0001) {
        rows.push(row);
        return finish('cannot be held');
      }
      rows.push(row);
      if (o.voltage < d.pack.least) return finish('volts at the least');
      const use = o.current * dt,
        room = d.charge - charge - (1 - soc) * full;
      const part = use > room ? Math.max(0, room / use) : 1;
      time += dt * part;
      charge += use * part;
      energy += o.power * dt * part;
      s -= (use * part) / full;
      heat = heatStep(
        thermal,
        heat,
        motorLoss(warm, o),
        { temperature: air, speed: streamSpeed(d, o.thrust, seg.speed) },
        dt * part,
      );
      hottest = Math.max(hottest, heat.winding);
      if (part < 1) {
        const end = {
          ...row,
          time,
          soc: s,
          winding: heat.winding,
          case: heat.case,
          voltage: packVolts(d, s) - o.current * d.packResistance,
        };
        rows.push(end);
        return finish('charge used');
      }
      left -= dt;
    }
  }
  return finish('history over');
}

/** Seconds until the winding passes its limit at a steady operating point; Infinity when it never does. */
export function timeToLimit(d: Drive, o: OperatingPoint, air: number, speed: number, longest = 1200): number {
  const thermal = thermalOf(d.motor),
    limit = d.motor.maxTemperature ?? USUAL_LIMIT;
  let heat = { winding: air, case: air };
  const flow = streamSpeed(d, o.thrust, speed);
  for (let t = 0; t < longest; t++) {
    heat = heatStep(
      thermal,
      heat,
      motorLoss(d, o, d.motorResistance * (1 + COPPER * (heat.winding - 298.15))),
      { temperature: air, speed: flow },
      1,
    );
    if (heat.winding > limit) return t + 1;
  }
  return Infinity;
}
