/**
 * Drives and the thrusters they turn. A drive is what stands between a pack and the air: wire, controller, motor with its
 * gear, propeller or fan; none of them is compulsory, what is not known is left out. A thruster is a place where a drive
 * pushes: any number on one drive. SI and radians.
 */
import { z } from 'zod';
import { field } from './fields';
import { bladesOnly, escSchema, fanSchema, motorSchema, wireSchema } from './powerSchema';
import { above, between, id, label } from './primitives';

export const driveSchema = z.strictObject({
  id,
  name: label,
  /** kept in the document, not on the aircraft: the motor of a glider */ fitted: z.literal(false).optional(),
  /** packs it is fed by, by their ids */ packs: z.array(id).max(4),
  /** how several are joined */ joined: z.enum(['parallel', 'series']).optional(),
  wire: wireSchema.optional(),
  controller: escSchema.optional(),
  motor: motorSchema.optional(),
  propeller: bladesOnly.optional(),
  /** turns in place of the propeller */ fan: fanSchema.optional(),
  /** how the throttle stick acts */ law: z.enum(['duty', 'thrust']).optional(),
});
export type DriveSpec = z.infer<typeof driveSchema>;

/** A place is null where it is not known: counted, not drawn. */
export const thrusterSchema = z.strictObject({
  id,
  name: label,
  drive: id,
  x: field(between(-5, 10), 'length', 'from datum').nullable(),
  y: field(between(-10, 10), 'length', 'out from the middle').nullable(),
  z: field(between(-5, 5), 'length', 'height').nullable(),
  /** axis of thrust from straight ahead, nose down and to the right [rad]; −π/2 lifts */ down: field(
    between(-1.6, 1.6),
    'angle',
    'thrust line down',
  ).optional(),
  right: field(between(-0.3, 0.3), 'angle', 'side thrust').optional(),
  /** turns upward in flight, from and to [rad] */ tilt: z
    .strictObject({
      from: field(between(-0.6, 3.2), 'angle', 'tilted least'),
      to: field(between(-0.6, 3.2), 'angle', 'tilted most'),
    })
    .refine((t) => t.from < t.to, 'the range is reversed')
    .optional(),
  /** seen from behind or above */ turns: z.enum(['right', 'left']).optional(),
  /** as drawn, where it is not that of the drive's propeller [m] */ diameter: field(
    above(3),
    'length',
    'diameter',
  ).optional(),
  /** as claimed, where no drive is known to compute it from [N] */ maxThrust: field(
    above(5000),
    'force',
    'largest thrust',
  ).optional(),
});
export type Thruster = z.infer<typeof thrusterSchema>;
