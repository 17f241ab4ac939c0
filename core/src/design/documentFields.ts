/** What is declared of the numbers of a document and of a test. */
import { fieldIn, type Field } from './fields';
import { documentSchema } from './schema';
import { testBodySchema } from './testSchema';

/** @param path from the document: `design.items.battery.weighed`, `brief.site.wind` */
export function documentField(path: string): Field | null {
  return fieldIn(documentSchema, path);
}

/** @param path from the body of a test: `record.wind` */
export function testField(path: string): Field | null {
  return fieldIn(testBodySchema, path);
}
