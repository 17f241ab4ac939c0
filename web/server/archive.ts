/**
 * A project as one zip file: `project.json`, the rows of each log by themselves, and the files as loggers wrote them. Streamed
 * both ways, a log at a time. Keys in canonical order, no time of export: a second export is byte for byte the first.
 */
import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import { gunzipSync, gzipSync } from 'node:zlib';
import { asc, eq } from 'drizzle-orm';
import { openPromise, type Entry, type ZipFile as ZipReader } from 'yauzl';
import { ZipFile } from 'yazl';
import { z } from 'zod';
import { readProjectFile, testBodySchema } from '@skiametra/core/design';
import { stableJson } from '@skiametra/core/numeric';
import { cleanText, tooDeep } from './clean';
import type { Db } from './connection';
import { logOf, outlineOf, storeProject, type Outline, type Tx } from './exchange';
import { logFiles, logs } from './schema';

/** Largest file that is opened, and largest part of it once unpacked [bytes]. */
export const MOST_ARCHIVE = 600_000_000,
  MOST_PROJECT_PART = 60_000_000,
  MOST_LOG_PART = 24_000_000,
  MOST_FILE_PART = 16_000_000;
const MOST_ENTRIES = 60_000;

// the same for every export: a zip file knows times in local years from 1980
const STAMP = { mtime: new Date(1980, 0, 1), mode: 0o100644, compress: true, forceDosTimestamp: true };

const fileListSchema = z.array(
  z.strictObject({
    test: z.string().max(60),
    entry: z.string().max(300),
    name: z.string().max(400),
    sha256: z.string().regex(/^[0-9a-f]{64}$/),
  }),
);
type FileList = z.infer<typeof fileListSchema>;

const plainName = (s: string) => s.replace(/[^A-Za-z0-9._-]+/g, '-').slice(-80) || 'log';

/** Adds the files of one test to the zip, and to the list of them. */
async function addFiles(tx: Tx, zip: ZipFile, testId: number, key: string, list: FileList): Promise<void> {
  const rows = await tx
    .select({ id: logFiles.id, name: logFiles.name, sha256: logFiles.sha256 })
    .from(logFiles)
    .where(eq(logFiles.testId, testId))
    .orderBy(asc(logFiles.sha256));
  for (const row of rows) {
    const [{ gzip }] = await tx.select({ gzip: logFiles.gzip }).from(logFiles).where(eq(logFiles.id, row.id));
    const entry = `files/${key}/${row.sha256.slice(0, 12)}-${plainName(row.name)}`;
    list.push({ test: key, entry, name: row.name, sha256: row.sha256 });
    await added(zip, entry, gunzipSync(gzip));
  }
}

/** Adds one entry and waits until the reader has taken what came before, so that logs do not pile up in memory. */
async function added(zip: ZipFile, name: string, data: Buffer): Promise<void> {
  zip.addBuffer(data, name, STAMP);
  const out = zip.outputStream as Readable;
  for (let i = 0; out.readableLength > 4_000_000 && !out.destroyed && i < 6000; i++)
    await new Promise((r) => setTimeout(r, 10));
}

const json = (v: unknown) => Buffer.from(`${stableJson(v)}\n`);

async function write(tx: Tx, zip: ZipFile, { file, tests, damaged }: Outline): Promise<void> {
  await added(zip, 'project.json', json(file));
  const list: FileList = [];
  for (const [id, key] of tests) {
    const log = await logOf(tx, id);
    if (log) await added(zip, `logs/${key}.json`, json(log));
    await addFiles(tx, zip, id, key, list);
  }
  await added(zip, 'files.json', json(list));
  for (const d of damaged) await added(zip, `damaged/${d.key}.json`, json(d.document));
}

/** @returns the name it goes by and its bytes as they are made; null when there is no such project */
export async function exportArchive(
  db: Db,
  projectId: number,
): Promise<{ stem: string; stream: ReadableStream<Uint8Array> } | null> {
  const zip = new ZipFile();
  const out = zip.outputStream as Readable;
  const stem = await new Promise<string | null>((begun, failed) => {
    void db
      .transaction(
        async (tx) => {
          const outline = await outlineOf(tx, projectId);
          begun(outline ? `${outline.file.project.aircraft}-${outline.file.project.name}` : null);
          if (outline) await write(tx, zip, outline);
          zip.end();
        },
        { isolationLevel: 'repeatable read', accessMode: 'read only' },
      )
      .catch((e: unknown) => {
        failed(e as Error);
        // cut short, so that nobody takes half a file for a whole one
        out.destroy(e as Error);
      });
  });
  return stem === null ? null : { stem, stream: Readable.toWeb(out) as ReadableStream<Uint8Array> };
}

/** A file that is not one of ours, or is damaged: a sentence for the person. */
export class ArchiveError extends Error {}

async function bytesOf(zip: ZipReader, entry: Entry, most: number): Promise<Buffer> {
  if (entry.uncompressedSize > most)
    throw new ArchiveError(`The part ${entry.fileName} is larger than ${most / 1e6} MB.`);
  const chunks: Buffer[] = [];
  for await (const c of await zip.openReadStreamPromise(entry)) chunks.push(c as Buffer);
  return Buffer.concat(chunks);
}

function parsed(bytes: Buffer, name: string): unknown {
  const text = bytes.toString('utf8');
  if (tooDeep(text)) throw new ArchiveError(`The part ${name} is nested deeper than any document.`);
  try {
    return cleanText(JSON.parse(text));
  } catch {
    throw new ArchiveError(`The part ${name} is not JSON; the file may have been cut short.`);
  }
}

/** Everything a zip lists, by name. */
async function contents(zip: ZipReader): Promise<Map<string, Entry>> {
  const out = new Map<string, Entry>();
  for await (const e of zip.eachEntry()) {
    out.set(e.fileName, e);
    if (out.size > MOST_ENTRIES) throw new ArchiveError('The file holds more parts than any project.');
  }
  return out;
}

const logSchema = testBodySchema.shape.log.unwrap();

async function storeLogs(tx: Tx, zip: ZipReader, has: Map<string, Entry>, tests: Map<string, number>) {
  for (const [key, testId] of tests) {
    const entry = has.get(`logs/${key}.json`);
    if (!entry) continue;
    const log = logSchema.safeParse(parsed(await bytesOf(zip, entry, MOST_LOG_PART), entry.fileName));
    if (!log.success) throw new ArchiveError(`The log of test ${key} is damaged.`);
    await tx.insert(logs).values({ testId, ...log.data });
  }
}

async function storeFiles(tx: Tx, zip: ZipReader, has: Map<string, Entry>, tests: Map<string, number>) {
  const listed = has.get('files.json');
  if (!listed) return;
  const list = fileListSchema.safeParse(parsed(await bytesOf(zip, listed, MOST_LOG_PART), 'files.json'));
  if (!list.success) throw new ArchiveError('Its list of files is damaged.');
  for (const f of list.data) {
    const entry = has.get(f.entry),
      testId = tests.get(f.test);
    if (!entry || testId === undefined) throw new ArchiveError(`The file ${f.name} is missing in it.`);
    const bytes = await bytesOf(zip, entry, MOST_FILE_PART);
    if (createHash('sha256').update(bytes).digest('hex') !== f.sha256)
      throw new ArchiveError(`The file ${f.name} in it is damaged.`);
    await keepFile(tx, testId, f.name, bytes);
  }
}

/** Keeps a file as it came; the same bytes are kept once a test. */
export async function keepFile(tx: Pick<Db, 'insert'>, testId: number, name: string, bytes: Buffer) {
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  await tx
    .insert(logFiles)
    .values({ testId, name, sha256, size: bytes.length, gzip: gzipSync(bytes) })
    .onConflictDoNothing();
}

async function openZip(path: string): Promise<ZipReader> {
  try {
    return await openPromise(path, { autoClose: false, lazyEntries: true });
  } catch {
    throw new ArchiveError('The file is neither a project file nor whole; it may have been cut short.');
  }
}

/**
 * Stores a zip file as a new project; all of it or nothing.
 * @param path of the file on this machine @throws ArchiveError
 */
export async function importArchive(db: Db, path: string): Promise<{ projectId: number; versionId: number }> {
  const zip = await openZip(path);
  try {
    const has = await contents(zip);
    const main = has.get('project.json');
    if (!main) throw new ArchiveError('The file is a zip without a project in it.');
    const file = readProjectFile(parsed(await bytesOf(zip, main, MOST_PROJECT_PART), 'project.json'));
    if (file.status === 'error') throw new ArchiveError(file.message);
    return await db.transaction(async (tx) => {
      const stored = await storeProject(tx, file.value);
      await storeLogs(tx, zip, has, stored.tests);
      await storeFiles(tx, zip, has, stored.tests);
      return { projectId: stored.projectId, versionId: stored.versionId };
    });
  } finally {
    zip.close();
  }
}
