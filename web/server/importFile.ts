/** A received project file of either form. */
import { open, readFile, stat } from 'node:fs/promises';
import { MAX_PROJECT_BYTES, parseProjectJson } from '@skiametra/formats';
import { ArchiveError, importArchive } from './archive';
import { cleanText, tooDeep } from './clean';
import type { Db } from './connection';
import { importProject } from './exchange';

async function isZip(path: string): Promise<boolean> {
  const f = await open(path);
  try {
    const { buffer, bytesRead } = await f.read(Buffer.alloc(2), 0, 2, 0);
    return bytesRead === 2 && buffer.toString('latin1') === 'PK';
  } finally {
    await f.close();
  }
}

/** Stores a zip or JSON project file as a new project. @throws ArchiveError with a sentence */
export async function importFile(db: Db, path: string): Promise<{ projectId: number; versionId: number }> {
  if (await isZip(path)) return importArchive(db, path);
  if ((await stat(path)).size > MAX_PROJECT_BYTES)
    throw new ArchiveError(`As JSON it is larger than ${MAX_PROJECT_BYTES / 1e6} MB.`);
  const text = await readFile(path, 'utf8');
  if (tooDeep(text)) throw new ArchiveError('The file is nested deeper than any document.');
  const file = parseProjectJson(text);
  if (file.status === 'error') throw new ArchiveError(file.message);
  return importProject(db, cleanText(file.value));
}
