/** What leaves and comes back otherwise than along a strip is told with. SI; angles in radians, up positive. */
import { z } from 'zod';
import { field } from './fields';
import { above, between } from './primitives';

/** Left out: not known, but for a throw, which everybody can make. */
export const launchSchema = z.strictObject({
  throwSpeed: field(above(40), 'speed', 'throw, over the ground', { usual: [4, 14] }).optional(),
  throwHeight: field(between(0, 30), 'distance', 'height of the hand').optional(),
  throwAngle: field(between(-0.6, 1.2), 'angle', 'throw, upward').optional(),
  /** bungee: pull at full stretch, falling evenly to nothing */ linePull: field(
    above(5000),
    'force',
    'pull at full stretch',
  ).optional(),
  lineStretch: field(above(300), 'distance', 'stretch of the line').optional(),
  winchSpeed: field(above(60), 'speed', 'speed of the winch line').optional(),
  winchPull: field(above(5000), 'force', 'pull of the winch').optional(),
  railLength: field(above(30), 'distance', 'length of the rail').optional(),
  railForce: field(above(20000), 'force', 'push along the rail').optional(),
  railAngle: field(between(-0.2, 1.2), 'angle', 'rail, upward').optional(),
  /** rolls with it and stays */ dollyMass: field(between(0, 100), 'mass', 'mass of the dolly').optional(),
  towSpeed: field(above(80), 'speed', 'speed of the tow').optional(),
  dropSpeed: field(above(100), 'speed', 'speed of the carrier').optional(),
  dropHeight: field(above(5000), 'distance', 'height of the drop').optional(),
});
export type Launch = z.infer<typeof launchSchema>;

export const comingBackSchema = z.strictObject({
  /** below the horizontal */ approachAngle: field(
    between(0.02, 0.8),
    'angle',
    'approach, downward',
  ).optional(),
  obstacle: field(between(0, 50), 'distance', 'obstacle before the place').optional(),
  bellyFriction: field(between(0.05, 1.2), 'ratio', 'friction of the belly', {
    usual: [0.3, 0.7],
    step: 0.05,
  }).optional(),
  /** in which hands or a net stop it */ stopDistance: field(
    above(30),
    'distance',
    'stopped within',
  ).optional(),
});
export type ComingBack = z.infer<typeof comingBackSchema>;

/** A throw as most make it, and a belly on grass. Common practice, no source. */
export const USUAL_THROW = { speed: 8, height: 1.8, angle: 0.09 } as const,
  USUAL_BELLY = 0.5,
  USUAL_APPROACH = 0.12;
