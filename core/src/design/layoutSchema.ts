/**
 * The parts of a design that only some layouts have: pods, wheels, boxes, states with something moved,
 * opened or towed, the shape as it was built, what the workshop and the car can take, models to compare with.
 * All optional in the document, so that a plain aircraft stays plain.
 */
import { z } from 'zod';
import { field } from './fields';
import { above, between, id, label } from './primitives';
import { LEAVING, RETURNING } from './wayKinds';

const bodyStation = z.strictObject({
  x: field(between(-5, 10), 'length', 'from datum'),
  width: field(between(0, 3), 'length', 'width'),
  height: field(between(0, 3), 'length', 'height'),
  z: field(between(-3, 3), 'length', 'height of the middle'),
});
export const bodySchema = z
  .array(bodyStation)
  .min(2)
  .max(40)
  .refine((s) => s.every((p, i) => i === 0 || p.x > s[i - 1].x), 'stations must go aft from the nose');

/** A pod, boom or nacelle beside the body; mirrored to the other side when it stands off the middle. */
export const podSchema = z.strictObject({
  id,
  name: label,
  y: field(between(0, 10), 'length', 'out from the middle'),
  stations: bodySchema,
});

/** A wheel, ball or skid that touches the ground: z of the axle where a diameter is given, else of the lowest point. */
export const wheelSchema = z.strictObject({
  id,
  name: label,
  x: field(between(-5, 10), 'length', 'from datum'),
  y: field(between(-5, 5), 'length', 'out from the middle'),
  z: field(between(-5, 5), 'length', 'height'),
  diameter: field(above(1), 'length', 'diameter').optional(),
  /** goes in where a state has its gear up */ retracts: z.boolean().optional(),
});

/** Size of a thing inside the body [m]. */
export const boxSchema = z.strictObject({
  length: field(above(5), 'length', 'length'),
  width: field(above(3), 'length', 'width'),
  height: field(above(3), 'length', 'height'),
});

/** How the drag of an outside part is found. Lengths in m. */
export const dragSourceSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('wire'),
    length: field(above(20), 'length', 'length'),
    diameter: field(above(0.05), 'length', 'diameter'),
    count: field(z.int().min(1).max(100), 'count', 'how many'),
  }),
  z.strictObject({
    kind: z.literal('strut'),
    length: field(above(20), 'length', 'length'),
    chord: field(above(0.5), 'length', 'chord'),
    thickness: field(above(0.2), 'length', 'thickness'),
    count: field(z.int().min(1).max(40), 'count', 'how many'),
  }),
  z.strictObject({
    kind: z.literal('wheel'),
    diameter: field(above(1), 'length', 'diameter'),
    width: field(above(0.5), 'length', 'width'),
    count: field(z.int().min(1).max(12), 'count', 'how many'),
    faired: z.boolean(),
  }),
  /** those that are drawn, by their own diameters */
  z.strictObject({
    kind: z.literal('drawn wheels'),
    width: field(above(0.5), 'length', 'width'),
    faired: z.boolean(),
  }),
  z.strictObject({
    kind: z.literal('opening'),
    length: field(above(5), 'length', 'length'),
    width: field(above(3), 'length', 'width'),
  }),
  z.strictObject({
    kind: z.literal('bluff'),
    frontal: field(above(5), 'dragArea', 'frontal area'),
    shape: z.enum(['ball', 'box', 'rounded', 'streamlined', 'cylinder across']),
  }),
]);
export type DragSource = z.infer<typeof dragSourceSchema>;

/** What the air holds against the frame of an aircraft without a wing, along each axis: drag coefficient times area [m2]. */
export const frameDragSchema = z.strictObject({
  front: field(between(0, 5), 'dragArea', 'drag area from ahead'),
  side: field(between(0, 5), 'dragArea', 'drag area from the side'),
  top: field(between(0, 5), 'dragArea', 'drag area from above'),
});

/** Something hung behind or below on a line. */
const towedSchema = z.strictObject({
  mass: field(between(0, 50), 'mass', 'mass'),
  dragArea: field(between(0, 2), 'dragArea', 'drag area'),
  line: field(above(200), 'distance', 'length of the line'),
  lineDiameter: field(between(0, 0.05), 'length', 'diameter of the line'),
  x: field(between(-5, 10), 'length', 'hook from datum'),
  z: field(between(-5, 5), 'length', 'height of the hook'),
});
export type Towed = z.infer<typeof towedSchema>;

/** What a state changes against the plain aircraft. */
export const stateFields = {
  /** order in which units leave: those that remain are the last of it */
  leaves: z.enum(['outer first', 'front first', 'rear first']).optional(),
  moved: z
    .array(
      z.strictObject({
        item: id,
        x: field(between(-5, 10), 'length', 'from datum'),
        y: field(between(-10, 10), 'length', 'out from the middle').optional(),
        z: field(between(-5, 5), 'length', 'height').optional(),
      }),
    )
    .max(20)
    .optional(),
  absent: z.array(id).max(40).optional(),
  /** added drag area, as of an open bay or lowered gear [m2] */ addedDrag: field(
    between(-0.5, 5),
    'dragArea',
    'added drag area',
  ).optional(),
  /** side area that appears (below zero: goes), at x [m2, m] */ sideArea: z
    .strictObject({
      area: field(between(-5, 5), 'area', 'side area'),
      x: field(between(-5, 10), 'length', 'from datum'),
      z: field(between(-5, 5), 'length', 'height'),
    })
    .optional(),
  towed: towedSchema.optional(),
  hover: z.boolean().optional(),
  /** flaps and drooped ailerons, by surface and control [rad, down positive] */ flaps: z
    .array(
      z.strictObject({
        surface: id,
        control: id,
        angle: field(between(-0.7, 0.7), 'angle', 'set to', { usual: [-0.1, 0.7] }),
      }),
    )
    .max(12)
    .optional(),
  /** surfaces set to another incidence than drawn [rad] */ set: z
    .array(z.strictObject({ surface: id, incidence: field(between(-0.8, 0.8), 'angle', 'incidence') }))
    .max(8)
    .optional(),
  /** wheels that retract are in */ gear: z.literal('up').optional(),
  /** thrusters that are folded in, stopped and out of the air stream */ stowed: z
    .array(id)
    .max(24)
    .optional(),
  /** parts of the swap set flown in place of their own */ fitted: z.array(id).max(6).optional(),
  /** how it leaves and comes back; as such an aircraft usually does where left out */
  leaving: z.enum(LEAVING).optional(),
  returning: z.enum(RETURNING).optional(),
};

/** Twist, incidence and mass as measured on the finished part. */
export const builtSchema = z.strictObject({
  surface: id,
  side: z.enum(['left', 'right']),
  /** distance out [m] */ y: field(between(0, 10), 'length', 'distance out'),
  /** leading edge up [rad] */ twist: field(between(-0.6, 0.6), 'angle', 'twist'),
});
export const halfMassSchema = z.strictObject({
  surface: id,
  left: field(between(0, 100), 'mass', 'left half'),
  right: field(between(0, 100), 'mass', 'right half'),
});

/** What can be carried, printed and cut [m]. */
export const limitsSchema = z.strictObject({
  longestPiece: field(above(20), 'length', 'longest piece').nullable(),
  printer: z
    .strictObject({
      length: field(above(3), 'length', 'length'),
      width: field(above(3), 'length', 'width'),
      height: field(above(3), 'length', 'height'),
    })
    .nullable(),
  sheet: z
    .strictObject({ length: field(above(5), 'length', 'length'), width: field(above(5), 'length', 'width') })
    .nullable(),
  /** what the builder's scale reads to [kg]; a two-hundredth of the mass and at most 1 g where left out */ scale:
    field(above(0.1), 'mass', 'what the scale reads to').optional(),
});

/** A model whose proportions are known. Lengths in m, areas in m2; null where not known. */
export const referenceSchema = z.strictObject({
  id,
  name: label,
  note: label,
  /** what has no wing has none of both */ span: field(above(20), 'length', 'span').nullable(),
  area: field(above(40), 'area', 'area').nullable(),
  mass: field(above(500), 'allUpMass', 'mass').nullable(),
  tailArea: field(above(20), 'area', 'tail area').nullable(),
  tailArm: field(above(20), 'length', 'tail arm').nullable(),
  finArea: field(above(20), 'area', 'fin area').nullable(),
  bodyLength: field(above(20), 'length', 'body length').nullable(),
  /** CG as a fraction of the mean chord */ cgChord: field(
    between(-2, 3),
    'chordPercent',
    'CG on the mean chord',
  ).nullable(),
  /** swept by all lifting rotors together [m2] */ discArea: field(above(40), 'area', 'disc area').optional(),
  /** most that it was flown with [kg] */ payload: field(above(200), 'mass', 'most payload').optional(),
  /** how its figures are known */ basis: z.enum(['guess', 'copied', 'claimed', 'measured']).optional(),
  /** parts of it are taken over: what is heavier than it, or faster, is beyond what it was built for */
  donor: z.literal(true).optional(),
  /** as fast as it was flown [m/s] */ fastest: field(above(200), 'speed', 'fastest flown').optional(),
});
export type ReferenceModel = z.infer<typeof referenceSchema>;
