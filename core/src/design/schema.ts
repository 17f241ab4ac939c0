/**
 * The design document: one Zod schema for brief, design and calibration. SI and radians throughout.
 * Axes: x aft from the datum (normally the nose), y to the right, z up. Every stored document carries
 * `schemaVersion`; older ones pass through `upgrades.ts`.
 */
import { z } from 'zod';
import {
  bodySchema,
  boxSchema,
  builtSchema,
  dragSourceSchema,
  halfMassSchema,
  limitsSchema,
  podSchema,
  referenceSchema,
  rotorSchema,
  stateFields,
  wheelSchema,
} from './layoutSchema';
import { claimsSchema, phasesSchema, powerSchema, swapsSchema } from './powerSchema';
import { above, between, finite, id, label, longText } from './primitives';

export const SCHEMA_VERSION = 4;

/** How a value is known. */
export const BASES = ['guess', 'calculated', 'catalogue', 'claimed', 'weighed', 'measured'] as const;
export const basisSchema = z.enum(BASES);
export type Basis = z.infer<typeof basisSchema>;

// ---- brief -------------------------------------------------------------------------------------
const siteSchema = z.strictObject({
  elevation: between(-400, 5000),
  temperature: between(230, 330),
  wind: between(0, 25),
  stripLength: above(2000),
  surface: z.enum(['boards', 'tarmac', 'short grass', 'long grass']),
  /** rolling friction coefficient */
  rollingFriction: between(0, 0.6),
  /** the same with brakes on, or on a skid; the rolling one where left out */ brakingFriction: between(
    0,
    0.9,
  ).optional(),
  /** standard uncertainties of the day: wind [m/s], temperature [K], friction; the usual ones where left out */
  spread: z
    .strictObject({
      wind: between(0, 10).optional(),
      temperature: between(0, 20).optional(),
      friction: between(0, 0.3).optional(),
    })
    .optional(),
});

export const requirementSchema = z
  .strictObject({
    id,
    quantity: z.string().min(1).max(60),
    /** a loading id, or 'all' for every loading */
    state: z.string().min(1).max(60),
    op: z.enum(['atLeast', 'atMost', 'between']),
    min: finite.nullable(),
    max: finite.nullable(),
    /** the rule it comes from */
    rule: label,
    wish: z.boolean(),
  })
  .refine(
    (r) => (r.op === 'atMost' || r.min !== null) && (r.op === 'atLeast' || r.max !== null),
    'a limit is missing',
  )
  .refine((r) => r.op !== 'between' || r.min! <= r.max!, 'the lower limit is above the upper one');

const missionSchema = z.strictObject({
  id,
  name: label,
  /** expression over the names of `score/names.ts` */
  formula: z.string().max(500),
  /** a loading id, or 'each' when the loading is the free choice */
  loading: z.string().min(1).max(60),
});

const rivalSchema = z.strictObject({ name: id, low: finite, likely: finite, high: finite, note: label });

export const briefSchema = z.strictObject({
  purpose: longText,
  site: siteSchema,
  course: z.strictObject({
    /** length of one straight [m] */ straight: above(5000),
    /** straights per lap */ straightsPerLap: z.int().min(1).max(12),
    /** half turns (180 degrees) per lap */ turnsPerLap: z.int().min(0).max(24),
    /** [s] */ window: above(36000),
    /** laps of the ferry or timed task */ timedLaps: z.int().min(1).max(500),
  }),
  requirements: z.array(requirementSchema).max(60),
  missions: z.array(missionSchema).max(12),
  rivals: z.array(rivalSchema).max(20),
  /** the quantities of the ledger strip, `quantity@state` */
  watch: z.array(z.string().max(130)).max(8),
  /** models whose proportions are averaged into a first guess */
  references: z.array(referenceSchema).max(20).optional(),
});
export type Brief = z.infer<typeof briefSchema>;
export type Requirement = z.infer<typeof requirementSchema>;

// ---- design ------------------------------------------------------------------------------------
const pointSchema = z.tuple([between(-0.5, 1.5), between(-1, 1)]);

const fourDigits = z.string().regex(/^\d{4}$/, 'must be four digits');
const share = between(0, 1);
const weights = z.array(between(-2, 2)).min(2).max(10);
const sheet = { camber: between(-0.3, 0.3), at: between(0.1, 0.9), thickness: between(0.0005, 0.1) };

const plainShapes = [
  z.strictObject({ kind: z.literal('naca4'), digits: fourDigits }),
  /** modified 4-digit, as 2412-63: nose index and tenths of the largest thickness */
  z.strictObject({
    kind: z.literal('naca4m'),
    digits: fourDigits,
    nose: z.int().min(0).max(9),
    at: z.int().min(2).max(6),
  }),
  z.strictObject({ kind: z.literal('naca5'), digits: z.string().regex(/^\d{5}$/, 'must be five digits') }),
  z.strictObject({ kind: z.literal('classShape'), upper: weights, lower: weights }),
  z.strictObject({ kind: z.literal('points'), points: z.array(pointSchema).min(10).max(1000) }),
  z.strictObject({ kind: z.literal('plate'), ...sheet }),
  z.strictObject({ kind: z.literal('film'), ...sheet }),
  z.strictObject({
    kind: z.literal('folded'),
    corners: z.array(pointSchema).min(2).max(8),
    thickness: between(0.0005, 0.1),
  }),
] as const;
export const plainShapeSchema = z.discriminatedUnion('kind', [...plainShapes]);

export const shapeSchema = z.discriminatedUnion('kind', [
  ...plainShapes,
  z.strictObject({
    kind: z.literal('stepped'),
    digits: fourDigits,
    steps: z
      .array(
        z.strictObject({
          face: z.enum(['upper', 'lower']),
          at: between(0.1, 0.95),
          depth: between(0.002, 0.15),
        }),
      )
      .min(1)
      .max(2),
  }),
  z.strictObject({ kind: z.literal('blend'), a: plainShapeSchema, b: plainShapeSchema, share }),
]);

/** A polar somebody measured: angle [rad] where known, lift and drag coefficients. */
export const measuredPolarSchema = z.strictObject({
  name: label,
  reynolds: between(1e3, 1e8),
  points: z
    .array(
      z.strictObject({
        alpha: between(-1.6, 1.6).nullable(),
        cl: between(-4, 4),
        cd: between(0, 3).nullable(),
      }),
    )
    .min(1)
    .max(300),
});

export const sectionSchema = z.strictObject({
  id,
  name: label,
  shape: shapeSchema,
  /** factors on thickness and camber, and a hinged flap [rad, down positive] */
  change: z
    .strictObject({
      thickness: between(0.2, 3),
      camber: between(-3, 3),
      flap: z.strictObject({ hinge: between(0.4, 0.95), angle: between(-0.7, 0.7) }).nullable(),
    })
    .optional(),
  measured: z.array(measuredPolarSchema).max(40).optional(),
  note: label,
});

/** What a section is chosen by: the lift it works at, what counts how much, and how badly it may be built. */
export const sectionChoiceSchema = z.strictObject({
  lift: between(-0.5, 2),
  weights: z.record(
    z.enum(['clMax', 'glide', 'lowDrag', 'moment', 'sparDepth', 'flatBottom', 'tolerance']),
    between(0, 10),
  ),
  errors: z.strictObject({
    thickness: between(0, 0.3),
    camber: between(0, 0.02),
    nose: between(0, 0.6),
    edge: between(0, 0.02),
  }),
});
export type SectionShape = z.infer<typeof sectionSchema>['shape'];
export type Section = z.infer<typeof sectionSchema>;
export type SectionChoice = z.infer<typeof sectionChoiceSchema>;
export type MeasuredPolar = z.infer<typeof measuredPolarSchema>;

const stationSchema = z.strictObject({
  /** distance from the root along the span [m] */ y: between(0, 10),
  /** leading edge behind the surface's origin [m] */ x: between(-5, 5),
  /** leading edge above the surface's origin [m] */ z: between(-5, 5),
  chord: above(5),
  /** leading edge up positive [rad] */ twist: between(-0.6, 0.6),
  section: id,
});
export type Station = z.infer<typeof stationSchema>;

const controlSchema = z.strictObject({
  id,
  name: label,
  /** elevon: elevator and aileron; flaperon: flap and aileron; ruddervator: elevator and rudder */
  kind: z.enum(['aileron', 'elevator', 'rudder', 'flap', 'elevon', 'flaperon', 'ruddervator']),
  /** from and to as fractions of the half span */
  from: between(0, 1),
  to: between(0, 1),
  /** control chord / local chord */
  chordFraction: between(0.02, 1),
  /** largest deflection either way [rad] */
  maxDeflection: between(0, 1.2),
  /** downward travel over upward travel of an aileron; 1 is no differential */ differential: between(
    0,
    1,
  ).optional(),
  /** torque of one servo [N m] and how many drive one side */ servo: z
    .strictObject({ torque: above(100), count: z.int().min(1).max(4) })
    .optional(),
});

export const surfaceSchema = z.strictObject({
  id,
  name: label,
  /** wing: the one that sizes are referred to; tail: behind it; canard: ahead of it; fin: stations go up */
  role: z.enum(['wing', 'tail', 'canard', 'fin']),
  x: between(-5, 10),
  /** of the root beside the middle [m] */ y: between(0, 10).optional(),
  /** stands on both sides; by default all but fins in the middle */ mirror: z.boolean().optional(),
  z: between(-5, 5),
  incidence: between(-0.4, 0.4),
  stations: z
    .array(stationSchema)
    .min(2)
    .max(24)
    .refine((s) => s.every((p, i) => i === 0 || p.y > s[i - 1].y), 'stations must go outward from the root'),
  controls: z.array(controlSchema).max(8),
  /** distances out at which it comes apart [m]; a joint in the middle is 0 */ joints: z
    .array(between(0, 10))
    .max(8)
    .optional(),
});
export type Surface = z.infer<typeof surfaceSchema>;

export const PART_KINDS = [
  'motor',
  'propeller',
  'controller',
  'pack',
  'wire',
  'fan',
  'rubber',
  'lift motor',
  'lift rotor',
  'solar cells',
  'spar',
  'gear',
  'servo',
] as const;
export type PartKind = (typeof PART_KINDS)[number];
/** `of`: which one where there are several: `second` pack, propeller of the `rubber`, a rotor, a surface; all without it */
const partSchema = z.strictObject({ kind: z.enum(PART_KINDS), of: id.optional() });
export type PartLink = z.infer<typeof partSchema>;

export const itemSchema = z.strictObject({
  id,
  name: label,
  /** the part of the design that this line weighs; a line without one is only a mass */ part: partSchema.optional(),
  group: z.enum(['structure', 'propulsion', 'battery', 'electronics', 'gear', 'other']),
  /** planned mass [kg], or areal mass [kg/m2] times the wetted half (plan area) of a surface */
  planned: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('mass'), mass: between(0, 200) }),
    z.strictObject({ kind: z.literal('areal'), surface: id, perArea: between(0, 100) }),
    /** calculated from volumes and faces of a surface, or of the body ('body') */
    z.strictObject({
      kind: z.literal('made'),
      part: id,
      skin: z.strictObject({ thickness: above(0.05), density: above(20000) }).nullable(),
      core: z.strictObject({ density: above(20000), infill: between(0, 1) }).nullable(),
      covering: z.strictObject({ perArea: between(0, 10) }).nullable(),
    }),
    /** follows the part it is: this often the usual mass of such a part */
    z.strictObject({ kind: z.literal('part'), factor: between(0.01, 100) }),
  ]),
  basis: basisSchema,
  /** standard uncertainty as a fraction of the planned mass */
  spread: between(0, 1),
  /** what the scale says of the built part [kg] */
  weighed: between(0, 200).nullable(),
  x: between(-5, 10),
  y: between(-10, 10),
  z: between(-5, 5),
  /** spread along the span: relieves the spar */
  inWing: z.boolean(),
  movable: z
    .strictObject({ from: between(-5, 10), to: between(-5, 10) })
    .refine((m) => m.from <= m.to, 'the range is reversed')
    .nullable(),
  /** room it takes inside the body, lengthways */ box: boxSchema.optional(),
});
export type Item = z.infer<typeof itemSchema>;

const loadingSchema = z.strictObject({ id, name: label, count: z.int().min(0).max(500), ...stateFields });
export type Loading = z.infer<typeof loadingSchema>;

export const designSchema = z.strictObject({
  sections: z.array(sectionSchema).min(1).max(40),
  sectionChoice: sectionChoiceSchema.optional(),
  surfaces: z.array(surfaceSchema).min(1).max(8),
  body: bodySchema,
  pods: z.array(podSchema).max(8).optional(),
  rotors: z.array(rotorSchema).max(16).optional(),
  wheels: z.array(wheelSchema).max(8).optional(),
  built: z.array(builtSchema).max(60).optional(),
  halves: z.array(halfMassSchema).max(8).optional(),
  limits: limitsSchema.optional(),
  dragItems: z
    .array(
      z.strictObject({
        id,
        name: label,
        dragArea: between(0, 5),
        note: label,
        /** how it is found; without it the drag area is as typed */ from: dragSourceSchema.optional(),
        /** part that makes it: rotors that stand still on the wing */ part: partSchema.optional(),
      }),
    )
    .max(40),
  items: z.array(itemSchema).max(200),
  payload: z.strictObject({
    name: label,
    unitMass: between(0, 50),
    /** x of the first unit [m] */ x: between(-5, 10),
    z: between(-5, 5),
    /** spacing of rows along x [m] */ pitch: between(0, 2),
    perRow: z.int().min(1).max(20),
    basis: basisSchema,
  }),
  loadings: z.array(loadingSchema).min(1).max(40),
  /** the whole aircraft on the scale, as built */
  scale: z
    .array(
      z.strictObject({
        id,
        loading: id,
        mass: above(500),
        cgX: between(-20, 20).nullable(),
        note: label,
        /** readings of two or three scales, each under a point of the aircraft */ readings: z
          .array(z.strictObject({ x: between(-5, 10), y: between(-10, 10), mass: between(0, 500) }))
          .min(2)
          .max(3)
          .optional(),
      }),
    )
    .max(40),
  power: powerSchema,
  swaps: swapsSchema.optional(),
  phases: phasesSchema.optional(),
  claims: claimsSchema.optional(),
  structure: z.strictObject({
    spar: z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('tube'), outer: above(0.5), wall: above(0.1), material: id }),
      z.strictObject({
        kind: z.literal('box'),
        height: above(0.5),
        width: above(0.5),
        cap: above(0.1),
        capMaterial: id,
        web: above(0.1),
        webMaterial: id,
      }),
    ]),
    /** place of the spar as a fraction of the chord */ chordPlace: between(0.05, 0.8),
    requiredLoadFactor: between(1, 20),
    requiredNegative: between(0, 20),
    /** failure load over limit load */ safetyFactor: between(1, 4),
  }),
  flight: z.strictObject({
    /** bank in the turns of a lap [rad] */ turnBank: between(0.1, 1.4),
    /** throttle on the laps, 0 to 1 */ lapThrottle: between(0.1, 1),
    /** share of usable charge kept back */ reserve: between(0, 0.8),
    /** lift-off speed over stall speed */ liftOffFactor: between(1, 1.6),
    /** lift coefficient while rolling on the ground */ groundCl: between(-0.5, 1.5),
    /** least and most static margin wanted (fraction of the mean chord) */ marginMin: between(-0.2, 0.6),
    marginMax: between(-0.1, 0.9),
    /** ailerons are to answer so far past the first stall [rad] */ aileronReserve: between(
      0,
      0.3,
    ).optional(),
  }),
  /** how a number is known, by its path in the design; a number not named here is a guess */
  basis: z.record(z.string().max(120), basisSchema),
});
export type Design = z.infer<typeof designSchema>;

// ---- calibration -------------------------------------------------------------------------------
/** Fixed order of the calibration vector; covariance rows follow it. */
export const FACTOR_IDS = [
  'dragArea',
  'induced',
  'thrust',
  'electricalLoss',
  'capacity',
  'clMax',
  'neutralPoint',
  'stiffness',
  'strength',
  'massGrowth',
  'torque',
  'sectionDrag',
  'sectionLift',
] as const;
export type FactorId = (typeof FACTOR_IDS)[number];

export const calibrationSchema = z.strictObject({
  mean: z.array(finite).length(FACTOR_IDS.length),
  covariance: z.array(z.array(finite).length(FACTOR_IDS.length)).length(FACTOR_IDS.length),
  /** ids of the tests whose measurements are inside */
  from: z.array(z.string().max(60)).max(400),
  /** made by an earlier model: to be fitted again to its tests */ refit: z.literal(true).optional(),
});
export type Calibration = z.infer<typeof calibrationSchema>;

export const documentSchema = z.strictObject({
  schemaVersion: z.literal(SCHEMA_VERSION),
  brief: briefSchema,
  design: designSchema,
  calibration: calibrationSchema,
});
export type DesignDocument = z.infer<typeof documentSchema>;
