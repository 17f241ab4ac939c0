/** The text of a project file of either form: JSON as it is, of a zip the project inside. */
import { readFile, stat } from 'node:fs/promises';
import { MAX_PROJECT_BYTES } from '@skiametra/formats';
import { openZip, ZipError } from '@skiametra/formats/zip';
import { UsageError } from './usage';

/** A zip holds logs and files besides, which are not read here. */
const MOST_ZIP = 600_000_000;

async function projectIn(path: string): Promise<string> {
  const zip = await openZip(path);
  try {
    if (!zip.has('project.json')) throw new UsageError(`${path} is a zip without a project in it.`);
    return (await zip.bytes('project.json', MAX_PROJECT_BYTES)).toString('utf8');
  } finally {
    zip.close();
  }
}

/** @throws UsageError where there is no such file, or it is too large or cut short */
export async function projectText(path: string): Promise<string> {
  const info = await stat(path).catch(() => null);
  if (!info?.isFile()) throw new UsageError(`There is no file ${path}.`);
  const zipped = /\.zip$/i.test(path),
    most = zipped ? MOST_ZIP : MAX_PROJECT_BYTES;
  if (info.size > most) throw new UsageError(`${path} is larger than ${most / 1e6} MB.`);
  if (!zipped) return readFile(path, 'utf8');
  return projectIn(path).catch((e: unknown) => {
    throw e instanceof ZipError ? new UsageError(`${path}: ${e.message}`) : e;
  });
}
