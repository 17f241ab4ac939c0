/**
 * The parts of a design that only some layouts have: pods, lift rotors, wheels, boxes, states with something moved,
 * opened or towed, the shape as it was built, what the workshop and the car can take, models to compare with.
 * All optional in the document, so that a plain aircraft stays plain.
 */
import { z } from 'zod';
import { above, between, id, label } from './primitives';
import { LEAVING, RETURNING } from './wayKinds';

const bodyStation = z.strictObject({
  x: between(-5, 10),
  width: between(0, 3),
  height: between(0, 3),
  z: between(-3, 3),
});
export const bodySchema = z
  .array(bodyStation)
  .min(2)
  .max(40)
  .refine((s) => s.every((p, i) => i === 0 || p.x > s[i - 1].x), 'stations must go aft from the nose');

/** A pod, boom or nacelle beside the body; mirrored to the other side when it stands off the middle. */
export const podSchema = z.strictObject({ id, name: label, y: between(0, 10), stations: bodySchema });

/** One lift rotor, thrust upward. */
export const rotorSchema = z.strictObject({
  id,
  name: label,
  x: between(-5, 10),
  y: between(-10, 10),
  z: between(-5, 5),
  diameter: above(3),
  /** largest thrust of one [N] */ maxThrust: above(5000),
});

/** A wheel, ball or skid that touches the ground: z of the axle where a diameter is given, else of the lowest point. */
export const wheelSchema = z.strictObject({
  id,
  name: label,
  x: between(-5, 10),
  y: between(-5, 5),
  z: between(-5, 5),
  diameter: above(1).optional(),
});

/** Size of a thing inside the body [m]. */
export const boxSchema = z.strictObject({ length: above(5), width: above(3), height: above(3) });

/** How the drag of an outside part is found. Lengths in m. */
export const dragSourceSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('wire'),
    length: above(20),
    diameter: above(0.05),
    count: z.int().min(1).max(100),
  }),
  z.strictObject({
    kind: z.literal('strut'),
    length: above(20),
    chord: above(0.5),
    thickness: above(0.2),
    count: z.int().min(1).max(40),
  }),
  z.strictObject({
    kind: z.literal('wheel'),
    diameter: above(1),
    width: above(0.5),
    count: z.int().min(1).max(12),
    faired: z.boolean(),
  }),
  /** those that are drawn, by their own diameters */
  z.strictObject({ kind: z.literal('drawn wheels'), width: above(0.5), faired: z.boolean() }),
  z.strictObject({ kind: z.literal('opening'), length: above(5), width: above(3) }),
  z.strictObject({
    kind: z.literal('bluff'),
    frontal: above(5),
    shape: z.enum(['ball', 'box', 'rounded', 'streamlined', 'cylinder across']),
  }),
]);
export type DragSource = z.infer<typeof dragSourceSchema>;

/** Something hung behind or below on a line. */
export const towedSchema = z.strictObject({
  mass: between(0, 50),
  dragArea: between(0, 2),
  line: above(200),
  lineDiameter: between(0, 0.05),
  x: between(-5, 10),
  z: between(-5, 5),
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
        x: between(-5, 10),
        y: between(-10, 10).optional(),
        z: between(-5, 5).optional(),
      }),
    )
    .max(20)
    .optional(),
  absent: z.array(id).max(40).optional(),
  /** added drag area, as of an open bay or lowered gear [m2] */ addedDrag: between(-0.5, 5).optional(),
  /** side area that appears (below zero: goes), at x [m2, m] */ sideArea: z
    .strictObject({ area: between(-5, 5), x: between(-5, 10), z: between(-5, 5) })
    .optional(),
  towed: towedSchema.optional(),
  hover: z.boolean().optional(),
  /** how it leaves and comes back; as such an aircraft usually does where left out */
  leaving: z.enum(LEAVING).optional(),
  returning: z.enum(RETURNING).optional(),
};

/** Twist, incidence and mass as measured on the finished part. */
export const builtSchema = z.strictObject({
  surface: id,
  side: z.enum(['left', 'right']),
  /** distance out [m] */ y: between(0, 10),
  /** leading edge up [rad] */ twist: between(-0.6, 0.6),
});
export const halfMassSchema = z.strictObject({ surface: id, left: between(0, 100), right: between(0, 100) });

/** What can be carried, printed and cut [m]. */
export const limitsSchema = z.strictObject({
  longestPiece: above(20).nullable(),
  printer: z.strictObject({ length: above(3), width: above(3), height: above(3) }).nullable(),
  sheet: z.strictObject({ length: above(5), width: above(5) }).nullable(),
  /** what the builder's scale reads to [kg]; a two-hundredth of the mass and at most 1 g where left out */ scale:
    above(0.1).optional(),
});

/** A model whose proportions are known. Lengths in m, areas in m2; null where not known. */
export const referenceSchema = z.strictObject({
  id,
  name: label,
  note: label,
  span: above(20),
  area: above(40),
  mass: above(500).nullable(),
  tailArea: above(20).nullable(),
  tailArm: above(20).nullable(),
  finArea: above(20).nullable(),
  bodyLength: above(20).nullable(),
  /** CG as a fraction of the mean chord */ cgChord: between(-2, 3).nullable(),
});
export type ReferenceModel = z.infer<typeof referenceSchema>;
