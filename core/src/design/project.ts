/** The exchange file: a whole project in one JSON file, versioned, with a published JSON Schema. */
import { z } from 'zod';
import { FIELDS, storedUnit } from './fields';
import { SCHEMA_VERSION, documentSchema } from './schema';
import { testBodySchema } from './testSchema';

export const FILE_FORMAT = 'skiametra-project';
const name = z.string().min(1).max(160);
const key = z.string().min(1).max(60);

export const projectFileSchema = z.strictObject({
  format: z.literal(FILE_FORMAT),
  schemaVersion: z.literal(SCHEMA_VERSION),
  project: z.strictObject({ name, aircraft: name }),
  versions: z
    .array(
      z.strictObject({
        key,
        name,
        parent: key.nullable(),
        reason: z.string().max(4000),
        document: documentSchema,
      }),
    )
    .min(1)
    .max(2000),
  airframes: z.array(z.strictObject({ key, name, version: key, note: z.string().max(1000) })).max(2000),
  tests: z
    .array(z.strictObject({ key, version: key, airframe: key.nullable(), body: testBodySchema }))
    .max(20_000),
});
export type ProjectFile = z.infer<typeof projectFileSchema>;

/** The JSON Schema of the exchange file (draft 2020-12), as published in docs. */
export function projectJsonSchema(): Record<string, unknown> {
  return {
    title: 'Skiametra project file',
    ...z.toJSONSchema(projectFileSchema, {
      target: 'draft-2020-12',
      unrepresentable: 'any',
      // names and stored units of numbers, for whoever reads the file without this program
      override: ({ zodSchema, jsonSchema }) => {
        const known = FIELDS.get(zodSchema as unknown as z.ZodType);
        if (!known) return;
        const unit = storedUnit(known.kind);
        jsonSchema.title = known.label;
        const usual = known.usual && `usual: ${known.usual[0]} to ${known.usual[1]}`;
        jsonSchema.description =
          [unit && `[${unit}]`, known.help, usual].filter(Boolean).join(' ') || undefined;
        if (unit) jsonSchema['x-unit'] = unit;
      },
    }),
  };
}
