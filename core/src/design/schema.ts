/**
 * The design document: one Zod schema for brief, design and calibration. SI and radians throughout.
 * Axes: x aft from the datum (normally the nose), y to the right, z up. Every stored document carries
 * `schemaVersion`; older ones pass through `upgrades.ts`.
 */
import { z } from 'zod';
import { field } from './fields';
import {
  bodySchema,
  boxSchema,
  builtSchema,
  dragSourceSchema,
  frameDragSchema,
  halfMassSchema,
  limitsSchema,
  podSchema,
  referenceSchema,
  stateFields,
  wheelSchema,
} from './layoutSchema';
import { requirementSchema, rivalSchema, statementSchema, variantSchema } from './askedSchema';
import { siteSchema } from './siteSchema';
import { tradeSchema } from './tradeSchema';
import { structureSchema } from './structureSchema';
import { driveSchema, thrusterSchema } from './driveSchema';
import { comingBackSchema, launchSchema } from './launchSchema';
import { droppingSchema, statedSchema, winchSchema } from './airTaskSchema';
import { missionSchema, taskSchema } from './missionSchema';
import { claimsSchema, powerSchema, swapsSchema } from './powerSchema';
import { above, between, finite, id, label, longText } from './primitives';

export const SCHEMA_VERSION = 8;

/** How a value is known. */
export const BASES = ['guess', 'calculated', 'catalogue', 'claimed', 'weighed', 'measured'] as const;
const basisSchema = z.enum(BASES);
export type Basis = z.infer<typeof basisSchema>;

// ---- brief -------------------------------------------------------------------------------------
export const briefSchema = z.strictObject({
  purpose: longText,
  site: siteSchema,
  requirements: z.array(requirementSchema).max(60),
  /** what no number says */ statements: z.array(statementSchema).max(60).optional(),
  /** what is flown */ missions: z.array(missionSchema).max(12),
  /** what is scored */ tasks: z.array(taskSchema).max(12),
  rivals: z.array(rivalSchema).max(20),
  /** the same contest under other rules */ variants: z.array(variantSchema).max(8).optional(),
  /** figures that somebody stated, to be held against each other */ stated: z
    .array(statedSchema)
    .max(40)
    .optional(),
  /** the quantities of the ledger strip, `quantity@state` */
  watch: z.array(z.string().max(130)).max(8),
  /** models whose proportions are averaged into a first guess */
  references: z.array(referenceSchema).max(20).optional(),
});
export type Brief = z.infer<typeof briefSchema>;

// ---- design ------------------------------------------------------------------------------------
const pointSchema = z.tuple([
  field(between(-0.5, 1.5), 'chordPercent', 'along the chord'),
  field(between(-1, 1), 'chordPercent', 'above the chord'),
]);

const fourDigits = z.string().regex(/^\d{4}$/, 'must be four digits');
const share = field(between(0, 1), 'percent', 'share of the second');
const weights = z
  .array(field(between(-2, 2), 'ratio', 'weight'))
  .min(2)
  .max(10);
const sheet = {
  camber: field(between(-0.3, 0.3), 'chordPercent', 'camber'),
  at: field(between(0.1, 0.9), 'chordPercent', 'place of the camber'),
  thickness: field(between(0.0005, 0.1), 'chordPercent', 'thickness'),
};

const plainShapes = [
  z.strictObject({ kind: z.literal('naca4'), digits: fourDigits }),
  /** modified 4-digit, as 2412-63: nose index and tenths of the largest thickness */
  z.strictObject({
    kind: z.literal('naca4m'),
    digits: fourDigits,
    nose: field(z.int().min(0).max(9), 'count', 'nose index'),
    at: field(z.int().min(2).max(6), 'count', 'tenths of the largest thickness'),
  }),
  z.strictObject({ kind: z.literal('naca5'), digits: z.string().regex(/^\d{5}$/, 'must be five digits') }),
  z.strictObject({ kind: z.literal('classShape'), upper: weights, lower: weights }),
  z.strictObject({ kind: z.literal('points'), points: z.array(pointSchema).min(10).max(1000) }),
  z.strictObject({ kind: z.literal('plate'), ...sheet }),
  z.strictObject({ kind: z.literal('film'), ...sheet }),
  z.strictObject({
    kind: z.literal('folded'),
    corners: z.array(pointSchema).min(2).max(8),
    thickness: field(between(0.0005, 0.1), 'chordPercent', 'thickness'),
  }),
] as const;
const plainShapeSchema = z.discriminatedUnion('kind', [...plainShapes]);

export const shapeSchema = z.discriminatedUnion('kind', [
  ...plainShapes,
  z.strictObject({
    kind: z.literal('stepped'),
    digits: fourDigits,
    steps: z
      .array(
        z.strictObject({
          face: z.enum(['upper', 'lower']),
          at: field(between(0.1, 0.95), 'chordPercent', 'place of the step'),
          depth: field(between(0.002, 0.15), 'chordPercent', 'depth of the step'),
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
  reynolds: field(between(1e3, 1e8), 'reynolds', 'Reynolds number'),
  points: z
    .array(
      z.strictObject({
        alpha: field(between(-1.6, 1.6), 'angle', 'angle of attack').nullable(),
        cl: field(between(-4, 4), 'ratio', 'lift coefficient'),
        cd: field(between(0, 3), 'ratio', 'drag coefficient').nullable(),
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
      thickness: field(between(0.2, 3), 'ratio', 'thickness factor'),
      camber: field(between(-3, 3), 'ratio', 'camber factor'),
      flap: z
        .strictObject({
          hinge: field(between(0.4, 0.95), 'chordPercent', 'hinge'),
          angle: field(between(-0.7, 0.7), 'angle', 'flap angle'),
        })
        .nullable(),
    })
    .optional(),
  measured: z.array(measuredPolarSchema).max(40).optional(),
  note: label,
});

/** What a section is chosen by: the lift it works at, what counts how much, and how badly it may be built. */
export const sectionChoiceSchema = z.strictObject({
  lift: field(between(-0.5, 2), 'ratio', 'lift coefficient it works at'),
  weights: z.record(
    z.enum(['clMax', 'glide', 'lowDrag', 'moment', 'sparDepth', 'flatBottom', 'tolerance']),
    field(between(0, 10), 'ratio', 'weight'),
  ),
  errors: z.strictObject({
    thickness: field(between(0, 0.3), 'percent', 'thickness, to within'),
    camber: field(between(0, 0.02), 'chordPercent', 'camber, to within'),
    nose: field(between(0, 0.6), 'percent', 'nose radius, to within'),
    edge: field(between(0, 0.02), 'chordPercent', 'trailing edge'),
  }),
});
export type SectionShape = z.infer<typeof sectionSchema>['shape'];
export type Section = z.infer<typeof sectionSchema>;
export type SectionChoice = z.infer<typeof sectionChoiceSchema>;
export type MeasuredPolar = z.infer<typeof measuredPolarSchema>;

const stationSchema = z.strictObject({
  /** distance from the root along the span [m] */ y: field(between(0, 10), 'length', 'distance out'),
  /** leading edge behind the surface's origin [m] */ x: field(
    between(-5, 5),
    'length',
    'leading edge behind the origin',
  ),
  /** leading edge above the surface's origin [m] */ z: field(
    between(-5, 5),
    'length',
    'leading edge above the origin',
  ),
  chord: field(above(5), 'length', 'chord'),
  /** leading edge up positive [rad] */ twist: field(between(-0.6, 0.6), 'angle', 'twist', {
    usual: [-0.11, 0.06],
  }),
  section: id,
});
export type Station = z.infer<typeof stationSchema>;

const controlSchema = z.strictObject({
  id,
  name: label,
  /** elevon: elevator and aileron; flaperon: flap and aileron; ruddervator: elevator and rudder */
  kind: z.enum(['aileron', 'elevator', 'rudder', 'flap', 'elevon', 'flaperon', 'ruddervator']),
  /** from and to as fractions of the half span */
  from: field(between(0, 1), 'percent', 'from, of the half span'),
  to: field(between(0, 1), 'percent', 'to, of the half span'),
  /** control chord / local chord */
  chordFraction: field(between(0.02, 1), 'percent', 'share of the chord', { usual: [0.12, 0.5] }),
  /** largest deflection either way [rad] */
  maxDeflection: field(between(0, 1.2), 'angle', 'largest deflection', { usual: [0.17, 0.7] }),
  /** downward travel over upward travel of an aileron; 1 is no differential */ differential: field(
    between(0, 1),
    'ratio',
    'down over up travel',
  ).optional(),
  /** torque of one servo [N m] and how many drive one side */ servo: z
    .strictObject({
      torque: field(above(100), 'smallMoment', 'torque of a servo'),
      count: field(z.int().min(1).max(4), 'count', 'servos a side'),
    })
    .optional(),
});

export const surfaceSchema = z.strictObject({
  id,
  name: label,
  /** wing: the one that sizes are referred to; tail: behind it; canard: ahead of it; fin: stations go up */
  role: z.enum(['wing', 'tail', 'canard', 'fin']),
  x: field(between(-5, 10), 'length', 'from datum'),
  /** of the root beside the middle [m] */ y: field(
    between(0, 10),
    'length',
    'root out from the middle',
  ).optional(),
  /** stands on both sides; by default all but fins in the middle */ mirror: z.boolean().optional(),
  z: field(between(-5, 5), 'length', 'height'),
  incidence: field(between(-0.4, 0.4), 'angle', 'incidence', { usual: [-0.06, 0.09] }),
  stations: z
    .array(stationSchema)
    .min(2)
    .max(24)
    .refine((s) => s.every((p, i) => i === 0 || p.y > s[i - 1].y), 'stations must go outward from the root'),
  controls: z.array(controlSchema).max(8),
  /** distances out at which it comes apart [m]; a joint in the middle is 0 */ joints: z
    .array(field(between(0, 10), 'length', 'distance out'))
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
    z.strictObject({ kind: z.literal('mass'), mass: field(between(0, 200), 'mass', 'planned mass') }),
    z.strictObject({
      kind: z.literal('areal'),
      surface: id,
      perArea: field(between(0, 100), 'arealMass', 'mass per area'),
    }),
    /** calculated from volumes and faces of a surface, or of the body ('body') */
    z.strictObject({
      kind: z.literal('made'),
      part: id,
      skin: z
        .strictObject({
          thickness: field(above(0.05), 'length', 'skin thickness'),
          density: field(above(20000), 'density', 'skin density'),
        })
        .nullable(),
      core: z
        .strictObject({
          density: field(above(20000), 'density', 'core density'),
          infill: field(between(0, 1), 'percent', 'infill', { usual: [0.03, 0.5] }),
        })
        .nullable(),
      covering: z.strictObject({ perArea: field(between(0, 10), 'arealMass', 'covering') }).nullable(),
    }),
    /** follows the part it is: this often the usual mass of such a part */
    z.strictObject({
      kind: z.literal('part'),
      factor: field(between(0.01, 100), 'ratio', 'share of the usual mass'),
    }),
  ]),
  basis: basisSchema,
  /** standard uncertainty as a fraction of the planned mass */
  spread: field(between(0, 1), 'percent', 'spread'),
  /** what the scale says of the built part [kg] */
  weighed: field(between(0, 200), 'mass', 'weighed mass').nullable(),
  x: field(between(-5, 10), 'length', 'from datum'),
  y: field(between(-10, 10), 'length', 'out from the middle'),
  z: field(between(-5, 5), 'length', 'height'),
  /** spread along the span: relieves the spar */
  inWing: z.boolean(),
  movable: z
    .strictObject({
      from: field(between(-5, 10), 'length', 'may move from'),
      to: field(between(-5, 10), 'length', 'may move to'),
    })
    .refine((m) => m.from <= m.to, 'the range is reversed')
    .nullable(),
  /** room it takes inside the body, lengthways */ box: boxSchema.optional(),
});
export type Item = z.infer<typeof itemSchema>;

const stateSchema = z.strictObject({
  id,
  name: label,
  count: field(z.int().min(0).max(500), 'count', 'units carried'),
  ...stateFields,
});
export type State = z.infer<typeof stateSchema>;

export const designSchema = z.strictObject({
  sections: z.array(sectionSchema).max(40),
  sectionChoice: sectionChoiceSchema.optional(),
  /** without a wing it hangs on its rotors */ surfaces: z.array(surfaceSchema).max(8),
  body: bodySchema,
  pods: z.array(podSchema).max(8).optional(),
  wheels: z.array(wheelSchema).max(8).optional(),
  built: z.array(builtSchema).max(60).optional(),
  halves: z.array(halfMassSchema).max(8).optional(),
  limits: limitsSchema.optional(),
  frameDrag: frameDragSchema.optional(),
  dragItems: z
    .array(
      z.strictObject({
        id,
        name: label,
        dragArea: field(between(0, 5), 'dragArea', 'drag area'),
        note: label,
        /** how it is found; without it the drag area is as typed */ from: dragSourceSchema.optional(),
        /** part that makes it: rotors that stand still on the wing */ part: partSchema.optional(),
      }),
    )
    .max(40),
  items: z.array(itemSchema).max(200),
  payload: z.strictObject({
    name: label,
    unitMass: field(between(0, 50), 'mass', 'mass of one'),
    /** x of the first unit [m] */ x: field(between(-5, 10), 'length', 'first unit from datum'),
    z: field(between(-5, 5), 'length', 'height'),
    /** spacing of rows along x [m] */ pitch: field(between(0, 2), 'length', 'spacing of rows'),
    perRow: field(z.int().min(1).max(20), 'count', 'in a row'),
    basis: basisSchema,
  }),
  states: z.array(stateSchema).min(1).max(40),
  /** the whole aircraft on the scale, as built */
  scale: z
    .array(
      z.strictObject({
        id,
        state: id,
        mass: field(above(500), 'allUpMass', 'all-up mass'),
        cgX: field(between(-20, 20), 'length', 'CG from datum').nullable(),
        note: label,
        /** readings of two or three scales, each under a point of the aircraft */ readings: z
          .array(
            z.strictObject({
              x: field(between(-5, 10), 'length', 'from datum'),
              y: field(between(-10, 10), 'length', 'out from the middle'),
              mass: field(between(0, 500), 'mass', 'reading'),
            }),
          )
          .min(2)
          .max(3)
          .optional(),
      }),
    )
    .max(40),
  power: powerSchema,
  drives: z.array(driveSchema).max(8),
  thrusters: z.array(thrusterSchema).max(24),
  swaps: swapsSchema.optional(),
  claims: claimsSchema.optional(),
  /** ways of leaving and coming back that are no run */ launch: launchSchema.optional(),
  comingBack: comingBackSchema.optional(),
  /** what is done in the air */ winch: winchSchema.optional(),
  dropping: droppingSchema.optional(),
  structure: structureSchema,
  flight: z.strictObject({
    /** bank in the turns of a lap [rad] */ turnBank: field(between(0.1, 1.4), 'angle', 'bank in the turns'),
    /** throttle on the laps, 0 to 1 */ lapThrottle: field(between(0.1, 1), 'percent', 'lap throttle'),
    /** share of usable charge kept back */ reserve: field(between(0, 0.8), 'percent', 'reserve', {
      usual: [0.1, 0.4],
    }),
    /** lift-off speed over stall speed */ liftOffFactor: field(
      between(1, 1.6),
      'ratio',
      'lift-off over stall speed',
      { usual: [1.1, 1.3], step: 0.01 },
    ),
    /** lift coefficient while rolling on the ground */ groundCl: field(
      between(-0.5, 1.5),
      'ratio',
      'lift coefficient while rolling',
    ),
    /** least and most static margin wanted (fraction of the mean chord) */ marginMin: field(
      between(-0.2, 0.6),
      'chordPercent',
      'least margin wanted',
      { usual: [0.03, 0.15] },
    ),
    marginMax: field(between(-0.1, 0.9), 'chordPercent', 'largest margin wanted', { usual: [0.1, 0.35] }),
    /** largest lean on rotors [rad]; 35 degrees where left out */ lean: field(
      between(0.05, 1.2),
      'angle',
      'largest lean on rotors',
      { usual: [0.3, 0.8] },
    ).optional(),
    /** ailerons are to answer so far past the first stall [rad] */ aileronReserve: field(
      between(0, 0.3),
      'angle',
      'aileron reserve wanted',
    ).optional(),
  }),
  /** how a number is known, by its path in the design; a number not named here is a guess */
  basis: z.record(z.string().max(120), basisSchema),
});
export type Design = z.infer<typeof designSchema>;

// ---- calibration -------------------------------------------------------------------------------
/** The factors of this program, in the order in which it computes with them. */
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
  /** names of what follows; a document is brought to the factors of this program when it is read */
  factors: z.array(id).length(FACTOR_IDS.length),
  mean: z.array(field(finite, 'ratio', 'factor')).length(FACTOR_IDS.length),
  covariance: z
    .array(z.array(field(finite, 'ratio', 'covariance')).length(FACTOR_IDS.length))
    .length(FACTOR_IDS.length),
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
  /** what was weighed against each other on the way here */ trade: tradeSchema.optional(),
});
export type DesignDocument = z.infer<typeof documentSchema>;
