/** What bears: members along a surface. Sizes in m. */
import { z } from 'zod';
import { field } from './fields';
import { above, between, id, label } from './primitives';

const memberShapeSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('tube'),
    outer: field(above(0.5), 'length', 'outer diameter'),
    wall: field(above(0.1), 'length', 'wall'),
    material: id,
  }),
  z.strictObject({
    kind: z.literal('box'),
    height: field(above(0.5), 'length', 'depth'),
    width: field(above(0.5), 'length', 'width'),
    cap: field(above(0.1), 'length', 'cap thickness'),
    capMaterial: id,
    web: field(above(0.1), 'length', 'web thickness'),
    webMaterial: id,
  }),
]);

export const memberSchema = z.strictObject({
  id,
  name: label,
  /** surface that it stands in */ surface: id,
  /** place as a fraction of the chord */ chordPlace: field(
    between(0.05, 0.8),
    'percent',
    'place on the chord',
  ),
  shape: memberShapeSchema,
});
export type Member = z.infer<typeof memberSchema>;
