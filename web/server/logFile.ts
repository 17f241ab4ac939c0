/** Logs as files: kept as they came, the same bytes once a test; rows of older versions become a file. */
import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { eq } from 'drizzle-orm';
import { upgradeTest, type LogEntry, type Measurement, type TestBody } from '@skiametra/core/design';
import type { Db } from './connection';
import { logFiles, logs, tests } from './schema';

export const sumOf = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex');

/** Keeps a file as it came; the same bytes are kept once a test. @returns its sum */
export async function keepFile(
  tx: Pick<Db, 'insert'>,
  testId: number,
  name: string,
  bytes: Buffer,
): Promise<string> {
  const sha256 = sumOf(bytes);
  await tx
    .insert(logFiles)
    .values({ testId, name, sha256, size: bytes.length, gzip: gzipSync(bytes) })
    .onConflictDoNothing();
  return sha256;
}

type Inline = NonNullable<TestBody['log']>;
const HEAD = 'time_s,east_m,north_m,height_m,ground_speed_mps,volts,amps';

/** Measurements of the log of older versions name it. */
function named(m: Measurement, file: string, count: number): Measurement {
  return (m.source === 'logged' || m.source === 'simulated') && !m.segment
    ? { ...m, segment: { log: file, name: 'flight', count } }
    : m;
}

/** A test whose log is a file: its bytes, and the test that names it. */
function asFile(body: TestBody, log: Inline): { name: string; bytes: Buffer; body: TestBody } {
  const old = upgradeTest(body) as TestBody,
    bytes = Buffer.from(`${[HEAD, ...log.rows.map((r) => r.join(','))].join('\n')}\n`),
    file = sumOf(bytes),
    rows = log.rows.length,
    name = log.name || 'log.csv';
  const entry: LogEntry = {
    file,
    name,
    origin: log.name === 'simulated logger' ? 'simulated' : 'logged',
    rows,
    length: rows > 0 ? Math.max(0, log.rows[rows - 1]![0] - log.rows[0]![0]) : 0,
    begun: null,
    columns: null,
    kept: [],
    segments: null,
    faults: {},
  };
  return {
    name,
    bytes,
    body: {
      ...old,
      log: null,
      logs: [...(old.logs ?? []).filter((l) => l.file !== file), entry],
      measurements: old.measurements.map((m) => named(m, file, rows)),
    },
  };
}

/** The body without rows in it; they are kept as a file of the test. */
export async function withoutRows(
  body: TestBody,
  keep: (name: string, bytes: Buffer) => Promise<unknown>,
): Promise<TestBody> {
  if (!body.log) return body;
  const made = asFile(body, body.log);
  await keep(made.name, made.bytes);
  return made.body;
}

/** Rows that lay in their own table become files, once. */
export async function rowsToFiles(db: Db): Promise<void> {
  const left = await db.select({ id: logs.testId }).from(logs);
  for (const { id } of left)
    await db.transaction(async (tx) => {
      const [row] = await tx.select().from(logs).where(eq(logs.testId, id)),
        [test] = await tx.select({ body: tests.body }).from(tests).where(eq(tests.id, id));
      if (row && test) {
        const { name, rows, remarks } = row,
          body = await withoutRows({ ...test.body, log: { name, rows, remarks } }, (n, bytes) =>
            keepFile(tx, id, n, bytes),
          );
        await tx.update(tests).set({ body }).where(eq(tests.id, id));
      }
      await tx.delete(logs).where(eq(logs.testId, id));
    });
}
