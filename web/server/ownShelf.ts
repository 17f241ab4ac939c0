/** What a person keeps for all projects, by name: a project that takes something in has a copy of its own. */
import { and, asc, count, eq } from 'drizzle-orm';
import type { OwnMaterial, ReferenceModel } from '@skiametra/core/design';
import type { Db } from './connection';
import { materials, models } from './schema';

export interface Kept<T> {
  id: number;
  body: T;
}
export type KeptMaterial = Kept<OwnMaterial>;
export type KeptModel = Kept<ReferenceModel>;

/** Things of one kind that one person keeps. */
export const MOST_KEPT = 200;

/** @param table of things of one kind; all such tables have the same columns */
function shelfOf<T extends { name: string }>(table: typeof materials | typeof models) {
  const t = table as typeof materials;
  return {
    async list(db: Db, personId: number | null): Promise<Kept<T>[]> {
      if (personId === null) return [];
      const rows = await db
        .select({ id: t.id, body: t.body })
        .from(t)
        .where(eq(t.personId, personId))
        .orderBy(asc(t.name));
      return rows as unknown as Kept<T>[];
    },
    /** @returns false where the shelf is full */
    async keep(db: Db, personId: number | null, thing: T): Promise<boolean> {
      if (personId === null) return false;
      const name = thing.name.trim(),
        body = thing as unknown as OwnMaterial;
      return db.transaction(async (tx) => {
        const [held] = await tx.select({ n: count() }).from(t).where(eq(t.personId, personId));
        const [same] = await tx
          .select({ id: t.id })
          .from(t)
          .where(and(eq(t.personId, personId), eq(t.name, name)));
        if (!same && (held?.n ?? 0) >= MOST_KEPT) return false;
        await tx
          .insert(t)
          .values({ personId, name, body })
          .onConflictDoUpdate({ target: [t.personId, t.name], set: { body, updatedAt: new Date() } });
        return true;
      });
    },
    async drop(db: Db, personId: number | null, id: number): Promise<void> {
      if (personId === null) return;
      await db.delete(t).where(and(eq(t.personId, personId), eq(t.id, id)));
    },
  };
}

export const materialShelf = shelfOf<OwnMaterial>(materials);
export const modelShelf = shelfOf<ReferenceModel>(models);
