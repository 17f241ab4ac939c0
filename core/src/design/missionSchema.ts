/** What is flown: missions of legs, flown in rounds; and the tasks that are scored on them. */
import { z } from 'zod';
import { field } from './fields';
import { above, between, id, label } from './primitives';

export const LEG_KINDS = [
  'ground',
  'climb',
  'straight',
  'turn',
  'cruise',
  'glide',
  'hover',
  'transition',
  'tow',
  'drop',
] as const;

const legSchema = z.strictObject({
  id,
  name: label,
  kind: z.enum(LEG_KINDS),
  /** state it is flown in; null: the one that is asked about */ state: id.nullable(),
  /** of one straight [m] */ length: field(above(5000), 'distance', 'length').optional(),
  /** straights, or half turns of 180 degrees, one after the other */ count: field(
    z.int().min(0).max(24),
    'count',
    'how many',
  ).optional(),
  /** [s] */ time: field(between(0, 36000), 'time', 'time').optional(),
  /** [m/s]; the state's own speed for this kind when null */ speed: field(between(0, 100), 'speed', 'speed')
    .nullable()
    .optional(),
  /** this mode has been flown on this aircraft */ flown: z.boolean().optional(),
});
export type Leg = z.infer<typeof legSchema>;

const roundSchema = z.strictObject({
  id,
  name: label,
  /** how often its legs are flown; null: as often as the window and the pack allow */ times: field(
    z.int().min(1).max(500),
    'count',
    'times',
  ).nullable(),
  /** of those flown as often as fits: how many are timed */ timed: field(
    z.int().min(1).max(500),
    'count',
    'timed laps',
  ).optional(),
  legs: z.array(legSchema).max(60),
});

export const missionSchema = z.strictObject({
  id,
  name: label,
  /** from the start to the end of the clock [s]; null without one */ window: field(
    above(36000),
    'time',
    'window',
  ).nullable(),
  rounds: z.array(roundSchema).min(1).max(20),
});
export type Mission = z.infer<typeof missionSchema>;

export const taskSchema = z.strictObject({
  id,
  name: label,
  /** mission it is scored on; null where the score takes none */ mission: id.nullable(),
  /** expression over the names of `score/names.ts` */
  formula: z.string().max(500),
  /** a state's id, or 'each' when the state is the free choice */
  state: z.string().min(1).max(60),
});
export type Task = z.infer<typeof taskSchema>;
