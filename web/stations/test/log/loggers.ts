/** How the columns of each logger were taken last, by their names: asked once. Kept in this browser. */
import { logEntrySchema, type LogColumn } from '@skiametra/core/design';
import type { TableHead } from '../../../workers/logJobs';

const KEY = 'skiametra-logger ';
const columnsSchema = logEntrySchema.shape.columns.unwrap();

const nameOf = (names: readonly string[]) => KEY + names.join('|').slice(0, 600);

/** null of a logger that nobody has mapped here, or where nothing may be kept. */
export function rememberedColumns({ names }: Pick<TableHead, 'names'>): LogColumn[] | null {
  try {
    const read = columnsSchema.safeParse(JSON.parse(localStorage.getItem(nameOf(names)) ?? 'null'));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}

export function rememberColumns({ names }: Pick<TableHead, 'names'>, columns: readonly LogColumn[]): void {
  try {
    localStorage.setItem(nameOf(names), JSON.stringify(columns));
  } catch {
    // a browser that keeps nothing asks again next time
  }
}
