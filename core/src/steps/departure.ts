/** What is thrown, slung, pulled, pushed along a rail, towed or dropped: how fast it leaves, and what happens then. */
import { G0 } from '../air';
import { hovers, leavingOf, siteSpread, USUAL_THROW, type Launch, type Leaving } from '../design';
import {
  away,
  railSpeed,
  slungSpeed,
  stallSpeed,
  throwNeeded,
  type Away,
  type Departure,
  type PointModel,
} from '../flight';
import { airframe } from './drag';
import { fullThrust, thrustAt } from './drive';
import { part, quantitiesOf, remark } from './quantity';
import { step } from './step';

/** Over a line and its rings so much of the work is lost; a rail rubs so much. Common practice, no source. */
const LINE_EFFICIENCY = 0.75,
  RAIL_FRICTION = 0.1,
  /** path as the line lets go [rad], and its height [m] */ SLUNG = { angle: 0.17, height: 0.5 },
  RAIL_HEIGHT = 0.5;
/** Thrown, it may come no nearer to the ground [m]; nobody throws faster [m/s]. Common practice, no source. */
export const THROW_LIMITS = { clear: 0.3, fastest: 25 } as const;

/** Airspeed and path at which it is let go, and the load of being brought there [g]; null where nobody said how. */
interface LetGo extends Departure {
  readonly load: number | null;
  /** it sinks, and is to fly by itself from there */ readonly free: boolean;
}

export interface Leave extends Away {
  readonly way: Leaving;
  readonly speed: number;
  readonly load: number | null;
  readonly free: boolean;
  /** throw that would do, over the ground [m/s]; null where it is not thrown, or none does */ readonly needed:
    number | null;
  readonly usual: boolean;
}

type Ask = { launch: Launch; model: PointModel; wind: number; aim: number };

const THROWN = ({ launch: l, wind, aim }: Ask): LetGo => ({
  speed: (l.throwSpeed ?? USUAL_THROW.speed) + wind,
  angle: l.throwAngle ?? USUAL_THROW.angle,
  height: l.throwHeight ?? USUAL_THROW.height,
  aim,
  load: null,
  free: true,
});

/** Each way's own; those without a figure are not known. */
const WAYS: Partial<Record<Leaving, (a: Ask) => LetGo | null>> = {
  hand: THROWN,
  bungee({ launch: l, model, wind, aim }) {
    if (l.linePull === undefined || l.lineStretch === undefined) return null;
    const line = { pull: l.linePull, stretch: l.lineStretch, efficiency: LINE_EFFICIENCY },
      against = model.drag(stallSpeed(model)) - model.fullThrust(0.5 * stallSpeed(model));
    const speed = slungSpeed(model.mass, line, against / 2) + wind,
      load = l.linePull / (model.mass * G0);
    return { speed, ...SLUNG, aim, load, free: true };
  },
  winch({ launch: l, model, wind, aim }) {
    if (l.winchSpeed === undefined) return null;
    const load = l.winchPull === undefined ? null : l.winchPull / (model.mass * G0);
    return { speed: l.winchSpeed + wind, ...SLUNG, aim, load, free: false };
  },
  rail({ launch: l, model, wind, aim }) {
    if (l.railLength === undefined || l.railForce === undefined) return null;
    const angle = l.railAngle ?? 0.17,
      rail = { force: l.railForce, length: l.railLength, angle, friction: RAIL_FRICTION };
    const speed = railSpeed(model.mass, rail) + wind;
    return { speed, angle, height: RAIL_HEIGHT, aim, load: l.railForce / (model.mass * G0), free: true };
  },
  towed({ launch: l, aim }) {
    if (l.towSpeed === undefined) return null;
    return { speed: l.towSpeed, ...SLUNG, aim, load: null, free: false };
  },
  dropped({ launch: l, aim }) {
    if (l.dropSpeed === undefined || l.dropHeight === undefined) return null;
    return { speed: l.dropSpeed, angle: 0, height: l.dropHeight, aim, load: null, free: true };
  },
};

/** Path that it is brought to: what its thrust climbs at 1.3 times the stall, or its glide there [rad]. */
export function aimOf(m: PointModel): number {
  const v = 1.3 * stallSpeed(m),
    spare = (m.fullThrust(v) - m.drag(v)) / (m.mass * G0);
  return Math.asin(Math.max(-0.5, Math.min(0.35, spare)));
}

/** null: it runs, hangs on its rotors, or nobody said how it is launched. */
export const departure = step({
  id: 'departure',
  scope: 'state',
  needs: { airframe, fullThrust },
  causes: ['wind'],
  slice: ({ brief: { site }, design }, state) => ({
    way: hovers(design, state) ? ('hover' as const) : leavingOf(design, state),
    launch: design.launch ?? {},
    wind: site.wind,
    spread: siteSpread(site).wind,
  }),
  run: ({ airframe, fullThrust }, { way, launch, wind, spread }, f): Leave | null => {
    const make = WAYS[way];
    if (!make) return null;
    // dropped, it flies before its motor runs
    const thrust = way === 'dropped' ? () => 0 : thrustAt(fullThrust.curve),
      model: PointModel = { ...airframe, fullThrust: thrust },
      head = Math.max(0, wind + f.wind * spread);
    const ask = { launch, model, wind: way === 'dropped' || way === 'towed' ? 0 : head, aim: aimOf(model) },
      from = make(ask);
    if (!from || !(from.speed > 0)) return null;
    return {
      ...away(model, from),
      way,
      speed: from.speed,
      load: from.load,
      free: from.free,
      needed:
        way === 'hand'
          ? throwNeeded(model, { ...from, wind: head }, THROW_LIMITS.clear, THROW_LIMITS.fastest)
          : null,
      usual: way === 'hand' && launch.throwSpeed === undefined,
    };
  },
});

const MECHANICS = 'Point mass in the vertical plane, lift inside 0.9 of the largest';
const usual = (r: Leave | null) => remark(r?.usual === true, 'usual-throw', { ...USUAL_THROW });

const DEPARTURE = quantitiesOf(departure, {
  launchSpeed: {
    name: 'Airspeed when it is let go',
    kind: 'speed',
    station: 'flight',
    formula:
      'speed over the ground + head wind: thrown, √(2 · work / {mass}) of line or rail, of winch or tow',
    method: 'Work and energy; a quarter of a line’s work is lost, common practice, no source',
    better: 'more',
    read: (r) => r?.speed,
    remarks: usual,
  },
  launchOverStall: {
    name: 'Let go over stall speed',
    kind: 'ratio',
    station: 'flight',
    formula: '{launchSpeed} / {stallSpeed}',
    method: 'Definition',
    better: 'more',
    read: (r) => r?.overStall,
    remarks: usual,
  },
  launchLost: {
    name: 'Height lost before it flies',
    kind: 'distance',
    station: 'flight',
    formula: 'from the hand, line or carrier down to the lowest of its path; {launchSpeed}, {mass}, {clMax}',
    method: MECHANICS,
    better: 'less',
    read: (r) => (r?.free ? r.lost : undefined),
    remarks: usual,
  },
  launchLowest: {
    name: 'Lowest after it is let go',
    kind: 'distance',
    station: 'flight',
    formula: 'height of letting go − {launchLost}',
    method: MECHANICS,
    better: 'more',
    read: (r) => (r?.free ? r.lowest : undefined),
    remarks: usual,
  },
  launchLoad: {
    name: 'Pull of the launch over weight',
    kind: 'loadFactor',
    station: 'flight',
    formula: 'largest force of line, winch or rail / ({mass} · g)',
    method: 'Definition',
    better: 'less',
    read: (r) => r?.load ?? undefined,
  },
  throwNeeded: {
    name: 'Throw that is needed',
    kind: 'speed',
    station: 'flight',
    formula: 'least throw over the ground that stays 0.3 m clear and flies; {mass}, {clMax}, head wind',
    method: MECHANICS,
    better: 'less',
    read: (r) => r?.needed ?? undefined,
  },
});

export const DEPARTURE_PART = part([departure], DEPARTURE);
