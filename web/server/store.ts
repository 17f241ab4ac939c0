/**
 * Reading and saving. Every save names the revision it was made from; a save from an older one is refused with what is
 * there now.
 */
import { and, asc, desc, eq, isNull } from 'drizzle-orm';
import {
  SCHEMA_VERSION,
  testBodySchema,
  upgradeDocument,
  upgradeTest,
  type DesignDocument,
  type TestBody,
} from '@skiametra/core/design';
import type { Db } from './connection';
import { storeMeasurements } from './exchange';
import type { PlanForm } from '../parts/planForm';
import { headOf, readStored } from './head';
import { keepRevision, keepTestRevision } from './history';
import { keepFile, withoutRows } from './logFile';
import { airframes, projects, tests, versions } from './schema';

export interface VersionHead {
  id: number;
  name: string;
  parentId: number | null;
  reason: string;
  updatedAt: string;
  /** plan form, as the shelf keeps it */ face: PlanForm | null;
  /** null until it is asked for */ document: DesignDocument | null;
  revision: number;
}
export interface TestRow {
  id: string;
  versionId: number;
  airframeId: number | null;
  revision: number;
  body: TestBody;
}
export interface WorkspaceData {
  project: { id: number; name: string; aircraft: string };
  versions: VersionHead[];
  tests: TestRow[];
  airframes: { id: number; name: string; versionId: number; note: string }[];
  /** versions whose stored document cannot be read, tests likewise */
  damaged: { versions: { id: number; name: string }[]; tests: number };
}

/** A stored document in its present form. */
const present = (document: DesignDocument) => upgradeDocument(document) as DesignDocument;

const HEAD = {
  id: versions.id,
  name: versions.name,
  parentId: versions.parentId,
  reason: versions.reason,
  updatedAt: versions.updatedAt,
  revision: versions.revision,
  head: versions.head,
};

/** Heads of a project's versions, and documents: of the open one, or of all. One that cannot be read is damaged. */
async function loadVersions(
  db: Db,
  projectId: number,
  open: number | undefined,
): Promise<Pick<WorkspaceData, 'versions'> & { damaged: WorkspaceData['damaged']['versions'] }> {
  const of = eq(versions.projectId, projectId);
  const heads = await db.select(HEAD).from(versions).where(of).orderBy(asc(versions.id));
  const stored = await db
    .select({ id: versions.id, document: versions.document })
    .from(versions)
    .where(open === undefined ? of : and(of, eq(versions.id, open)));
  const documents = new Map(stored.map((v) => [v.id, readStored(v.document)]));
  const broken = (id: number) => documents.get(id) === null;
  return {
    versions: heads
      .filter((v) => !broken(v.id))
      .map(({ head, updatedAt, ...v }) => ({
        ...v,
        updatedAt: updatedAt.toISOString(),
        face: head?.face ?? null,
        document: documents.get(v.id) ?? null,
      })),
    damaged: heads.filter((v) => broken(v.id)).map(({ id, name }) => ({ id, name })),
  };
}

/** One version's document; null where there is none, or it cannot be read. */
export async function readVersion(db: Db, id: number): Promise<DesignDocument | null> {
  const [row] = await db.select({ document: versions.document }).from(versions).where(eq(versions.id, id));
  return row ? readStored(row.document) : null;
}

/**
 * Everything one workspace needs; null when there is no such project.
 * @param open the one version whose document comes along; all documents where left out
 */
export async function loadWorkspace(db: Db, projectId: number, open?: number): Promise<WorkspaceData | null> {
  const [project] = await db
    .select({ id: projects.id, name: projects.name, aircraft: projects.aircraft })
    .from(projects)
    .where(and(eq(projects.id, projectId), isNull(projects.deletedAt)));
  if (!project) return null;
  const vs = await loadVersions(db, projectId, open);
  const ts = await db.select().from(tests).where(eq(tests.projectId, projectId)).orderBy(asc(tests.id));
  const frames = await db
    .select({
      id: airframes.id,
      name: airframes.name,
      versionId: airframes.versionId,
      note: airframes.note,
    })
    .from(airframes)
    .where(eq(airframes.projectId, projectId));
  const bodies = ts.map((t) => {
    const body = upgradeTest(t.body) as TestBody,
      whole = testBodySchema.safeParse(body).success;
    const { versionId, airframeId, revision } = t;
    return { row: whole ? { id: String(t.id), versionId, airframeId, revision, body } : null };
  });
  return {
    project,
    versions: vs.versions,
    tests: bodies.flatMap((t) => t.row ?? []),
    airframes: frames,
    damaged: {
      versions: vs.damaged,
      tests: bodies.filter((t) => t.row === null).length,
    },
  };
}

export type SaveResult<T> =
  | { status: 'saved'; revision: number }
  | { status: 'conflict'; revision: number; theirs: T }
  | { status: 'gone' };

/** Saves a version's document made from `base`. What it replaces is kept among the revisions, under the name of who made it. */
export async function saveVersion(
  db: Db,
  versionId: number,
  base: number,
  document: DesignDocument,
  person: number | null,
): Promise<SaveResult<DesignDocument>> {
  return db.transaction(async (tx) => {
    const [found] = await tx
      .select({ row: versions, deleted: projects.deletedAt })
      .from(versions)
      .innerJoin(projects, eq(projects.id, versions.projectId))
      .where(eq(versions.id, versionId))
      .for('update', { of: versions });
    if (!found || found.deleted) return { status: 'gone' as const };
    const { row } = found;
    if (row.revision !== base)
      return { status: 'conflict' as const, revision: row.revision, theirs: present(row.document) };
    await keepRevision(tx, row);
    await tx
      .update(versions)
      .set({
        document,
        head: headOf(document),
        schemaVersion: SCHEMA_VERSION,
        revision: row.revision + 1,
        updatedAt: new Date(),
        savedBy: person,
      })
      .where(eq(versions.id, versionId));
    return { status: 'saved' as const, revision: row.revision + 1 };
  });
}

/** Saves a test's card, record, measurements and what its logs are, made from `base`. */
export async function saveTest(
  db: Db,
  testId: number,
  base: number,
  body: TestBody,
  person: number | null,
): Promise<SaveResult<TestBody>> {
  return db.transaction(async (tx) => {
    const [found] = await tx
      .select({ row: tests, deleted: projects.deletedAt })
      .from(tests)
      .innerJoin(projects, eq(projects.id, tests.projectId))
      .where(eq(tests.id, testId))
      .for('update', { of: tests });
    if (!found || found.deleted) return { status: 'gone' as const };
    const { row } = found;
    if (row.revision !== base)
      return {
        status: 'conflict' as const,
        revision: row.revision,
        theirs: upgradeTest(row.body) as TestBody,
      };
    const whole = await withoutRows(body, (name, bytes) => keepFile(tx, testId, name, bytes));
    await keepTestRevision(tx, row);
    await tx
      .update(tests)
      .set({
        body: whole,
        revision: row.revision + 1,
        updatedAt: new Date(),
        savedBy: person,
      })
      .where(eq(tests.id, testId));
    await storeMeasurements(tx, testId, whole);
    return { status: 'saved' as const, revision: row.revision + 1 };
  });
}

/** A new version under `parentId`, with its airframe to come. @returns its id, or null when the parent is gone */
export async function createVersion(
  db: Db,
  parentId: number,
  name: string,
  reason: string,
  document: DesignDocument,
  person: number | null,
): Promise<number | null> {
  const [parent] = await db
    .select({ projectId: versions.projectId })
    .from(versions)
    .where(eq(versions.id, parentId));
  if (!parent) return null;
  const [v] = await db
    .insert(versions)
    .values({
      projectId: parent.projectId,
      parentId,
      name,
      reason,
      schemaVersion: SCHEMA_VERSION,
      document,
      head: headOf(document),
      savedBy: person,
    })
    .returning({ id: versions.id });
  return v!.id;
}

/** A new test of a version, on its newest airframe (one is entered when there is none). */
export async function createTest(
  db: Db,
  versionId: number,
  body: TestBody,
  person: number | null,
): Promise<TestRow | null> {
  return db.transaction(async (tx) => {
    const [v] = await tx
      .select({ projectId: versions.projectId, name: versions.name })
      .from(versions)
      .where(eq(versions.id, versionId));
    if (!v) return null;
    let [frame] = await tx
      .select({ id: airframes.id })
      .from(airframes)
      .where(eq(airframes.versionId, versionId))
      .orderBy(desc(airframes.id))
      .limit(1);
    if (!frame)
      [frame] = await tx
        .insert(airframes)
        .values({ projectId: v.projectId, versionId, name: `${v.name}, first airframe` })
        .returning({ id: airframes.id });
    const [row] = await tx
      .insert(tests)
      .values({
        projectId: v.projectId,
        versionId,
        airframeId: frame!.id,
        body: { ...body, log: null },
        savedBy: person,
      })
      .returning({ id: tests.id, revision: tests.revision });
    return { id: String(row!.id), versionId, airframeId: frame!.id, revision: row!.revision, body };
  });
}
