/** Writes the published JSON Schema; a test holds the file to the code. */
import { writeFileSync } from 'node:fs';
import { projectJsonSchema } from '@skiametra/core/design';

writeFileSync(
  new URL('../docs/project.schema.json', import.meta.url),
  `${JSON.stringify(projectJsonSchema(), null, 2)}\n`,
);
