/** What bears: members, arms, materials of one's own, and what is asked of them. SI. */
import { z } from 'zod';
import { field } from './fields';
import { armSchema, memberSchema, ownMaterialSchema } from './memberSchema';
import { above, between, id, label } from './primitives';

export const structureSchema = z.strictObject({
  members: z.array(memberSchema).max(40),
  /** other ways of building it, kept to compare: at most three beside the one that is drawn */ others: z
    .array(z.strictObject({ id, name: label, members: z.array(memberSchema).max(40) }))
    .max(3)
    .optional(),
  /** what bears at its end */ arms: z.array(armSchema).max(24).optional(),
  /** the person's own, as they were when they were taken in */ materials: z
    .array(ownMaterialSchema)
    .max(40)
    .optional(),
  /** fastest that it is flown: level top speed, or twice the stall without a motor, where left out [m/s] */
  fastest: field(above(120), 'speed', 'fastest it is flown').optional(),
  /** points of the diagram that were flown, typed */ flown: z
    .array(
      z.strictObject({
        speed: field(above(150), 'speed', 'speed'),
        loadFactor: field(between(-30, 30), 'loadFactor', 'load factor'),
        note: label,
      }),
    )
    .max(40)
    .optional(),
  requiredLoadFactor: field(between(1, 20), 'loadFactor', 'load factor asked', { usual: [2, 10] }),
  requiredNegative: field(between(0, 20), 'loadFactor', 'downward load factor asked'),
  /** failure load over limit load */ safetyFactor: field(between(1, 4), 'ratio', 'safety factor', {
    usual: [1.25, 2],
    step: 0.05,
  }),
});
