/** The run of what leaves along the strip. */
import { hovers, leavingOf, runsAlongStrip, siteSpread } from '../design';
import { groundRun, type GroundRun } from '../flight';
import { air } from './air';
import { airframe, type Airframe } from './drag';
import { fullThrust, thrustAt } from './drive';
import { quantitiesOf, remark, part } from './quantity';
import { step } from './step';

/** Stands for a time or distance that does not end: finite, so that tables and files can hold it; always with a remark. */
export const NEVER = 9999;

export interface TakeOff {
  readonly run: GroundRun;
  readonly liftOff: number;
}

/** Drag area while rolling [m2], at the speed whose square is the mean one of the run. */
export function rollingDragArea(a: Airframe, top: number, groundCl: number, density: number): number {
  const rolling = top / Math.SQRT2,
    q = 0.5 * density * rolling * rolling;
  return a.parts(rolling, q * a.area * groundCl).total / q;
}

export const takeOff = step({
  id: 'take-off',
  scope: 'state',
  needs: { air, airframe, fullThrust },
  causes: ['wind', 'friction'],
  slice: ({ brief: { site }, design }, state) => ({
    runs: runsAlongStrip(design, state) && !hovers(design, state),
    wind: site.wind,
    friction: site.rollingFriction,
    spread: siteSpread(site),
    factor: design.flight.liftOffFactor,
    groundCl: design.flight.groundCl,
    slope: site.slope ?? 0,
    dolly: leavingOf(design, state) === 'dolly' ? (design.launch?.dollyMass ?? 0) : 0,
  }),
  run: ({ air, airframe, fullThrust }, s, causes): TakeOff | null => {
    if (!s.runs || !fullThrust.curve) return null;
    const liftOff = s.factor * airframe.stall;
    const run = groundRun(
      { ...airframe, fullThrust: thrustAt(fullThrust.curve) },
      {
        friction: Math.max(0, s.friction + causes.friction * s.spread.friction),
        wind: Math.max(0, s.wind + causes.wind * s.spread.wind),
        liftOffFactor: s.factor,
        groundCl: s.groundCl,
        slope: s.slope,
        carried: s.dolly,
        dragArea: rollingDragArea(airframe, liftOff, s.groundCl, air.density),
      },
    );
    return { run, liftOff };
  },
});

const TAKE_OFF = quantitiesOf(takeOff, {
  liftOffSpeed: {
    name: 'Lift-off speed',
    kind: 'speed',
    station: 'flight',
    formula: 'factor · {stallSpeed}',
    method: 'Common practice, 1.1 to 1.2',
    better: 'less',
    read: (r) => r?.liftOff,
  },
  groundRun: {
    name: 'Ground run',
    kind: 'distance',
    station: 'flight',
    formula:
      '∫ m · V / (T − D − μ(W − L)) dV from the head wind to {liftOffSpeed}; m = {mass}, T from {staticThrust} down',
    method: 'Anderson, Introduction to Flight, 6.15, forces by speed',
    better: 'less',
    read: (r) => (r === null ? undefined : r.run.status === 'airborne' ? r.run.distance : NEVER),
    remarks: (r) => remark(r?.run.status === 'never', 'never-airborne', {}),
  },
});

export const TAKE_OFF_PART = part([takeOff], TAKE_OFF);
