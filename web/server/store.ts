/** Reading and saving. Every save names the revision it was made from; a save from an older one is refused with what is there now. */
import { and, asc, desc, eq, lt } from 'drizzle-orm';
import { SCHEMA_VERSION, upgradeDocument, type DesignDocument, type TestBody } from '@skiametra/core/design';
import type { Db } from './connection';
import { airframes, logs, measurements, people, projects, revisions, tests, versions } from './schema';

export interface VersionHead {
  id: number;
  name: string;
  parentId: number | null;
  reason: string;
  updatedAt: string;
  document: DesignDocument;
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
  airframes: { id: number; name: string; versionId: number }[];
}

/** A stored document in its present form. */
export const present = (document: DesignDocument) => upgradeDocument(document) as DesignDocument;

/** Everything one workspace needs; null when there is no such project. */
export async function loadWorkspace(db: Db, projectId: number): Promise<WorkspaceData | null> {
  const [project] = await db
    .select({ id: projects.id, name: projects.name, aircraft: projects.aircraft })
    .from(projects)
    .where(eq(projects.id, projectId));
  if (!project) return null;
  const vs = await db
    .select()
    .from(versions)
    .where(eq(versions.projectId, projectId))
    .orderBy(asc(versions.id));
  const ts = await db
    .select()
    .from(tests)
    .leftJoin(logs, eq(logs.testId, tests.id))
    .where(eq(tests.projectId, projectId))
    .orderBy(asc(tests.id));
  const frames = await db
    .select({ id: airframes.id, name: airframes.name, versionId: airframes.versionId })
    .from(airframes)
    .where(eq(airframes.projectId, projectId));
  return {
    project,
    versions: vs.map((v) => ({
      id: v.id,
      name: v.name,
      parentId: v.parentId,
      reason: v.reason,
      updatedAt: v.updatedAt.toISOString(),
      document: present(v.document),
      revision: v.revision,
    })),
    tests: ts.map(({ tests: t, logs: l }) => ({
      id: String(t.id),
      versionId: t.versionId,
      airframeId: t.airframeId,
      revision: t.revision,
      body: { ...t.body, log: l ? { name: l.name, rows: l.rows, remarks: l.remarks } : null },
    })),
    airframes: frames,
  };
}

export type SaveResult<T> =
  | { status: 'saved'; revision: number }
  | { status: 'conflict'; revision: number; theirs: T }
  | { status: 'gone' };

const KEEP_REVISIONS = 300;

/** Saves a version's document made from `base`. What it replaces is kept among the revisions. */
export async function saveVersion(
  db: Db,
  versionId: number,
  base: number,
  document: DesignDocument,
  person: number | null,
): Promise<SaveResult<DesignDocument>> {
  return db.transaction(async (tx) => {
    const [row] = await tx
      .select({ revision: versions.revision, document: versions.document })
      .from(versions)
      .where(eq(versions.id, versionId))
      .for('update');
    if (!row) return { status: 'gone' as const };
    if (row.revision !== base)
      return { status: 'conflict' as const, revision: row.revision, theirs: present(row.document) };
    await tx
      .insert(revisions)
      .values({ versionId, revision: row.revision, document: row.document, savedBy: person })
      .onConflictDoNothing();
    await tx
      .delete(revisions)
      .where(and(eq(revisions.versionId, versionId), lt(revisions.revision, row.revision - KEEP_REVISIONS)));
    await tx
      .update(versions)
      .set({ document, schemaVersion: SCHEMA_VERSION, revision: row.revision + 1, updatedAt: new Date() })
      .where(eq(versions.id, versionId));
    return { status: 'saved' as const, revision: row.revision + 1 };
  });
}

/** Saves a test's card, record, measurements and log made from `base`. */
export async function saveTest(
  db: Db,
  testId: number,
  base: number,
  body: TestBody,
): Promise<SaveResult<TestBody>> {
  return db.transaction(async (tx) => {
    const [row] = await tx
      .select({ revision: tests.revision, body: tests.body })
      .from(tests)
      .where(eq(tests.id, testId))
      .for('update');
    if (!row) return { status: 'gone' as const };
    if (row.revision !== base) {
      const [l] = await tx.select().from(logs).where(eq(logs.testId, testId));
      return {
        status: 'conflict' as const,
        revision: row.revision,
        theirs: { ...row.body, log: l ? { name: l.name, rows: l.rows, remarks: l.remarks } : null },
      };
    }
    const { log, ...rest } = body;
    await tx
      .update(tests)
      .set({ body: { ...rest, log: null }, revision: row.revision + 1 })
      .where(eq(tests.id, testId));
    await tx.delete(measurements).where(eq(measurements.testId, testId));
    if (body.measurements.length)
      await tx.insert(measurements).values(
        body.measurements.map((m) => ({
          testId,
          quantity: m.quantity,
          state: m.state,
          value: m.value,
          sigma: m.sigma,
          origin: m.from,
          setAside: m.setAside,
        })),
      );
    if (log)
      await tx
        .insert(logs)
        .values({ testId, ...log })
        .onConflictDoUpdate({ target: logs.testId, set: log });
    else await tx.delete(logs).where(eq(logs.testId, testId));
    return { status: 'saved' as const, revision: row.revision + 1 };
  });
}

export async function createProject(
  db: Db,
  name: string,
  aircraft: string,
  document: DesignDocument,
): Promise<{ projectId: number; versionId: number }> {
  return db.transaction(async (tx) => {
    const [p] = await tx.insert(projects).values({ name, aircraft }).returning({ id: projects.id });
    const [v] = await tx
      .insert(versions)
      .values({
        projectId: p.id,
        name: `${aircraft} 1`,
        reason: 'First drawing.',
        schemaVersion: SCHEMA_VERSION,
        document,
      })
      .returning({ id: versions.id });
    return { projectId: p.id, versionId: v.id };
  });
}

/** A new version under `parentId`, with its airframe to come. @returns its id, or null when the parent is gone */
export async function createVersion(
  db: Db,
  parentId: number,
  name: string,
  reason: string,
  document: DesignDocument,
): Promise<number | null> {
  const [parent] = await db
    .select({ projectId: versions.projectId })
    .from(versions)
    .where(eq(versions.id, parentId));
  if (!parent) return null;
  const [v] = await db
    .insert(versions)
    .values({ projectId: parent.projectId, parentId, name, reason, schemaVersion: SCHEMA_VERSION, document })
    .returning({ id: versions.id });
  return v.id;
}

/** A new test of a version, on its newest airframe (one is entered when there is none). */
export async function createTest(db: Db, versionId: number, body: TestBody): Promise<TestRow | null> {
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
      .values({ projectId: v.projectId, versionId, airframeId: frame.id, body: { ...body, log: null } })
      .returning({ id: tests.id, revision: tests.revision });
    return { id: String(row.id), versionId, airframeId: frame.id, revision: row.revision, body };
  });
}

export interface ProjectCard {
  id: number;
  name: string;
  aircraft: string;
  demo: boolean;
  versions: number;
  newest: VersionHead | null;
  testCount: number;
}

export async function listProjects(db: Db): Promise<ProjectCard[]> {
  const ps = await db.select().from(projects).orderBy(asc(projects.id));
  return Promise.all(
    ps.map(async (p) => {
      const vs = await db
        .select()
        .from(versions)
        .where(eq(versions.projectId, p.id))
        .orderBy(asc(versions.id));
      const ts = await db.select({ id: tests.id }).from(tests).where(eq(tests.projectId, p.id));
      const v = vs[vs.length - 1];
      return {
        id: p.id,
        name: p.name,
        aircraft: p.aircraft,
        demo: p.demo,
        versions: vs.length,
        testCount: ts.length,
        newest: v
          ? {
              id: v.id,
              name: v.name,
              parentId: v.parentId,
              reason: v.reason,
              updatedAt: v.updatedAt.toISOString(),
              document: present(v.document),
              revision: v.revision,
            }
          : null,
      };
    }),
  );
}

export async function deleteProject(db: Db, projectId: number): Promise<void> {
  await db.delete(projects).where(eq(projects.id, projectId));
}

export interface Person {
  id: number;
  name: string;
  units: 'metric' | 'imperial';
}

export async function listPeople(db: Db): Promise<Person[]> {
  return db
    .select({ id: people.id, name: people.name, units: people.units })
    .from(people)
    .orderBy(asc(people.id));
}

/** The person of that name, entered when new. */
export async function personNamed(db: Db, name: string): Promise<Person> {
  await db.insert(people).values({ name }).onConflictDoNothing();
  const [p] = await db
    .select({ id: people.id, name: people.name, units: people.units })
    .from(people)
    .where(eq(people.name, name));
  return p;
}

export async function setUnits(db: Db, personId: number, units: 'metric' | 'imperial'): Promise<void> {
  await db.update(people).set({ units }).where(eq(people.id, personId));
}
