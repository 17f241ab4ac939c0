/**
 * What turns the propeller, and what else a power system may have: a second pack, wire, gear, lift motors, a ducted
 * fan, a rubber motor, solar cells, the feed of the radio; the swap set; the phases of a flight. Everything past the
 * plain pack, controller, motor and propeller is optional. SI and radians.
 */
import { z } from 'zod';
import { above, between, id, label } from './primitives';

const chemistry = z.enum(['LiPo', 'Li-ion', 'LiFePO4', 'NiMH']);
const family = z.enum(['slow-fly', 'thin-electric', 'sport', 'multirotor', 'folding', 'indoor', 'carved']);

export const packSchema = z.strictObject({
  series: z.int().min(1).max(14),
  parallel: z.int().min(1).max(10),
  /** of the whole pack [A s] */ capacity: above(1e6),
  /** of one cell [ohm] */ cellResistance: between(0.0001, 1),
  /** largest current as a multiple of capacity per hour */ maxC: above(200),
  /** share of the charge that may be used */ usable: between(0.05, 1),
  chemistry: chemistry.optional(),
  /** of the cells [K] */ temperature: between(250, 335).optional(),
  /** share of the first capacity that is gone */ age: between(0, 0.6).optional(),
});

export const escSchema = z.strictObject({ resistance: between(0, 1), maxCurrent: above(1000) });

export const motorSchema = z.strictObject({
  kv: above(2000),
  resistance: between(0.0005, 5),
  noLoadCurrent: between(0, 50),
  maxCurrent: above(1000),
  /** volts at which the no-load current was read */ noLoadVolts: above(100).optional(),
  gear: above(20).optional(),
  gearEfficiency: between(0.5, 1).optional(),
  mass: above(20).optional(),
  maxTemperature: between(320, 500).optional(),
  cooling: between(0, 1).optional(),
  kind: z.enum(['outrunner', 'inrunner']).optional(),
});

export const coefficientsSchema = z.strictObject({
  name: label,
  rows: z
    .array(z.strictObject({ J: between(0, 5), CT: between(-2, 2), CP: between(-2, 5) }))
    .min(2)
    .max(200),
});

const bladeFields = {
  diameter: above(3),
  pitch: above(3),
  blades: z.int().min(2).max(4),
  family: family.optional(),
  /** pitch by r/R where it is not the same everywhere */ pitchAt: z
    .array(z.strictObject({ r: between(0.1, 1), pitch: above(3) }))
    .min(2)
    .max(20)
    .optional(),
  /** published or measured coefficients in place of the computation */ table: coefficientsSchema.optional(),
  folds: z.boolean().optional(),
  /** bench over computation, of this very propeller */ correction: z
    .strictObject({ thrust: between(0.3, 2), torque: between(0.3, 2) })
    .optional(),
};
export const propellerSchema = z.strictObject({
  ...bladeFields,
  x: between(-5, 10),
  z: between(-5, 5),
  /** thrust line nose down, and to the right [rad] */ downThrust: between(-0.3, 0.3).optional(),
  sideThrust: between(-0.3, 0.3).optional(),
});
export const bladesOnly = z.strictObject(bladeFields);

export const fanSchema = z.strictObject({
  diameter: above(1),
  hub: between(0, 0.9),
  /** exit area over the ring that the blades sweep */ exitRatio: between(0.4, 1.5),
  /** shaft to jet */ efficiency: between(0.2, 0.95),
  /** jet speed over tip speed, standing still */ exitSpeedRatio: between(0.1, 0.9),
});

/** Loops of strip between hook and shaft, with the propeller it turns. */
export const rubberSchema = z.strictObject({
  width: above(0.1),
  thickness: above(0.02),
  strands: z.int().min(2).max(80),
  /** of the made-up motor, relaxed [m] */ length: above(5),
  density: between(700, 1300),
  lubricated: z.boolean(),
  /** turns at which such a motor breaks, found by breaking one; computed where not given */ breakTurns:
    above(20000).optional(),
  /** share of the breaking turns that is wound */ wound: between(0.1, 1),
  /** turns let off again before the launch */ backedOff: between(0, 5000),
  /** turns of the motor for one of the winder's crank */ winder: between(1, 100),
  propeller: bladesOnly,
  /** pitch angle gained by torque: flaring blades [rad per N m] */ flare: between(0, 2000),
  /** lift coefficient it is trimmed to fly at */ trimCl: between(0.1, 2),
  /** [m], null outdoors */ ceiling: between(1, 200).nullable(),
  /** distance down wind to the far end of the field [m] and wind [m/s] */ field: above(20000).nullable(),
});

export const solarSchema = z.strictObject({
  series: z.int().min(1).max(200),
  strings: z.int().min(1).max(40),
  cell: z.strictObject({
    area: above(0.1),
    mass: between(0, 0.1),
    efficiency: between(0.02, 0.5),
    /** open circuit and at most power, 25 C [V] */ openVolts: between(0.3, 3),
    workVolts: between(0.2, 3),
    /** per K */ temperatureCoefficient: between(-0.01, 0),
  }),
  controller: z.strictObject({
    minVolts: between(0, 100),
    maxVolts: between(1, 200),
    efficiency: between(0.5, 1),
    kind: z.enum(['boost', 'buck', 'direct']),
  }),
  /** degrees north and east, in radians */ latitude: between(-1.5708, 1.5708),
  longitude: between(-3.15, 3.15),
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'must be a date as 2026-06-21'),
  /** share of clear-sky light that comes through haze and cloud */ clarity: between(0.05, 1),
  /** cells above the air's temperature [K] */ warming: between(0, 60),
});

export const supplySchema = z
  .array(
    z.strictObject({
      id,
      name: label,
      kind: z.enum(['pack', 'regulator', 'controller', 'motor', 'receiver', 'servo', 'other']),
      /** ids that feed it; any one of them is enough */ feeds: z.array(id).max(8),
      /** what it gives: volts nominal, and what it may carry [A] */ volts: between(0, 100).nullable(),
      rating: between(0, 1000).nullable(),
      /** what it draws itself at most [A], and the volts it stands */ draw: between(0, 500),
      minVolts: between(0, 100).nullable(),
      maxVolts: between(0, 100).nullable(),
      /** without it the aircraft cannot be steered */ vital: z.boolean(),
    }),
  )
  .max(40);

export const arrangementSchema = z.strictObject({
  count: z.int().min(1).max(8),
  kind: z.enum(['apart', 'counter-rotating']),
  /** the shafts tilt upward for hover */ tilt: z.boolean(),
});
export const liftSchema = z.strictObject({
  motor: motorSchema,
  esc: escSchema,
  propeller: bladesOnly,
  /** how the throttle stick acts */ law: z.enum(['duty', 'thrust']),
});

export const powerSchema = z.strictObject({
  /** no electric motor is fitted (a glider, or rubber) and the electric part is asleep */ unpowered: z
    .boolean()
    .optional(),
  battery: packSchema,
  second: z.strictObject({ joined: z.enum(['parallel', 'series']), battery: packSchema }).optional(),
  /** from pack to controller: one way [m], copper area [m2] */ wire: z
    .strictObject({ length: between(0, 20), area: above(1e-3) })
    .optional(),
  esc: escSchema,
  motor: motorSchema,
  propeller: propellerSchema,
  arrangement: arrangementSchema.optional(),
  fan: fanSchema.optional(),
  lift: liftSchema.optional(),
  rubber: rubberSchema.optional(),
  solar: solarSchema.optional(),
  supply: supplySchema.optional(),
  avionicsCurrent: between(0, 50),
});

/** A labelled part that can be fitted in place of another: weighed, with its place. */
const swapBase = {
  id,
  label,
  mass: between(0, 50),
  weighed: z.boolean(),
  /** [m]; where the part it replaces stands, when null */ x: between(-20, 20).nullable(),
  note: label,
};
export const swapsSchema = z
  .array(
    z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('propeller'), ...swapBase, data: bladesOnly }),
      z.strictObject({ kind: z.literal('motor'), ...swapBase, data: motorSchema }),
      z.strictObject({ kind: z.literal('pack'), ...swapBase, data: packSchema }),
    ]),
  )
  .max(40);
export type Swap = z.infer<typeof swapsSchema>[number];

export const PHASE_KINDS = [
  'ground',
  'climb',
  'cruise',
  'glide',
  'hover',
  'transition',
  'tow',
  'drop',
] as const;
export const phasesSchema = z
  .array(
    z.strictObject({
      id,
      name: label,
      kind: z.enum(PHASE_KINDS),
      loading: id,
      /** [s] */ time: between(0, 36000),
      /** [m/s]; the loading's own speed for this kind when null */ speed: between(0, 100).nullable(),
      /** this mode has been flown on this aircraft */ flown: z.boolean(),
    }),
  )
  .max(30);
export type Phase = z.infer<typeof phasesSchema>[number];

/** What a maker or a plan claims, to be held against the others. */
export const claimsSchema = z.strictObject({
  payload: above(200).nullable(),
  hoverPower: above(1e5).nullable(),
  topSpeed: above(200).nullable(),
  flightTime: above(1e6).nullable(),
  thrust: above(5000).nullable(),
  current: above(1000).nullable(),
});
