/** The scale of speeds of an aircraft, its blades, the nodes of its tables, and how far its sections are believed. */
import { G0 } from '../air';
import { factorsOf, priorCalibration, type Design, powertrainOf, type Powertrain } from '../design';
import { speedScale, speedWithoutThrust, type SpeedScale } from '../flight';
import {
  buildDrive,
  flaringCurves,
  operate,
  propellerCurve,
  thrusterOf,
  type FlaringCurves,
  type PropellerCurve,
} from '../power';
import { drooped, sectionTrust, type SectionTrust } from '../surface';
import { asked } from './air';
import { heaviest } from './balance';
import { sections } from './sections';
import { shape } from './shape';
import { NOTHING, step } from './step';
import { part } from './quantity';

/** Coefficients are worth keeping for the parts that somebody tries one after the other. */
const BLADES = 60;

/** What turns; where it stands and how it is tilted do not matter to it. */
function bladesOf({ propeller, fan, unpowered }: Powertrain) {
  const { x: _x, z: _z, downThrust: _d, sideThrust: _s, ...blades } = propeller;
  return { unpowered: unpowered ?? false, propeller: blades, fan };
}

/** Coefficients of the propeller or fan; null where no electric motor is fitted. */
export const thruster = step({
  id: 'thruster',
  scope: 'all',
  needs: {},
  keeps: BLADES,
  slice: ({ design }) => bladesOf(powertrainOf(design)),
  run: (_, { unpowered, propeller, fan }): PropellerCurve | null =>
    unpowered ? null : thrusterOf({ propeller: { ...propeller, x: 0, z: 0 }, ...(fan ? { fan } : {}) }),
});

/** Of the lift rotors. */
export const lifter = step({
  id: 'lifter',
  scope: 'all',
  needs: {},
  keeps: BLADES,
  slice: ({ design }) => ({ rotor: powertrainOf(design).lift?.propeller }),
  run: (_, { rotor }): PropellerCurve | null => (rotor ? propellerCurve(rotor) : null),
});

/** The parts that make thrust and current. */
export function driveParts(design: Design) {
  const { battery, second, wire, esc, motor, propeller, fan, arrangement, avionicsCurrent } =
    powertrainOf(design);
  return { battery, second, wire, esc, motor, propeller, fan, arrangement, avionicsCurrent };
}

/** Where full throttle pulls no more, with nothing learnt yet [m/s]. */
const noThrust = step({
  id: 'no thrust',
  scope: 'all',
  needs: { asked, thruster },
  slice: ({ design }) => ({ parts: driveParts(design) }),
  run: ({ asked, thruster }, { parts }): { speed: number | null } => {
    if (!thruster) return { speed: null };
    const drive = buildDrive(parts, asked.density, factorsOf(priorCalibration().mean), thruster);
    return { speed: speedWithoutThrust((v) => operate(drive, 1, v).thrust) };
  },
});

/** From below the stall to where thrust is nil. */
export const speeds = step({
  id: 'speeds',
  scope: 'all',
  needs: { asked, heaviest, shape, noThrust },
  byContent: true,
  slice: NOTHING,
  run: ({ asked, heaviest, shape, noThrust }): SpeedScale =>
    speedScale(Math.sqrt((2 * heaviest.mass * G0) / (shape.wing.area * asked.density * 0.6)), noThrust.speed),
});

/** Speeds at which thrust is computed [m/s]. */
export const thrustNodes = step({
  id: 'thrust nodes',
  scope: 'all',
  needs: { speeds },
  byContent: true,
  slice: NOTHING,
  run: ({ speeds }): { at: readonly number[] } => ({ at: speeds.thrust }),
});

/** Speeds of the drag tables: on one grid for all aircraft, so that a gram more does not move them [m/s]. */
export const speedNodes = step({
  id: 'speed nodes',
  scope: 'all',
  needs: { speeds },
  byContent: true,
  slice: NOTHING,
  run: ({ speeds }): { at: readonly number[] } => ({ at: speeds.table }),
});

/** How far the sections of the wing are to be believed. */
export const trust = step({
  id: 'section trust',
  scope: 'all',
  byContent: true,
  needs: { asked, sections, speeds },
  slice: ({ design, flaps }) => ({ surfaces: drooped(design, flaps).surfaces }),
  run: ({ asked, sections, speeds }, design): SectionTrust =>
    sectionTrust(design, sections.polars, (c) => (0.7 * speeds.usual * c * asked.density) / asked.viscosity),
});

/** Speed that a rubber model's blades are computed for: to two figures, so that a crumb of clay does not make new ones. */
export function bladeSpeed(usual: number): number {
  return Number(usual.toPrecision(2));
}

const rubberSpeed = step({
  id: 'speed of rubber blades',
  scope: 'all',
  needs: { speeds },
  byContent: true,
  slice: NOTHING,
  run: ({ speeds }): { speed: number } => ({ speed: bladeSpeed(speeds.usual) }),
});

/** Blades of the rubber motor's propeller at their set angle and flared. */
export const rubberBlades = step({
  id: 'rubber blades',
  scope: 'all',
  needs: { rubberSpeed },
  keeps: BLADES,
  slice: ({ design: { power } }) => ({
    propeller: power.rubber?.propeller,
    flares: (power.rubber?.flare ?? 0) > 0,
  }),
  run: ({ rubberSpeed }, { propeller, flares }): FlaringCurves | null =>
    propeller ? flaringCurves(propeller, rubberSpeed.speed, flares ? 1 : 0) : null,
});

export const SPEEDS_PART = part(
  [thruster, lifter, noThrust, speeds, thrustNodes, speedNodes, trust, rubberSpeed, rubberBlades],
  {},
);
