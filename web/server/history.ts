/**
 * Earlier saves of versions and tests: who made them and when. All of today are kept, of the last week one an hour, before
 * that one a day; those with a name for ever.
 */
import { and, desc, eq, sql } from 'drizzle-orm';
import type { DesignDocument, TestBody } from '@skiametra/core/design';
import type { Db } from './connection';
import { readStored } from './head';
import { people, revisions, testRevisions, tests, versions } from './schema';

type Tx = Pick<Db, 'select' | 'insert' | 'update' | 'delete' | 'execute'>;
type VersionRow = typeof versions.$inferSelect;
type TestRowStored = typeof tests.$inferSelect;

/** Saves between two thinnings of one history. */
const THIN_EVERY = 20;

/**
 * Thins one history.
 * @param table `revisions` or `test_revisions` @param owner column that names whose history it is
 */
async function thin(tx: Tx, table: 'revisions' | 'test_revisions', owner: string, id: number): Promise<void> {
  const [t, o] = [sql.identifier(table), sql.identifier(owner)];
  const bucket = sql`case
      when saved_at >= date_trunc('day', now()) then id::text
      when saved_at >= now() - interval '7 days' then to_char(saved_at, 'YYYY-MM-DD HH24')
      else to_char(saved_at, 'YYYY-MM-DD') end`;
  await tx.execute(sql`delete from ${t} where ${o} = ${id} and name is null and id not in (
      select distinct on (${bucket}) id from ${t} where ${o} = ${id} and name is null
      order by ${bucket}, saved_at desc, id desc)`);
}

/** What a save of a version replaces goes to its history, with who made it and when. */
export async function keepRevision(tx: Tx, row: VersionRow): Promise<void> {
  await tx
    .insert(revisions)
    .values({
      versionId: row.id,
      revision: row.revision,
      document: row.document,
      savedAt: row.updatedAt,
      savedBy: row.savedBy,
    })
    .onConflictDoNothing();
  if (row.revision % THIN_EVERY === 0) await thin(tx, 'revisions', 'version_id', row.id);
}

export async function keepTestRevision(tx: Tx, row: TestRowStored): Promise<void> {
  await tx
    .insert(testRevisions)
    .values({
      testId: row.id,
      revision: row.revision,
      body: row.body,
      savedAt: row.updatedAt,
      savedBy: row.savedBy,
    })
    .onConflictDoNothing();
  if (row.revision % THIN_EVERY === 0) await thin(tx, 'test_revisions', 'test_id', row.id);
}

/** One save as it stood; `content` is null where what is stored cannot be read any more. */
export interface Save<T> {
  revision: number;
  savedAt: string;
  by: string | null;
  name: string | null;
  content: T | null;
}

const saveOf = <T>(
  r: { revision: number; savedAt: Date; name: string | null },
  by: string | null,
  content: T | null,
): Save<T> => ({ revision: r.revision, savedAt: r.savedAt.toISOString(), by, name: r.name, content });

/** Earlier saves of a version, the last one first. */
export async function versionHistory(
  db: Db,
  versionId: number,
  most: number,
): Promise<Save<DesignDocument>[]> {
  const rows = await db
    .select({ r: revisions, by: people.name })
    .from(revisions)
    .leftJoin(people, eq(people.id, revisions.savedBy))
    .where(eq(revisions.versionId, versionId))
    .orderBy(desc(revisions.revision))
    .limit(most);
  return rows.map(({ r, by }) => saveOf(r, by, readStored(r.document)));
}

export async function testHistory(db: Db, testId: number, most: number): Promise<Save<TestBody>[]> {
  const rows = await db
    .select({ r: testRevisions, by: people.name })
    .from(testRevisions)
    .leftJoin(people, eq(people.id, testRevisions.savedBy))
    .where(eq(testRevisions.testId, testId))
    .orderBy(desc(testRevisions.revision))
    .limit(most);
  return rows.map(({ r, by }) => saveOf(r, by, r.body));
}

/** Names a save, so that it is kept for ever; an empty name takes it off. @returns whether there is such a save */
export async function nameSave(db: Db, versionId: number, revision: number, name: string): Promise<boolean> {
  const set = { name: name === '' ? null : name };
  const done = await db
    .update(revisions)
    .set(set)
    .where(and(eq(revisions.versionId, versionId), eq(revisions.revision, revision)))
    .returning({ id: revisions.id });
  if (done.length > 0) return true;
  // the newest save is no earlier one yet: it becomes one
  const [row] = await db
    .select()
    .from(versions)
    .where(and(eq(versions.id, versionId), eq(versions.revision, revision)));
  if (!row) return false;
  await keepRevision(db, row);
  await db
    .update(revisions)
    .set(set)
    .where(and(eq(revisions.versionId, versionId), eq(revisions.revision, revision)));
  return true;
}
