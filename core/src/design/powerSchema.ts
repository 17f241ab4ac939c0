/**
 * The parts of a power system: pack, controller, motor, propeller, ducted fan, rubber motor, solar cells, the feed of the
 * radio; the swap set. How they are put together is said by the drives. SI and radians.
 */
import { z } from 'zod';
import { field } from './fields';
import { above, between, id, label } from './primitives';

export const chemistry = z.enum(['LiPo', 'Li-ion', 'LiFePO4', 'NiMH']);
const family = z.enum(['slow-fly', 'thin-electric', 'sport', 'multirotor', 'folding', 'indoor', 'carved']);

export const packSchema = z.strictObject({
  series: field(z.int().min(1).max(14), 'count', 'cells in series'),
  parallel: field(z.int().min(1).max(10), 'count', 'cells in parallel'),
  /** of the whole pack [A s] */ capacity: field(above(1e6), 'charge', 'capacity'),
  /** of one cell [ohm] */ cellResistance: field(between(0.0001, 1), 'resistance', 'resistance of a cell', {
    usual: [0.0005, 0.1],
  }),
  /** largest current as a multiple of capacity per hour */ maxC: field(
    above(200),
    'ratio',
    'largest current over capacity per hour',
    { usual: [3, 120] },
  ),
  /** share of the charge that may be used */ usable: field(between(0.05, 1), 'percent', 'usable share', {
    usual: [0.6, 0.95],
  }),
  chemistry: chemistry.optional(),
  /** of the cells [K] */ temperature: field(
    between(250, 335),
    'temperature',
    'temperature of the cells',
  ).optional(),
  /** share of the first capacity that is gone */ age: field(
    between(0, 0.6),
    'percent',
    'capacity gone',
  ).optional(),
});

/** From pack to controller: one way [m], copper area [m2]. */
export const wireSchema = z.strictObject({
  length: field(between(0, 20), 'length', 'length, one way'),
  area: field(above(1e-3), 'wireArea', 'copper area'),
});

export const escSchema = z.strictObject({
  resistance: field(between(0, 1), 'resistance', 'resistance'),
  maxCurrent: field(above(1000), 'current', 'largest current'),
});

export const motorSchema = z.strictObject({
  kv: field(above(2000), 'kv', 'Kv'),
  resistance: field(between(0.0005, 5), 'resistance', 'resistance'),
  noLoadCurrent: field(between(0, 50), 'current', 'no-load current'),
  maxCurrent: field(above(1000), 'current', 'largest current'),
  /** volts at which the no-load current was read */ noLoadVolts: field(
    above(100),
    'voltage',
    'volts of the no-load reading',
  ).optional(),
  gear: field(above(20), 'ratio', 'gear ratio').optional(),
  gearEfficiency: field(between(0.5, 1), 'percent', 'gear efficiency', { usual: [0.88, 0.99] }).optional(),
  mass: field(above(20), 'mass', 'mass').optional(),
  maxTemperature: field(between(320, 500), 'temperature', 'largest winding temperature').optional(),
  cooling: field(between(0, 1), 'ratio', 'share of the air stream').optional(),
  kind: z.enum(['outrunner', 'inrunner']).optional(),
});

export const coefficientsSchema = z.strictObject({
  name: label,
  rows: z
    .array(
      z.strictObject({
        J: field(between(0, 5), 'ratio', 'advance ratio J'),
        CT: field(between(-2, 2), 'ratio', 'CT'),
        CP: field(between(-2, 5), 'ratio', 'CP'),
      }),
    )
    .min(2)
    .max(200),
});

const bladeFields = {
  diameter: field(above(3), 'length', 'diameter'),
  pitch: field(above(3), 'length', 'pitch'),
  blades: field(z.int().min(2).max(4), 'count', 'blades'),
  family: family.optional(),
  /** pitch by r/R where it is not the same everywhere */ pitchAt: z
    .array(
      z.strictObject({
        r: field(between(0.1, 1), 'percent', 'r/R'),
        pitch: field(above(3), 'length', 'pitch'),
      }),
    )
    .min(2)
    .max(20)
    .optional(),
  /** published or measured coefficients in place of the computation */ table: coefficientsSchema.optional(),
  folds: z.boolean().optional(),
  /** bench over computation, of this very propeller */ correction: z
    .strictObject({
      thrust: field(between(0.3, 2), 'ratio', 'bench over computed thrust'),
      torque: field(between(0.3, 2), 'ratio', 'bench over computed torque'),
    })
    .optional(),
};
export const propellerSchema = z.strictObject({
  ...bladeFields,
  x: field(between(-5, 10), 'length', 'from datum'),
  z: field(between(-5, 5), 'length', 'height'),
  /** thrust line nose down, and to the right [rad] */ downThrust: field(
    between(-0.3, 0.3),
    'angle',
    'down thrust',
  ).optional(),
  sideThrust: field(between(-0.3, 0.3), 'angle', 'side thrust').optional(),
});
export const bladesOnly = z.strictObject(bladeFields);

export const fanSchema = z.strictObject({
  diameter: field(above(1), 'length', 'diameter'),
  hub: field(between(0, 0.9), 'ratio', 'hub over tip'),
  /** exit area over the ring that the blades sweep */ exitRatio: field(
    between(0.4, 1.5),
    'ratio',
    'exit area over ring',
  ),
  /** shaft to jet */ efficiency: field(between(0.2, 0.95), 'percent', 'efficiency, shaft to jet'),
  /** jet speed over tip speed, standing still */ exitSpeedRatio: field(
    between(0.1, 0.9),
    'ratio',
    'jet over tip speed, standing still',
  ),
});

/** Loops of strip between hook and shaft, with the propeller it turns. */
const rubberSchema = z.strictObject({
  width: field(above(0.1), 'rubberSize', 'strip width'),
  thickness: field(above(0.02), 'rubberSize', 'strip thickness'),
  strands: field(z.int().min(2).max(80), 'count', 'strands'),
  /** of the made-up motor, relaxed [m] */ length: field(above(5), 'length', 'length of the made-up motor'),
  density: field(between(700, 1300), 'density', 'density of the rubber', { usual: [900, 960] }),
  lubricated: z.boolean(),
  /** turns at which such a motor breaks, found by breaking one; computed where not given */ breakTurns:
    field(above(20000), 'count', 'turns at breaking').optional(),
  /** share of the breaking turns that is wound */ wound: field(
    between(0.1, 1),
    'percent',
    'share of the breaking turns wound',
    { usual: [0.6, 0.95] },
  ),
  /** turns let off again before the launch */ backedOff: field(between(0, 5000), 'count', 'turns let off'),
  /** turns of the motor for one of the winder's crank */ winder: field(
    between(1, 100),
    'ratio',
    'turns of the motor for one of the crank',
  ),
  propeller: bladesOnly,
  /** pitch angle gained by torque: flaring blades [rad per N m] */ flare: field(
    between(0, 2000),
    'flare',
    'pitch gained by torque',
  ),
  /** lift coefficient it is trimmed to fly at */ trimCl: field(
    between(0.1, 2),
    'ratio',
    'lift coefficient it is trimmed for',
  ),
  /** [m], null outdoors */ ceiling: field(between(1, 200), 'distance', 'ceiling').nullable(),
  /** distance down wind to the far end of the field [m] and wind [m/s] */ field: field(
    above(20000),
    'distance',
    'field down wind',
  ).nullable(),
});

const solarSchema = z.strictObject({
  series: field(z.int().min(1).max(200), 'count', 'cells in series'),
  strings: field(z.int().min(1).max(40), 'count', 'strings'),
  cell: z.strictObject({
    area: field(above(0.1), 'area', 'area of a cell'),
    mass: field(between(0, 0.1), 'mass', 'mass of a cell'),
    efficiency: field(between(0.02, 0.5), 'percent', 'efficiency'),
    /** open circuit and at most power, 25 C [V] */ openVolts: field(
      between(0.3, 3),
      'voltage',
      'open-circuit volts',
    ),
    workVolts: field(between(0.2, 3), 'voltage', 'volts at most power'),
    /** per K */ temperatureCoefficient: field(between(-0.01, 0), 'percent', 'power change per K'),
  }),
  controller: z.strictObject({
    minVolts: field(between(0, 100), 'voltage', 'least volts'),
    maxVolts: field(between(1, 200), 'voltage', 'most volts'),
    efficiency: field(between(0.5, 1), 'percent', 'efficiency'),
    kind: z.enum(['boost', 'buck', 'direct']),
  }),
  /** degrees north and east, in radians */ latitude: field(between(-1.5708, 1.5708), 'angle', 'latitude'),
  longitude: field(between(-3.15, 3.15), 'angle', 'longitude'),
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'must be a date as 2026-06-21'),
  /** share of clear-sky light that comes through haze and cloud */ clarity: field(
    between(0.05, 1),
    'percent',
    'light through haze',
    { usual: [0.3, 1] },
  ),
  /** cells above the air's temperature [K] */ warming: field(
    between(0, 60),
    'temperatureStep',
    'cells above the air',
  ),
});

const supplySchema = z
  .array(
    z.strictObject({
      id,
      name: label,
      kind: z.enum(['pack', 'regulator', 'controller', 'motor', 'receiver', 'servo', 'other']),
      /** ids that feed it; any one of them is enough */ feeds: z.array(id).max(8),
      /** what it gives: volts nominal, and what it may carry [A] */ volts: field(
        between(0, 100),
        'voltage',
        'volts',
      ).nullable(),
      rating: field(between(0, 1000), 'current', 'rating').nullable(),
      /** what it draws itself at most [A], and the volts it stands */ draw: field(
        between(0, 500),
        'current',
        'draw',
      ),
      minVolts: field(between(0, 100), 'voltage', 'least volts').nullable(),
      maxVolts: field(between(0, 100), 'voltage', 'most volts').nullable(),
      /** without it the aircraft cannot be steered */ vital: z.boolean(),
    }),
  )
  .max(40);

/** One drive by itself, as it is bolted to a stand; what else a design holds is passed over. */
export const drivePartsSchema = z.object({
  battery: packSchema,
  second: z.strictObject({ joined: z.enum(['parallel', 'series']), battery: packSchema }).optional(),
  wire: wireSchema.optional(),
  esc: escSchema,
  motor: motorSchema,
  propeller: propellerSchema,
  fan: fanSchema.optional(),
  arrangement: z
    .strictObject({
      count: z.int().min(1).max(24),
      kind: z.enum(['apart', 'counter-rotating']),
      tilt: z.boolean(),
    })
    .optional(),
  avionicsCurrent: field(between(0, 50), 'current', 'avionics'),
});

/** What energy there is, and what draws it beside the drives. */
export const powerSchema = z.strictObject({
  packs: z.array(packSchema.extend({ id, name: label })).max(6),
  rubber: rubberSchema.optional(),
  solar: solarSchema.optional(),
  supply: supplySchema.optional(),
  avionicsCurrent: field(between(0, 50), 'current', 'avionics'),
});

/** A labelled part that can be fitted in place of another: weighed, with its place. */
const swapBase = {
  id,
  label,
  mass: field(between(0, 50), 'mass', 'mass'),
  weighed: z.boolean(),
  /** [m]; where the part it replaces stands, when null */ x: field(
    between(-20, 20),
    'length',
    'from datum',
  ).nullable(),
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

/** What a maker or a plan claims, to be held against the others. */
export const claimsSchema = z.strictObject({
  payload: field(above(200), 'mass', 'payload').nullable(),
  hoverPower: field(above(1e5), 'power', 'hover power').nullable(),
  topSpeed: field(above(200), 'speed', 'top speed').nullable(),
  flightTime: field(above(1e6), 'duration', 'flight time').nullable(),
  thrust: field(above(5000), 'force', 'thrust').nullable(),
  current: field(above(1000), 'current', 'current').nullable(),
});
