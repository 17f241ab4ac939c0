/** The shelf: projects are made, listed, deleted for 30 days and brought back. Heads only: no document is read for the list. */
import { and, asc, count, eq, inArray, isNotNull, isNull, lt, max, sql } from 'drizzle-orm';
import { SCHEMA_VERSION, type DesignDocument } from '@skiametra/core/design';
import type { Db } from './connection';
import { headOf, headOfStored, type Head } from './head';
import { people, projects, tests, versions } from './schema';

/** Days that a deleted project can be brought back. */
const KEPT_DAYS = 30;

export async function createProject(
  db: Db,
  name: string,
  aircraft: string,
  document: DesignDocument,
  person: number | null,
): Promise<{ projectId: number; versionId: number }> {
  return db.transaction(async (tx) => {
    const [p] = await tx.insert(projects).values({ name, aircraft }).returning({ id: projects.id });
    const [v] = await tx
      .insert(versions)
      .values({
        projectId: p!.id,
        name: `${aircraft} 1`,
        reason: 'First drawing.',
        schemaVersion: SCHEMA_VERSION,
        document,
        head: headOf(document),
        savedBy: person,
      })
      .returning({ id: versions.id });
    return { projectId: p!.id, versionId: v!.id };
  });
}

export interface ProjectCard {
  id: number;
  name: string;
  aircraft: string;
  demo: boolean;
  versions: number;
  testCount: number;
  newest: ({ id: number } & Head) | null;
}

/** Heads of versions made before heads were stored, or changed by another hand. */
async function fillHeads(db: Db, ids: readonly number[]): Promise<Map<number, Head>> {
  const out = new Map<number, Head>();
  for (const id of ids) {
    const [row] = await db.select({ document: versions.document }).from(versions).where(eq(versions.id, id));
    const head = headOfStored(row?.document);
    out.set(id, head);
    await db.update(versions).set({ head }).where(eq(versions.id, id));
  }
  return out;
}

/** All projects with their newest version; a document that cannot be read costs only its own picture. */
export async function listProjects(db: Db): Promise<ProjectCard[]> {
  const ps = await db.select().from(projects).where(isNull(projects.deletedAt)).orderBy(asc(projects.id));
  if (ps.length === 0) return [];
  const counted = await db
    .select({ project: versions.projectId, versions: count(), newest: max(versions.id) })
    .from(versions)
    .groupBy(versions.projectId);
  const flown = await db
    .select({ project: tests.projectId, tests: count() })
    .from(tests)
    .groupBy(tests.projectId);
  const of = new Map(counted.map((c) => [c.project, c]));
  const newest = ps.flatMap((p) => of.get(p.id)?.newest ?? []);
  const heads = newest.length
    ? await db
        .select({ id: versions.id, head: versions.head })
        .from(versions)
        .where(inArray(versions.id, newest))
    : [];
  const known = new Map(heads.flatMap((h) => (h.head ? [[h.id, h.head] as const] : [])));
  const filled = await fillHeads(
    db,
    newest.filter((id) => !known.has(id)),
  );
  const tested = new Map(flown.map((f) => [f.project, f.tests]));
  return ps.map((p) => {
    const c = of.get(p.id),
      id = c?.newest ?? null,
      head = id === null ? undefined : (known.get(id) ?? filled.get(id));
    return {
      id: p.id,
      name: p.name,
      aircraft: p.aircraft,
      demo: p.demo,
      versions: c?.versions ?? 0,
      testCount: tested.get(p.id) ?? 0,
      newest: id === null || !head ? null : { id, ...head },
    };
  });
}

export interface DeletedProject {
  id: number;
  name: string;
  aircraft: string;
  deletedAt: string;
  by: string | null;
}

/** Projects that can still be brought back, the last deleted first. */
export async function deletedProjects(db: Db): Promise<DeletedProject[]> {
  const rows = await db
    .select({
      id: projects.id,
      name: projects.name,
      aircraft: projects.aircraft,
      at: projects.deletedAt,
      by: people.name,
    })
    .from(projects)
    .leftJoin(people, eq(people.id, projects.deletedBy))
    .where(isNotNull(projects.deletedAt))
    .orderBy(sql`${projects.deletedAt} desc`);
  return rows.map(({ at, ...r }) => ({ ...r, deletedAt: at!.toISOString() }));
}

/** Takes a project off the shelf; what it holds stays for 30 days. */
export async function deleteProject(db: Db, projectId: number, person: number | null): Promise<void> {
  await db
    .update(projects)
    .set({ deletedAt: new Date(), deletedBy: person })
    .where(and(eq(projects.id, projectId), isNull(projects.deletedAt)));
}

/** @returns whether there was one to bring back */
export async function restoreProject(db: Db, projectId: number): Promise<boolean> {
  const back = await db
    .update(projects)
    .set({ deletedAt: null, deletedBy: null })
    .where(eq(projects.id, projectId))
    .returning({ id: projects.id });
  return back.length > 0;
}

/** Removes for good what was deleted more than 30 days ago. */
export async function purgeDeleted(db: Db): Promise<void> {
  await db.delete(projects).where(lt(projects.deletedAt, sql`now() - make_interval(days => ${KEPT_DAYS})`));
}
