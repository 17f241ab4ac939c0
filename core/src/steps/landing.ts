/** Coming back on a wing: on wheels, on the belly, into hands or a net. */
import { hovers, returningOf, siteSpread, USUAL_APPROACH, USUAL_BELLY } from '../design';
import {
  APPROACH,
  landingRun as runOut,
  overObstacle,
  stoppingLoad,
  TOUCH_DOWN,
  type LandingRun,
} from '../flight';
import { air } from './air';
import { airframe } from './drag';
import { part, quantitiesOf, remark } from './quantity';
import { step } from './step';
import { NEVER, rollingDragArea } from './takeOff';

export interface Landing {
  readonly approach: number;
  /** on wheels or on the belly; null where hands or a net stop it */ readonly run: LandingRun | null;
  readonly wheels: boolean;
  /** over the obstacle before the place [m]; null where none is told of */ readonly over: number | null;
  /** in hands or a net [g]; null where it runs out */ readonly load: number | null;
}

/** null: it hangs on its rotors. */
export const landing = step({
  id: 'landing',
  scope: 'state',
  needs: { air, airframe },
  causes: ['wind', 'friction'],
  slice: ({ brief: { site }, design }, state) => ({
    way: hovers(design, state) ? ('hover' as const) : returningOf(design, state),
    wind: site.wind,
    friction: site.brakingFriction ?? site.rollingFriction,
    rolling: site.rollingFriction,
    spread: siteSpread(site),
    groundCl: design.flight.groundCl,
    back: design.comingBack ?? {},
  }),
  run: ({ air, airframe }, s, causes): Landing | null => {
    if (s.way === 'hover') return null;
    const { mass, density, area, stall } = airframe,
      wind = Math.max(0, s.wind + causes.wind * s.spread.wind),
      approach = APPROACH * stall,
      none = { approach, run: null, wheels: false, over: null, load: null };
    if (s.way === 'catch' || s.way === 'net') {
      const speed = Math.max(0, TOUCH_DOWN * stall - wind);
      return { ...none, load: s.back.stopDistance ? stoppingLoad(speed, s.back.stopDistance) : null };
    }
    if (s.way === 'spot') return none;
    const wheels = s.way === 'run',
      rubs = wheels ? s.friction : (s.back.bellyFriction ?? USUAL_BELLY),
      // brakes are known as well as wheels are
      share = s.rolling > 0 ? s.spread.friction / s.rolling : 0;
    const run = runOut({
      mass,
      density,
      area,
      stall,
      friction: Math.max(0, rubs * (1 + causes.friction * share)),
      wind,
      // on its belly it lies flat
      groundCl: wheels ? s.groundCl : 0,
      dragArea: rollingDragArea(airframe, TOUCH_DOWN * stall, wheels ? s.groundCl : 0, air.density),
    });
    const { obstacle, approachAngle = USUAL_APPROACH } = s.back,
      over =
        obstacle === undefined || run.status !== 'stops'
          ? null
          : overObstacle(stall, approachAngle, obstacle, run.distance);
    return { ...none, run, wheels, over };
  },
});

const ANDERSON = 'Anderson, Introduction to Flight, 6.16, forces by speed';

const runOf = (r: Landing | null, wheels: boolean) => {
  if (!r?.run || r.wheels !== wheels) return undefined;
  return r.run.status === 'stops' ? r.run.distance : NEVER;
};

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
      read: (r) => runOf(r, true),
      remarks: (r) => remark(r?.run?.status === 'never', 'nothing-brakes', {}),
    },
    bellySlide: {
      name: 'Slide on its belly',
      kind: 'distance',
      station: 'flight',
      formula: '∫ m · V / (D + μ · W) dV from 1.15 · {stallSpeed} down to the head wind; m = {mass}',
      method: `${ANDERSON}; μ 0.5 on grass where it is not typed, common practice, no source`,
      better: 'less',
      read: (r) => runOf(r, false),
    },
    overObstacle: {
      name: 'Landing over the obstacle',
      kind: 'distance',
      station: 'flight',
      formula: 'down at the angle of approach + flare at 1.2 g and 1.23 · {stallSpeed} + run',
      method: 'Anderson, Introduction to Flight, 6.16 (from memory)',
      better: 'less',
      read: (r) => r?.over ?? undefined,
    },
    arrestLoad: {
      name: 'Load of being caught',
      kind: 'loadFactor',
      station: 'flight',
      formula: '(1.15 · {stallSpeed} − head wind)² / (2 · g · distance it is stopped in)',
      method: 'Even stop',
      better: 'less',
      read: (r) => r?.load ?? undefined,
    },
  }),
);
