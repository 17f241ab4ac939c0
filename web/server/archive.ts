/**
 * A project as one zip file: `project.json` and the files as loggers wrote them. Streamed both ways, a file at a time. Rows of
 * logs by themselves, as files of schema 7 have them, become files. Keys in canonical order, no time of export: a second export
 * is byte for byte the first.
 */
import { Readable } from 'node:stream';
import { finished } from 'node:stream/promises';
import { gunzipSync } from 'node:zlib';
import { asc, eq, inArray } from 'drizzle-orm';
import { ZipFile } from 'yazl';
import { z } from 'zod';
import { readProjectFile, testBodySchema } from '@skiametra/core/design';
import { stableJson } from '@skiametra/core/numeric';
import { openZip, ZipError, type OpenZip } from '@skiametra/formats/zip';
import { cleanText, tooDeep } from './clean';
import type { Db } from './connection';
import { outlineOf, storeMeasurements, storeProject, type Outline, type Tx } from './exchange';
import { keepFile, sumOf, withoutRows } from './logFile';
import { logFiles, tests as testsTable } from './schema';

/** Largest file that is opened, and largest part of it once unpacked [bytes]. */
export const MOST_ARCHIVE = 600_000_000;
const MOST_PROJECT_PART = 150_000_000;
const MOST_LOG_PART = 24_000_000;
export const MOST_FILE_PART = 80_000_000;

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

/** An entry whose bytes are fetched only when its turn comes: a project of many logs is never in memory as a whole. */
function later(zip: ZipFile, name: string, fetch: () => Promise<Buffer>): void {
  zip.addReadStreamLazy(name, STAMP, (give) => {
    fetch().then(
      (bytes) => give(null, Readable.from([bytes])),
      (e: unknown) => give(e, Readable.from([])),
    );
  });
}

const json = (v: unknown) => Buffer.from(`${stableJson(v)}\n`);

interface FileRow {
  id: number;
  test: string;
  name: string;
  sha256: string;
}

/** Files of all tests, in an order that depends on nothing but them. */
async function fileRows(tx: Tx, tests: Map<number, string>): Promise<FileRow[]> {
  if (tests.size === 0) return [];
  const rows = await tx
    .select({ id: logFiles.id, testId: logFiles.testId, name: logFiles.name, sha256: logFiles.sha256 })
    .from(logFiles)
    .where(inArray(logFiles.testId, [...tests.keys()]))
    .orderBy(asc(logFiles.testId), asc(logFiles.sha256));
  return rows.map(({ testId, ...r }) => ({ ...r, test: tests.get(testId)! }));
}

const entryOf = (f: FileRow) => `files/${f.test}/${f.sha256.slice(0, 12)}-${plainName(f.name)}`;

async function bytesOfFile(tx: Tx, id: number): Promise<Buffer> {
  const [file] = await tx.select({ gzip: logFiles.gzip }).from(logFiles).where(eq(logFiles.id, id));
  if (!file) throw new Error('a file went while it was read');
  return gunzipSync(file.gzip);
}

/** Lists all entries of the zip; those of logs and files are fetched while it is read. */
async function write(tx: Tx, zip: ZipFile, { file, tests, damaged }: Outline): Promise<void> {
  zip.addBuffer(json(file), 'project.json', STAMP);
  const rows = await fileRows(tx, tests);
  for (const f of rows) later(zip, entryOf(f), () => bytesOfFile(tx, f.id));
  const list = rows.map((f) => ({ test: f.test, entry: entryOf(f), name: f.name, sha256: f.sha256 }));
  zip.addBuffer(json(list satisfies FileList), 'files.json', STAMP);
  for (const d of damaged) zip.addBuffer(json(d.document), `damaged/${d.key}.json`, STAMP);
  zip.end();
}

/** @returns the name it goes by and its bytes as they are made; null when there is no such project */
export async function exportArchive(
  db: Db,
  projectId: number,
): Promise<{ stem: string; stream: ReadableStream<Uint8Array> } | null> {
  const zip = new ZipFile();
  const out = zip.outputStream as Readable;
  const stem = await new Promise<string | null>((begun, failed) => {
    const work = async (tx: Tx) => {
      const outline = await outlineOf(tx, projectId);
      begun(outline ? `${outline.file.project.aircraft}-${outline.file.project.name}` : null);
      if (!outline) return;
      const read = finished(out);
      zip.on('error', (e: Error) => out.destroy(e));
      await write(tx, zip, outline);
      // the same moment of the database for all of it, until the last byte is taken
      await read;
    };
    db.transaction(work, { isolationLevel: 'repeatable read', accessMode: 'read only' }).catch(
      (e: unknown) => {
        failed(e as Error);
        // cut short, so that nobody takes half a file for a whole one
        out.destroy(e as Error);
      },
    );
  });
  return stem === null ? null : { stem, stream: Readable.toWeb(out) as ReadableStream<Uint8Array> };
}

export { ZipError as ArchiveError };

function parsed(bytes: Buffer, name: string): unknown {
  const text = bytes.toString('utf8');
  if (tooDeep(text)) throw new ZipError(`The part ${name} is nested deeper than any document.`);
  try {
    return cleanText(JSON.parse(text));
  } catch {
    throw new ZipError(`The part ${name} is not JSON; the file may have been cut short.`);
  }
}

const logSchema = testBodySchema.shape.log.unwrap();

/** Rows of logs as files of schema 7 have them. */
async function storeLogs(tx: Tx, zip: OpenZip, tests: Map<string, number>): Promise<void> {
  for (const [key, testId] of tests) {
    const part = `logs/${key}.json`;
    if (!zip.has(part)) continue;
    const log = logSchema.safeParse(parsed(await zip.bytes(part, MOST_LOG_PART), part));
    if (!log.success) throw new ZipError(`The log of test ${key} is damaged.`);
    const [row] = await tx
      .select({ body: testsTable.body })
      .from(testsTable)
      .where(eq(testsTable.id, testId));
    const body = await withoutRows({ ...row!.body, log: log.data }, (name, bytes) =>
      keepFile(tx, testId, name, bytes),
    );
    await tx.update(testsTable).set({ body }).where(eq(testsTable.id, testId));
    await storeMeasurements(tx, testId, body);
  }
}

async function storeFiles(tx: Tx, zip: OpenZip, tests: Map<string, number>): Promise<void> {
  if (!zip.has('files.json')) return;
  const list = fileListSchema.safeParse(parsed(await zip.bytes('files.json', MOST_LOG_PART), 'files.json'));
  if (!list.success) throw new ZipError('Its list of files is damaged.');
  for (const f of list.data) {
    const testId = tests.get(f.test);
    if (testId === undefined) throw new ZipError(`The file ${f.name} belongs to no test in it.`);
    const bytes = await zip.bytes(f.entry, MOST_FILE_PART);
    if (sumOf(bytes) !== f.sha256) throw new ZipError(`The file ${f.name} in it is damaged.`);
    await keepFile(tx, testId, f.name, bytes);
  }
}

/**
 * Stores a zip file as a new project; all of it or nothing.
 * @param path of the file on this machine @throws ZipError
 */
export async function importArchive(db: Db, path: string): Promise<{ projectId: number; versionId: number }> {
  const zip = await openZip(path);
  try {
    if (!zip.has('project.json')) throw new ZipError('The file is a zip without a project in it.');
    const bytes = await zip.bytes('project.json', MOST_PROJECT_PART);
    const file = readProjectFile(parsed(bytes, 'project.json'));
    if (file.status === 'error') throw new ZipError(file.message);
    return await db.transaction(async (tx) => {
      const stored = await storeProject(tx, file.value);
      await storeLogs(tx, zip, stored.tests);
      await storeFiles(tx, zip, stored.tests);
      return { projectId: stored.projectId, versionId: stored.versionId };
    });
  } finally {
    zip.close();
  }
}
