/** The exchange file as text: size limit, JSON, then the core's reader. */
import { readProjectFile, type ProjectFile, type ReadResult } from '@skiametra/core/design';

export const MAX_PROJECT_BYTES = 40_000_000;

export function parseProjectJson(text: string): ReadResult<ProjectFile> {
  if (text.length > MAX_PROJECT_BYTES) return { status: 'error', message: 'The file is larger than 40 MB.' };
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { status: 'error', message: 'The file is not JSON; it may have been cut short.' };
  }
  return readProjectFile(data);
}

/** Stable text: two spaces, one newline at the end. */
export function writeProjectJson(file: ProjectFile): string {
  return `${JSON.stringify(file, null, 2)}\n`;
}
