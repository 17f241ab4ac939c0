/** The run of what comes back on its wheels. */
import { hovers, returningOf, siteSpread } from '../design';
import { APPROACH, landingRun as runOut, TOUCH_DOWN, type LandingRun } from '../flight';
import { air } from './air';
import { airframe } from './drag';
import { part, quantitiesOf, remark } from './quantity';
import { step } from './step';
import { NEVER, rollingDragArea } from './takeOff';

export interface Landing {
  readonly approach: number;
  readonly run: LandingRun;
}

/** null: it comes back another way. */
const landing = step({
  id: 'landing',
  scope: 'state',
  needs: { air, airframe },
  causes: ['wind', 'friction'],
  slice: ({ brief: { site }, design }, state) => ({
    runs: returningOf(design, state) === 'run' && !hovers(design, state),
    wind: site.wind,
    friction: site.brakingFriction ?? site.rollingFriction,
    rolling: site.rollingFriction,
    spread: siteSpread(site),
    groundCl: design.flight.groundCl,
  }),
  run: ({ air, airframe }, s, causes): Landing | null => {
    if (!s.runs) return null;
    const { mass, density, area, stall } = airframe,
      // brakes are known as well as wheels are
      share = s.rolling > 0 ? s.spread.friction / s.rolling : 0;
    const run = runOut({
      mass,
      density,
      area,
      stall,
      friction: Math.max(0, s.friction * (1 + causes.friction * share)),
      wind: Math.max(0, s.wind + causes.wind * s.spread.wind),
      groundCl: s.groundCl,
      dragArea: rollingDragArea(airframe, TOUCH_DOWN * stall, s.groundCl, air.density),
    });
    return { approach: APPROACH * stall, run };
  },
});

const ANDERSON = 'Anderson, Introduction to Flight, 6.16, forces by speed';

export const LANDING_PART = part(
  [landing],
  quantitiesOf(landing, {
    approachSpeed: {
      name: 'Approach speed',
      kind: 'speed',
      station: 'flight',
      formula: '1.3 · {stallSpeed}',
      method: ANDERSON,
      better: 'less',
      read: (r) => r?.approach,
    },
    landingRun: {
      name: 'Landing run',
      kind: 'distance',
      station: 'flight',
      formula:
        '∫ m · V / (D + μ(W − L)) dV from 1.15 · {stallSpeed} down to the head wind; m = {mass}, no thrust, μ braking',
      method: ANDERSON,
      better: 'less',
      read: (r) => {
        if (r === null) return undefined;
        return r.run.status === 'stops' ? r.run.distance : NEVER;
      },
      remarks: (r) => remark(r?.run.status === 'never', 'nothing-brakes', {}),
    },
  }),
);
