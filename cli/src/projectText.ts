/** The text of a project file of either form: JSON as it is, of a zip the project inside. */
import { readFile, stat } from 'node:fs/promises';
import { openPromise, type ZipFile } from 'yauzl';
import { MAX_PROJECT_BYTES } from '@skiametra/formats';
import { UsageError } from './usage';

/** A zip holds logs and files besides, which are not read here. */
const MOST_ZIP = 600_000_000;

async function projectIn(zip: ZipFile, path: string): Promise<string> {
  for await (const entry of zip.eachEntry()) {
    if (entry.fileName !== 'project.json') continue;
    if (entry.uncompressedSize > MAX_PROJECT_BYTES)
      throw new UsageError(`The project in ${path} is larger than ${MAX_PROJECT_BYTES / 1e6} MB.`);
    const chunks: Buffer[] = [];
    for await (const c of await zip.openReadStreamPromise(entry)) chunks.push(c as Buffer);
    return Buffer.concat(chunks).toString('utf8');
  }
  throw new UsageError(`${path} is a zip without a project in it.`);
}

/** @throws UsageError where there is no such file, or it is too large or cut short */
export async function projectText(path: string): Promise<string> {
  const info = await stat(path).catch(() => null);
  if (!info?.isFile()) throw new UsageError(`There is no file ${path}.`);
  if (!/\.zip$/i.test(path)) {
    if (info.size > MAX_PROJECT_BYTES)
      throw new UsageError(`${path} is larger than ${MAX_PROJECT_BYTES / 1e6} MB.`);
    return readFile(path, 'utf8');
  }
  if (info.size > MOST_ZIP) throw new UsageError(`${path} is larger than ${MOST_ZIP / 1e6} MB.`);
  const zip = await openPromise(path, { lazyEntries: true, autoClose: false }).catch(() => {
    throw new UsageError(`${path} is not a whole zip; it may have been cut short.`);
  });
  try {
    return await projectIn(zip, path);
  } finally {
    zip.close();
  }
}
