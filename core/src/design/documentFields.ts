/** What is declared of the numbers of a document and of a test. */
import { faultAt, fieldIn, type Field } from './fields';
import { problemOf } from './read';
import { documentSchema } from './schema';
import { testBodySchema } from './testSchema';

/** @param path from the document: `design.items.battery.weighed`, `brief.site.wind` */
export function documentField(path: string): Field | null {
  return fieldIn(documentSchema, path);
}

/** What is wrong with a number at a path of a document, by that leaf alone; null where nothing is. */
export function numberFault(path: string, value: number): string | null {
  const fault = faultAt(documentSchema, path, value);
  return fault ? problemOf(fault).what : null;
}

/** @param path from the body of a test: `record.wind` */
export function testField(path: string): Field | null {
  return fieldIn(testBodySchema, path);
}
