/** What is done in the air, and figures that somebody stated. SI; angles in radians. */
import { z } from 'zod';
import { field } from './fields';
import { above, between, id, label } from './primitives';
import { chemistry } from './powerSchema';

/** Lets something out on a line and takes it in again. */
export const winchSchema = z.strictObject({
  drum: field(above(1), 'length', 'diameter of the drum', { usual: [0.01, 0.12] }),
  /** of its motor, under load [rad/s] */ rotation: field(above(5000), 'rotation', 'its motor turns'),
  /** motor turns for one of the drum; one where left out */ gear: field(
    above(1000),
    'ratio',
    'gear ratio',
  ).optional(),
  line: field(above(500), 'distance', 'line let out'),
  mostPull: field(above(2000), 'force', 'pulls at most').optional(),
  /** as somebody stated it, to be held against the drum's */ stated: field(
    above(100),
    'speed',
    'stated speed of the line',
  ).optional(),
});
export type Winch = z.infer<typeof winchSchema>;

/** What falls: its drag, and how well the moment of letting go is known. */
export const droppingSchema = z.strictObject({
  /** without one it falls free */ dragArea: field(
    above(5),
    'dragArea',
    'drag area of what falls',
  ).optional(),
  /** that it must come down in */ circle: field(above(1000), 'distance', 'radius of the target').optional(),
  spread: z
    .strictObject({
      height: field(between(0, 100), 'distance', 'height, to within').optional(),
      speed: field(between(0, 20), 'speed', 'airspeed, to within').optional(),
      wind: field(between(0, 10), 'speed', 'wind, to within').optional(),
      time: field(between(0, 5), 'time', 'moment of letting go, to within').optional(),
    })
    .optional(),
});
export type Dropping = z.infer<typeof droppingSchema>;

const named = { id, note: label };

/** Figures that somebody stated, which some law of the trade ties together. */
export const statedSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...named,
    kind: z.literal('speeds'),
    mass: field(above(500), 'allUpMass', 'mass'),
    speed: field(above(200), 'speed', 'its speed'),
    otherMass: field(above(500), 'allUpMass', 'other mass'),
    otherSpeed: field(above(200), 'speed', 'its speed'),
  }),
  z.strictObject({
    ...named,
    kind: z.literal('drag'),
    speed: field(above(200), 'speed', 'speed clean'),
    otherSpeed: field(above(200), 'speed', 'with something out'),
  }),
  z.strictObject({
    ...named,
    kind: z.literal('pitch'),
    pitch: field(above(3), 'length', 'pitch'),
    rotation: field(above(12000), 'rotation', 'turns'),
    speed: field(above(200), 'speed', 'stated speed'),
  }),
  z.strictObject({
    ...named,
    kind: z.literal('loading'),
    loading: field(above(500), 'wingLoading', 'wing loading'),
    area: field(above(50), 'area', 'wing area'),
    mass: field(above(500), 'allUpMass', 'stated mass'),
  }),
  z.strictObject({
    ...named,
    kind: z.literal('volts'),
    cells: field(z.int().min(1).max(40), 'count', 'cells in series'),
    chemistry,
    volts: field(above(200), 'voltage', 'stated volts'),
  }),
  z.strictObject({
    ...named,
    kind: z.literal('hover'),
    mass: field(above(500), 'allUpMass', 'mass'),
    discs: field(above(100), 'area', 'area of the discs'),
    power: field(above(200000), 'power', 'stated power'),
  }),
  z.strictObject({
    ...named,
    kind: z.literal('run'),
    run: field(above(2000), 'distance', 'run'),
    loading: field(above(500), 'wingLoading', 'at a wing loading of'),
    strip: field(above(2000), 'distance', 'strip there is'),
  }),
  z.strictObject({
    ...named,
    kind: z.literal('climb'),
    height: field(above(5000), 'distance', 'height'),
    time: field(above(36000), 'time', 'in'),
    mass: field(above(500), 'allUpMass', 'mass'),
    power: field(above(200000), 'power', 'stated power'),
  }),
]);
export type Stated = z.infer<typeof statedSchema>;
export type StatedKind = Stated['kind'];
