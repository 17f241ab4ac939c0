/**
 * What bears: members along a surface, a boom, an arm or a leg, and what they are made of. Sizes in m. Braces, joints and
 * glue lines will be members of other kinds beside these.
 */
import { z } from 'zod';
import { field } from './fields';
import { above, between, id, label } from './primitives';

const outer = field(above(0.5), 'length', 'outer diameter'),
  wall = field(above(0.1), 'length', 'wall'),
  height = field(above(0.5), 'length', 'depth'),
  width = field(above(0.5), 'length', 'width'),
  cap = field(above(0.1), 'length', 'cap thickness'),
  web = field(above(0.5), 'length', 'web thickness'),
  skin = field(above(0.05), 'length', 'skin thickness'),
  thickness = field(above(0.1), 'length', 'thickness');

/** A size at the tip where the member tapers; as at its root where left out. */
const tipSchema = z.strictObject({
  outer: outer.optional(),
  wall: wall.optional(),
  height: height.optional(),
  width: width.optional(),
  cap: cap.optional(),
  web: web.optional(),
  skin: skin.optional(),
  thickness: thickness.optional(),
});
export type TipSizes = z.infer<typeof tipSchema>;

const capped = { height, width, cap, capMaterial: id, web, webMaterial: id };

const memberShapeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('tube'), outer, wall, material: id }),
  z.strictObject({ kind: z.literal('rod'), outer, material: id }),
  z.strictObject({ kind: z.literal('square tube'), height, width, wall, material: id }),
  z.strictObject({ kind: z.literal('strip'), height, width, material: id }),
  /** caps with a web at either edge */ z.strictObject({ kind: z.literal('box'), ...capped }),
  /** caps on one web; a web as wide as they are is a core */
  z.strictObject({ kind: z.literal('caps'), ...capped }),
  z.strictObject({ kind: z.literal('i'), height, width, cap, web, material: id }),
  /** web upright at one edge, or lying at the bottom with the flanges up */
  z.strictObject({
    kind: z.literal('channel'),
    height,
    width,
    cap,
    web,
    material: id,
    lies: z.boolean(),
  }),
  /** skin ahead of a web at the member's place on the chord */
  z.strictObject({ kind: z.literal('nose'), skin, skinMaterial: id, web, webMaterial: id }),
  /** skin around the section over a full core */
  z.strictObject({ kind: z.literal('sandwich'), skin, skinMaterial: id, coreMaterial: id }),
  /** printed wall around the section with infill of the same */
  z.strictObject({
    kind: z.literal('print'),
    wall,
    material: id,
    infill: field(between(0, 1), 'percent', 'infill', { usual: [0, 0.4] }),
  }),
  /** bare sheet over the chord */ z.strictObject({ kind: z.literal('sheet'), thickness, material: id }),
]);
export type MemberShape = z.infer<typeof memberShapeSchema>;
export type MemberKind = MemberShape['kind'];

const tapers = { shape: memberShapeSchema, tip: tipSchema.optional() };

/** What a member is, from a place on: another size or another material. */
const stepSchema = z.strictObject({
  /** distance out [m] */ from: field(between(0, 10), 'length', 'from, distance out'),
  ...tapers,
});

/** A break that was mended: it bears nothing that is counted on before a load test or a written reason says so. */
const repairSchema = z.strictObject({
  date: z.string().max(40),
  what: label,
  /** distance out [m] */ at: field(between(0, 10), 'length', 'where, distance out'),
  /** why it may bear without a load test; empty where nobody says so */ reason: z.string().max(2000),
});
export type Repair = z.infer<typeof repairSchema>;

export const memberSchema = z.strictObject({
  id,
  name: label,
  /** surface that it stands in */ surface: id,
  /** place as a fraction of the chord */ chordPlace: field(
    between(0.05, 0.8),
    'percent',
    'place on the chord',
  ),
  ...tapers,
  /** further out it is something else */ steps: z
    .array(stepSchema)
    .max(8)
    .refine((s) => s.every((p, i) => i === 0 || p.from > s[i - 1].from), 'steps must go outward')
    .optional(),
  /** a sleeve or doubler covers a part of the span; the whole of it where left out [m] */
  from: field(between(0, 10), 'length', 'from, distance out').optional(),
  to: field(above(10), 'length', 'to, distance out').optional(),
  /** spacing of what holds it sideways; all along where left out [m] */ held: field(
    between(0, 10),
    'length',
    'held sideways every',
  ).optional(),
  repair: repairSchema.optional(),
});
export type Member = z.infer<typeof memberSchema>;

export const ARM_KINDS = ['arm', 'boom', 'leg', 'mount'] as const;

/**
 * What stands out from the body and bears at its end: a rotor's arm under its full thrust, a boom under its tail, a leg at a
 * hard landing, a mount under what hangs on it.
 */
export const armSchema = z.strictObject({
  id,
  name: label,
  kind: z.enum(ARM_KINDS),
  length: field(above(5), 'length', 'length'),
  /** alike ones that share the load */ count: field(z.int().min(1).max(24), 'count', 'how many'),
  ...tapers,
  /** tail that a boom bears */ surface: id.optional(),
  /** height from which a leg lands [m] */ drop: field(between(0, 5), 'length', 'falls from', {
    usual: [0.1, 0.6],
  }).optional(),
  /** what hangs on a mount [kg] */ hangs: field(between(0, 50), 'mass', 'what hangs on it').optional(),
});
export type Arm = z.infer<typeof armSchema>;

const strength = (name: string) => field(between(0, 1e11), 'stress', name);
const broke = z
  .array(field(above(1e11), 'stress', 'stress at failure'))
  .max(60)
  .optional();

/** A material of the person's own: typed, or learnt from coupons. */
export const ownMaterialSchema = z.strictObject({
  id,
  name: label,
  kind: z.enum(['metal', 'wood', 'composite', 'foam', 'print', 'board', 'film', 'thread']),
  density: field(above(25000), 'density', 'density'),
  modulus: field(above(1e12), 'modulus', 'stiffness along'),
  across: field(between(0, 1e12), 'modulus', 'stiffness across'),
  shearModulus: field(above(1e12), 'modulus', 'shear stiffness'),
  tension: strength('strength in tension'),
  compression: strength('strength in compression'),
  shear: strength('strength in shear'),
  /** share of the strengths that is used */ used: field(between(0.05, 1), 'percent', 'share used', {
    usual: [0.4, 0.95],
  }),
  /** stresses at which coupons broke [Pa] */ coupons: z
    .strictObject({ tension: broke, compression: broke, shear: broke })
    .optional(),
  note: label,
});
export type OwnMaterial = z.infer<typeof ownMaterialSchema>;
