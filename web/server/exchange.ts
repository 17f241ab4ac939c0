/** A project to and from the exchange file. */
import { asc, eq } from 'drizzle-orm';
import {
  FILE_FORMAT,
  SCHEMA_VERSION,
  upgradeTest,
  type ProjectFile,
  type TestBody,
} from '@skiametra/core/design';
import { measurementsOf } from '@skiametra/core/trial';
import type { Db } from './connection';
import { headOf, readStored } from './head';
import { keepFile, withoutRows } from './logFile';
import { airframes, measurements, projects, tests, versions } from './schema';

export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];
export interface Stored {
  projectId: number;
  versionId: number;
  /** ids of the tests by their keys in the file */ tests: Map<string, number>;
}

/** A flight that comes without measurements is reduced as one typed here would be. */
function reduced(body: TestBody): TestBody {
  return body.record.flown && body.measurements.length === 0 && !body.bench && !body.load
    ? { ...body, measurements: measurementsOf(body).measurements }
    : body;
}

async function storeVersions(tx: Tx, projectId: number, file: ProjectFile): Promise<Map<string, number>> {
  const ids = new Map<string, number>();
  for (const v of file.versions) {
    const [row] = await tx
      .insert(versions)
      .values({
        projectId,
        name: v.name,
        parentId: v.parent === null ? null : ids.get(v.parent)!,
        reason: v.reason,
        schemaVersion: SCHEMA_VERSION,
        document: v.document,
        head: headOf(v.document),
      })
      .returning({ id: versions.id });
    ids.set(v.key, row!.id);
  }
  return ids;
}

/** Measured numbers of a test in their own table. */
export async function storeMeasurements(tx: Tx, testId: number, body: TestBody): Promise<void> {
  await tx.delete(measurements).where(eq(measurements.testId, testId));
  if (body.measurements.length === 0) return;
  await tx.insert(measurements).values(
    body.measurements.map((m) => ({
      testId,
      quantity: m.quantity,
      state: m.state,
      value: m.value,
      sigma: m.sigma,
      source: m.source,
      origin: m.from,
      leg: m.leg,
      part: m.part,
      ofCase: m.case,
      conditions: m.conditions,
      segment: m.segment,
      reason: m.reason,
      setAside: m.setAside,
    })),
  );
}

async function storeTest(
  tx: Tx,
  body: TestBody,
  at: { projectId: number; versionId: number; airframeId: number | null },
) {
  const files: { name: string; bytes: Buffer }[] = [],
    whole = await withoutRows(body, (name, bytes) => Promise.resolve(files.push({ name, bytes })));
  const [row] = await tx
    .insert(tests)
    .values({ ...at, body: whole })
    .returning({ id: tests.id });
  for (const f of files) await keepFile(tx, row!.id, f.name, f.bytes);
  await storeMeasurements(tx, row!.id, whole);
  return row!.id;
}

/** Calibrations name their tests: the names are carried over to the new ids. */
async function renameTests(tx: Tx, file: ProjectFile, ids: Map<string, number>, named: Map<string, number>) {
  for (const v of file.versions) {
    if (!v.document.calibration.from.length) continue;
    const from = v.document.calibration.from.map((k) => String(named.get(k) ?? k));
    await tx
      .update(versions)
      .set({ document: { ...v.document, calibration: { ...v.document.calibration, from } } })
      .where(eq(versions.id, ids.get(v.key)!));
  }
}

/** Stores a checked file within a transaction. */
export async function storeProject(tx: Tx, file: ProjectFile, demo = false): Promise<Stored> {
  const [project] = await tx
    .insert(projects)
    .values({ name: file.project.name, aircraft: file.project.aircraft, demo })
    .returning({ id: projects.id });
  const ids = await storeVersions(tx, project!.id, file);
  const frames = new Map<string, number>();
  for (const a of file.airframes) {
    const [row] = await tx
      .insert(airframes)
      .values({ projectId: project!.id, versionId: ids.get(a.version)!, name: a.name, note: a.note })
      .returning({ id: airframes.id });
    frames.set(a.key, row!.id);
  }
  const named = new Map<string, number>();
  for (const t of file.tests) {
    const airframeId = t.airframe === null ? null : frames.get(t.airframe)!;
    const at = { projectId: project!.id, versionId: ids.get(t.version)!, airframeId };
    named.set(t.key, await storeTest(tx, t.body, at));
  }
  await renameTests(tx, file, ids, named);
  const newest = file.versions[file.versions.length - 1]!.key;
  return { projectId: project!.id, versionId: ids.get(newest)!, tests: named };
}

/** Stores a checked file as a new project; all of it or nothing. @returns ids of the project and its newest version */
export async function importProject(
  db: Db,
  file: ProjectFile,
  demo = false,
): Promise<{ projectId: number; versionId: number }> {
  const whole = { ...file, tests: file.tests.map((t) => ({ ...t, body: reduced(t.body) })) };
  return db.transaction(async (tx) => {
    const { projectId, versionId } = await storeProject(tx, whole, demo);
    return { projectId, versionId };
  });
}

/** A project as it is stored, without the logs of its tests, and what of it cannot be read. */
export interface Outline {
  file: ProjectFile;
  /** keys of the tests by their ids */ tests: Map<number, string>;
  damaged: { key: string; document: unknown }[];
}

/** The nearest version up the line that can be read. */
function readableParent(id: number | null, parents: Map<number, number | null>, keys: Map<number, string>) {
  let at = id;
  while (at !== null && !keys.has(at)) at = parents.get(at) ?? null;
  return at === null ? null : keys.get(at)!;
}

/** Null when there is no such project. Keys are v1, v2 …, a1 …, t1 … in order of age. */
export async function outlineOf(tx: Tx, projectId: number): Promise<Outline | null> {
  const [project] = await tx.select().from(projects).where(eq(projects.id, projectId));
  if (!project) return null;
  const of = eq(versions.projectId, projectId);
  const vs = await tx.select().from(versions).where(of).orderBy(asc(versions.id));
  const read = vs.map((row, i) => ({ row, key: `v${i + 1}`, document: readStored(row.document) }));
  const vKey = new Map(read.flatMap((v) => (v.document ? [[v.row.id, v.key] as const] : [])));
  const parents = new Map(vs.map((v) => [v.id, v.parentId]));
  const as = await tx
    .select()
    .from(airframes)
    .where(eq(airframes.projectId, projectId))
    .orderBy(asc(airframes.id));
  const ts = await tx.select().from(tests).where(eq(tests.projectId, projectId)).orderBy(asc(tests.id));
  const kept = as.filter((a) => vKey.has(a.versionId)),
    flown = ts.filter((t) => vKey.has(t.versionId));
  const aKey = new Map(kept.map((a, i) => [a.id, `a${i + 1}`]));
  const tKey = new Map(flown.map((t, i) => [t.id, `t${i + 1}`]));
  const file: ProjectFile = {
    format: FILE_FORMAT,
    schemaVersion: SCHEMA_VERSION,
    project: { name: project.name, aircraft: project.aircraft },
    versions: read.flatMap(({ row, key, document }) =>
      document
        ? [
            {
              key,
              name: row.name,
              parent: readableParent(row.parentId, parents, vKey),
              reason: row.reason,
              document: {
                ...document,
                calibration: {
                  ...document.calibration,
                  // a test that is not there any more is not named: its number could be another's elsewhere
                  from: document.calibration.from.flatMap((k) => tKey.get(Number(k)) ?? []),
                },
              },
            },
          ]
        : [],
    ),
    airframes: kept.map((a) => ({
      key: aKey.get(a.id)!,
      name: a.name,
      version: vKey.get(a.versionId)!,
      note: a.note,
    })),
    tests: flown.map((t) => ({
      key: tKey.get(t.id)!,
      version: vKey.get(t.versionId)!,
      airframe: t.airframeId === null ? null : (aKey.get(t.airframeId) ?? null),
      body: upgradeTest(t.body) as TestBody,
    })),
  };
  const damaged = read.flatMap((v) => (v.document ? [] : [{ key: v.key, document: v.row.document }]));
  return { file, tests: tKey, damaged };
}

/** The whole project as one object, without the files of its logs. Null when there is no such project. */
export async function exportProject(db: Db, projectId: number): Promise<ProjectFile | null> {
  return db.transaction(async (tx) => (await outlineOf(tx, projectId))?.file ?? null, {
    isolationLevel: 'repeatable read',
  });
}
