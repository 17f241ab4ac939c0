/** Law: whatever the application can hold, it can export and open again, byte for byte the same after one round. */
import { createHash } from 'node:crypto';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eq, inArray } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bitternProject, gnatProject } from '@skiametra/core/demo';
import type { LogRow } from '@skiametra/core/design';
import { ArchiveError, exportArchive, importArchive } from './archive';
import { connect, type Db } from './connection';
import { exportProject, importProject } from './exchange';
import { importFile } from './importFile';
import { keepFile } from './logFile';
import { prepareDatabase } from './migrate';
import { logFiles, tests } from './schema';
import { loadWorkspace, saveTest } from './store';

const url = process.env.DATABASE_URL!;
let db: Db, pool: ReturnType<typeof connect>['pool'], folder: string;

beforeAll(async () => {
  await prepareDatabase(url);
  ({ db, pool } = connect(url));
  folder = await mkdtemp(join(tmpdir(), 'archive-'));
});
afterAll(async () => {
  await pool.end();
  await rm(folder, { recursive: true });
});

async function exported(projectId: number): Promise<Buffer> {
  const made = (await exportArchive(db, projectId))!;
  return Buffer.from(await new Response(made.stream).arrayBuffer());
}
const onDisk = async (bytes: Buffer | string) => {
  const path = join(folder, createHash('sha256').update(bytes).digest('hex'));
  await writeFile(path, bytes);
  return path;
};

/** A project with a log of many rows and the files as they came. */
async function flown(rows: number): Promise<number> {
  const { projectId } = await importProject(db, bitternProject());
  const [t] = (await loadWorkspace(db, projectId))!.tests;
  const log = {
    name: 'long.csv',
    rows: Array.from({ length: rows }, (_, i): LogRow => [i, 0.25 * i, -3, 20, 12, 15.5, 8]),
    remarks: ['ünïcode 🪶'],
  };
  await saveTest(db, Number(t!.id), t!.revision, { ...t!.body, log }, null);
  await keepFile(db, Number(t!.id), 'a b/ö.csv', Buffer.from([0, 255, 13, 10, 200]));
  await keepFile(db, Number(t!.id), 'two.csv', Buffer.from('time,alt\n1,2\n'));
  return projectId;
}

describe('the project as a zip', () => {
  it('opened and exported again it is byte for byte the same, logs of 40 000 rows and files with it', async () => {
    const id = await flown(40_000);
    const first = await exported(id);
    const again = await importArchive(db, await onDisk(first));
    expect((await exported(again.projectId)).equals(first)).toBe(true);
    expect(await exportProject(db, again.projectId)).toEqual(await exportProject(db, id));
    const ids = (await loadWorkspace(db, again.projectId))!.tests.map((t) => Number(t.id));
    const files = await db.select().from(logFiles).where(inArray(logFiles.testId, ids));
    expect(files.map((f) => [f.name, f.size]).sort()).toEqual([
      ['a b/ö.csv', 5],
      ['long.csv', expect.any(Number)],
      ['two.csv', 13],
    ]);
  });
  it('the same bytes are kept once', async () => {
    const id = await flown(10);
    const testId = Number((await loadWorkspace(db, id))!.tests[0]!.id);
    await keepFile(db, testId, 'two again.csv', Buffer.from('time,alt\n1,2\n'));
    expect(await db.select().from(logFiles).where(eq(logFiles.testId, testId))).toHaveLength(3);
  });
  it('a flight whose measurements were all taken out stays so (opening reduced it anew)', async () => {
    const { projectId } = await importProject(db, bitternProject());
    const [t] = (await loadWorkspace(db, projectId))!.tests;
    await saveTest(db, Number(t!.id), t!.revision, { ...t!.body, measurements: [] }, null);
    const first = await exported(projectId);
    const again = await importArchive(db, await onDisk(first));
    expect((await exported(again.projectId)).equals(first)).toBe(true);
  });
  it('JSON project files open as before', async () => {
    const r = await importFile(db, await onDisk(JSON.stringify(gnatProject())));
    expect((await loadWorkspace(db, r.projectId))!.project.aircraft).toBe('Gnat');
  });
  it('a damaged or foreign file is refused with a sentence and leaves nothing behind', async () => {
    const whole = await exported(await flown(10));
    const before = (await db.select().from(tests)).length;
    for (const bytes of [
      whole.subarray(0, whole.length - 30),
      whole.subarray(0, 300),
      Buffer.from('PK not a zip at all'),
      Buffer.from('{"format"'),
      Buffer.from('['.repeat(200_000)),
    ])
      await expect(importFile(db, await onDisk(bytes))).rejects.toThrow(ArchiveError);
    expect((await db.select().from(tests)).length).toBe(before);
  });
  it('there is none of a project that is not there', async () => {
    expect(await exportArchive(db, 999_999)).toBeNull();
  });
});
