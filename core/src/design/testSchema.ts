/** Tests of a built airframe: the card before, the record after, and what was measured. */
import { z } from 'zod';
import { field } from './fields';
import { logEntrySchema, MOST_LOGS } from './logSchema';
import { measurementSchema, readingSchema } from './measurementSchema';
import { memberSchema } from './memberSchema';
import { bladesOnly, motorSchema } from './powerSchema';

const finite = z.number().refine(Number.isFinite, 'must be a number');
const text = z.string().max(4000);

/** The fixed vocabulary of handling notes. `advice` in refine reads these. */
export const HANDLING = [
  'as expected',
  'nose-heavy',
  'tail-heavy',
  'tip-stall',
  'needs up trim',
  'needs down trim',
  'needs left trim',
  'needs right trim',
  'climbs under power',
  'sluggish roll',
  'long ground run',
  'spar bends visibly',
] as const;
export type Handling = (typeof HANDLING)[number];

const logRowSchema = z.tuple([finite, finite, finite, finite, finite, finite, finite]);

/** t [s], throttle 0 to 1, V, A, thrust [N], rotation [rad/s], motor [K] or null */
export const benchRowSchema = z.tuple([
  finite,
  finite.min(0).max(1),
  finite.min(0).max(200),
  finite.min(-50).max(1000),
  finite.min(-5000).max(5000),
  finite.min(0).max(10000),
  finite.min(200).max(600).nullable(),
]);
/** Runs of one bench test. */
export const MOST_RUNS = 40;
export const benchSchema = z.strictObject({
  /** parts of the swap set on the stand; null as the design has them */
  propeller: z.string().max(60).nullable(),
  pack: z.string().max(60).nullable(),
  /**
   * propeller and motor as they were when the first run was taken: a later change of the design does not change what was
   * measured
   */
  fitted: z.strictObject({ propeller: bladesOnly, motor: motorSchema }).optional(),
  /** log: many rows a window, averaged; table: one row a step, read by hand */
  runs: z
    .array(
      z.strictObject({
        name: z.string().max(80),
        kind: z.enum(['log', 'table']),
        rows: z.array(benchRowSchema).min(1).max(6000),
      }),
    )
    .max(MOST_RUNS),
  /** what the maker says, at full throttle */
  claim: z
    .strictObject({
      thrust: field(finite.gt(0).max(5000), 'force', 'thrust').nullable(),
      current: field(finite.gt(0).max(1000), 'current', 'current').nullable(),
      volts: field(finite.gt(0).max(200), 'voltage', 'volts').nullable(),
    })
    .nullable(),
});
export type BenchBody = z.infer<typeof benchSchema>;
export type BenchRow = z.infer<typeof benchRowSchema>;

/** A flight on rubber. Turns are of the motor, not of the crank. */
const rubberRecordSchema = z.strictObject({
  launchTurns: field(finite.gt(0).max(30000), 'count', 'turns at launch').nullable(),
  turnsLeft: field(finite.min(0).max(30000), 'count', 'turns left').nullable(),
  launchTorque: field(finite.gt(0).max(10), 'smallMoment', 'torque at launch').nullable(),
  seconds: field(finite.gt(0).max(36000), 'time', 'flight time').nullable(),
  height: field(finite.min(0).max(3000), 'distance', 'height').nullable(),
  motorLength: field(finite.gt(0).max(5), 'length', 'motor length').nullable(),
  pitch: field(finite.gt(0).max(3), 'length', 'pitch').nullable(),
  /** no rafters, no steering, no thermal */ clean: z.boolean(),
});

/** Figures read off a picture. */
const footageSchema = z.strictObject({
  /** over ground [m/s] */ pass: field(finite.min(0).max(150), 'speed', 'pass one way').nullable(),
  passBack: field(finite.min(0).max(150), 'speed', 'pass the other way').nullable(),
  height: field(finite.min(0).max(3000), 'distance', 'height gained').nullable(),
  seconds: field(finite.gt(0).max(36000), 'time', 'in this time').nullable(),
  amps: field(finite.min(0).max(1000), 'current', 'amps').nullable(),
  /** of receiver, servos and camera */ ampsRest: field(
    finite.min(0).max(100),
    'current',
    'amps of the rest',
  ).nullable(),
  /** of the pack */ voltsRest: field(
    finite.gt(0).max(200),
    'voltage',
    'volts with the motor off',
  ).nullable(),
  voltsLoaded: field(finite.gt(0).max(200), 'voltage', 'volts with the motor on').nullable(),
});

/** Longest list of steps, and of stations of a half, that a load test has. */
const MOST_STEPS = 20,
  MOST_BAGS = 12;

/** What a load test was planned to be: loads, and what the prediction of that day expects of each. */
const loadPlanSchema = z.strictObject({
  /** places of the bags on a half, distance out [m] */ places: z
    .array(field(finite.min(0).max(10), 'length', 'distance out'))
    .max(MOST_BAGS),
  steps: z
    .array(
      z.strictObject({
        /** load factor that the root sees */ n: field(finite.min(0).max(60), 'loadFactor', 'load factor'),
        /** at each place of a half, or in the body when lifted by the tips [kg] */ bags: z
          .array(field(finite.min(0).max(500), 'mass', 'bags'))
          .max(MOST_BAGS),
        /** expected of the tip [m] */ tip: field(finite.min(-10).max(10), 'length', 'tip expected'),
      }),
    )
    .min(1)
    .max(MOST_STEPS),
  /** load factor at which it would break in this test */ failsAt: field(
    finite.gt(0).max(1000),
    'loadFactor',
    'breaks at',
  ),
  /** of the root as predicted then: moment at failure [N m], stiffness [N m2] */
  moment: field(finite.gt(0), 'moment', 'moment at failure, root'),
  EI: field(finite.gt(0), 'bendingStiffness', 'stiffness, root'),
  /** members as they stood under the bags: a later change of the design does not change what was loaded */
  members: z.array(memberSchema).max(40),
  /** of the state that it stands for */ mass: field(finite.gt(0).max(500), 'allUpMass', 'all-up mass'),
  /** where along the half less than the case asks is tested [m], and how much of it */ short: z
    .array(
      z.strictObject({
        from: field(finite, 'length', 'from'),
        to: field(finite, 'length', 'to'),
        share: field(finite, 'percent', 'share tested'),
      }),
    )
    .max(20),
});
export type LoadPlan = z.infer<typeof loadPlanSchema>;

/** A wing loaded on the ground, step by step. */
const loadTestSchema = z.strictObject({
  kind: z.enum(['bags', 'tips']),
  direction: z.enum(['up', 'down']),
  /** load factor that it goes to */ to: field(finite.gt(0).max(30), 'loadFactor', 'load factor to reach'),
  /** a bag [kg] */ bag: field(finite.gt(0).max(20), 'mass', 'one bag'),
  /** bags on a half */ count: field(z.int().min(1).max(MOST_BAGS), 'count', 'places on a half'),
  plan: loadPlanSchema.nullable(),
  /** of the tip at every step [m]; null where not read */ readings: z
    .array(field(finite.min(-10).max(10), 'length', 'tip read').nullable())
    .max(MOST_STEPS),
  /** steps that were held */ held: field(z.int().min(0).max(MOST_STEPS), 'count', 'steps held'),
  /** of the tip after everything was taken off [m] */ remains: field(
    finite.min(-10).max(10),
    'length',
    'tip after unloading',
  ).nullable(),
  /** it broke, at which load factor and where */ broke: z
    .strictObject({
      n: field(finite.gt(0).max(60), 'loadFactor', 'broke at'),
      y: field(finite.min(0).max(10), 'length', 'distance out'),
      what: text,
    })
    .nullable(),
});
export type LoadTest = z.infer<typeof loadTestSchema>;

/** Numbers of one test: of its form, and of as many logs as it may hold. */
export const MOST_READINGS = 60;
const MOST_MEASUREMENTS = 800;

export const testBodySchema = z.strictObject({
  card: z.strictObject({
    title: z.string().max(160),
    question: text,
    oneChange: text,
    expected: text,
    stopWhen: text,
    /** a state's id */ state: z.string().min(1).max(60),
    /** written reason for flying outside the stop line */
    overrideReason: text,
  }),
  checklist: z
    .array(z.strictObject({ text: z.string().max(200), done: z.boolean(), caution: z.boolean() }))
    .max(60),
  signedBy: z.string().max(80),
  record: z.strictObject({
    flown: z.boolean(),
    date: z.string().max(40),
    temperature: field(finite.min(230).max(330), 'temperature', 'temperature'),
    wind: field(finite.min(0).max(30), 'speed', 'wind'),
    cgX: field(finite, 'length', 'CG from datum').nullable(),
    mass: field(finite.gt(0).max(500), 'allUpMass', 'all-up mass').nullable(),
    /** charge in the pack before and after [A s] */
    chargeBefore: field(finite.min(0), 'charge', 'charge before').nullable(),
    chargeAfter: field(finite.min(0), 'charge', 'charge after').nullable(),
    /** motor time [s] */
    duration: field(finite.min(0), 'time', 'motor time').nullable(),
    laps: z.array(field(finite.gt(0).max(36000), 'time', 'lap')).max(400),
    groundRun: field(finite.min(0).max(5000), 'distance', 'ground run').nullable(),
    stallSpeed: field(finite.gt(0).max(200), 'speed', 'stall speed').nullable(),
    /** names of the swap set, as flown */ pack: z.string().max(80).optional(),
    propeller: z.string().max(80).optional(),
    configuration: z.string().max(160).optional(),
    /** flown hanging on its rotors */ hung: z.literal(true).optional(),
    handling: z.array(z.enum(HANDLING)).max(12),
    notes: text,
    damage: text,
    rubber: rubberRecordSchema.optional(),
    footage: footageSchema.optional(),
    /** of numbers that the form does not ask for */ readings: z
      .array(readingSchema)
      .max(MOST_READINGS)
      .optional(),
  }),
  /** logs of the flight, their rows in their files */ logs: z
    .array(logEntrySchema)
    .max(MOST_LOGS)
    .optional(),
  /**
   * rows as files up to schema 7 carried them: t [s], x east [m], y north [m], height [m], ground speed [m/s], V, A. They
   * become a file when they are stored.
   */
  log: z
    .strictObject({
      name: z.string().max(200),
      rows: z.array(logRowSchema).max(40000),
      remarks: z.array(z.string().max(300)).max(50),
    })
    .nullable(),
  measurements: z.array(measurementSchema).max(MOST_MEASUREMENTS),
  /** on the thrust stand, not in the air */ bench: benchSchema.optional(),
  /** a wing under bags, not in the air */ load: loadTestSchema.optional(),
});
export type TestBody = z.infer<typeof testBodySchema>;
/** No figure read off a picture yet. */
export const emptyFootage = (): NonNullable<TestBody['record']['footage']> => ({
  pass: null,
  passBack: null,
  height: null,
  seconds: null,
  amps: null,
  ampsRest: null,
  voltsRest: null,
  voltsLoaded: null,
});
/** What is recorded of a test before anybody has written anything: nothing is known. */
export const emptyRecord = (known: Partial<TestBody['record']> = {}): TestBody['record'] => ({
  flown: false,
  date: '',
  temperature: 288.15,
  wind: 0,
  cgX: null,
  mass: null,
  chargeBefore: null,
  chargeAfter: null,
  duration: null,
  laps: [],
  groundRun: null,
  stallSpeed: null,
  handling: [],
  notes: '',
  damage: '',
  ...known,
});
export type LogRow = z.infer<typeof logRowSchema>;
