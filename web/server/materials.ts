/** A person's own materials, shared between projects: a project that takes one in has a copy of its own. */
import { and, asc, count, eq } from 'drizzle-orm';
import type { OwnMaterial } from '@skiametra/core/design';
import type { Db } from './connection';
import { materials } from './schema';

export interface KeptMaterial {
  id: number;
  material: OwnMaterial;
}

const MOST = 200;

export async function listMaterials(db: Db, personId: number | null): Promise<KeptMaterial[]> {
  if (personId === null) return [];
  return db
    .select({ id: materials.id, material: materials.material })
    .from(materials)
    .where(eq(materials.personId, personId))
    .orderBy(asc(materials.name));
}

/** @returns false where the shelf is full */
export async function keepMaterial(db: Db, personId: number | null, material: OwnMaterial): Promise<boolean> {
  if (personId === null) return false;
  const name = material.name.trim();
  return db.transaction(async (tx) => {
    const [held] = await tx.select({ n: count() }).from(materials).where(eq(materials.personId, personId));
    const [same] = await tx
      .select({ id: materials.id })
      .from(materials)
      .where(and(eq(materials.personId, personId), eq(materials.name, name)));
    if (!same && (held?.n ?? 0) >= MOST) return false;
    await tx
      .insert(materials)
      .values({ personId, name, material })
      .onConflictDoUpdate({
        target: [materials.personId, materials.name],
        set: { material, updatedAt: new Date() },
      });
    return true;
  });
}

export async function dropMaterial(db: Db, personId: number | null, id: number): Promise<void> {
  if (personId === null) return;
  await db.delete(materials).where(and(eq(materials.personId, personId), eq(materials.id, id)));
}
