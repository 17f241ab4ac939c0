/** What is flown: missions of legs, flown in rounds; and the tasks that are scored on them. */
import { z } from 'zod';
import { field } from './fields';
import { above, between, id, label } from './primitives';
import { oddsSchema, pointsWithin } from './tradeSchema';

export const LEG_KINDS = [
  'prepare',
  'takeOff',
  'climb',
  'straight',
  'turn',
  'loiter',
  'pattern',
  'hover',
  'transition',
  'letOut',
  'tow',
  'takeIn',
  'drop',
  'glide',
  'land',
  'unload',
  'reload',
  'wait',
] as const;
export type LegKind = (typeof LEG_KINDS)[number];

const legSchema = z.strictObject({
  id,
  name: label,
  kind: z.enum(LEG_KINDS),
  /** state it is flown in, or that it leads to where it changes what is aboard or out; null: as the leg before, and the
   * first leg as it is asked about */ state: id.nullable(),
  /** of one straight, or of the way that there is room for [m] */ length: field(
    above(5000),
    'distance',
    'length',
  ).optional(),
  /** straights, turns, rows, circles, one after the other */ count: field(
    z.int().min(0).max(200),
    'count',
    'how many',
  ).optional(),
  /** [s]; as long as it takes where left out */ time: field(between(0, 36000), 'time', 'time').optional(),
  /** [m/s]; the state's own speed for this kind when null */ speed: field(between(0, 100), 'speed', 'speed')
    .nullable()
    .optional(),
  /** above the place it left from, at the end of the leg [m] */ height: field(
    between(0, 5000),
    'distance',
    'height at the end',
  ).optional(),
  /** of one turn [rad], to the left below zero; half a circle where left out */ angle: field(
    between(-6.3, 6.3),
    'angle',
    'turned by',
  ).optional(),
  /** in a turn or circle [rad]; that of the design where left out */ bank: field(
    between(0.05, 1.4),
    'angle',
    'bank',
    { usual: [0.2, 1.1] },
  ).optional(),
  /** from row to row of a pattern [m] */ spacing: field(
    above(2000),
    'distance',
    'from row to row',
  ).optional(),
  /** of the payload, let go, handed over or taken aboard */ units: field(
    z.int().min(1).max(200),
    'count',
    'units',
  ).optional(),
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
  /** way that the first straight goes [rad from north]; with the wind's own it says how the wind blows on each leg */
  bearing: field(between(0, 6.3), 'angle', 'first straight goes towards').optional(),
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
  /** times its points; 1 where left out */ weight: pointsWithin.weight.optional(),
  /** no fewer and no more than these, before they are weighed */ least: pointsWithin.least.optional(),
  most: pointsWithin.most.optional(),
  /** it may fail */ odds: oddsSchema.optional(),
});
export type Task = z.infer<typeof taskSchema>;
