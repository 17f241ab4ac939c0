/** The server's shelf of section polars. What comes in is checked: a polar is numbers in ranges, not too many. */
import { count, inArray, sql } from 'drizzle-orm';
import { z } from 'zod';
import { polarSchema, type Polar } from '@skiametra/core/section';
import type { Db } from './connection';
import { polars } from './schema';

const MOST_ROWS = 20_000;
const key = z.string().regex(/^[a-z0-9-]{6,80}$/);
export const wantedSchema = z.strictObject({ keys: z.array(key).max(400) });
export const offeredSchema = z.strictObject({
  polars: z
    .record(key, polarSchema)
    .refine((r) => Object.keys(r).length <= 100, 'at most 100 polars at once'),
});

export async function findPolars(db: Db, keys: readonly string[]): Promise<Record<string, Polar>> {
  if (keys.length === 0) return {};
  const rows = await db
    .select({ key: polars.key, polar: polars.polar })
    .from(polars)
    .where(inArray(polars.key, [...keys]));
  return Object.fromEntries(rows.map((r) => [r.key, r.polar]));
}

/** Keeps polars; one that is there already stays. When the shelf is full the oldest tenth goes. */
export async function keepPolars(db: Db, entries: Readonly<Record<string, Polar>>): Promise<void> {
  const rows = Object.entries(entries).map(([k, polar]) => ({ key: k, polar }));
  if (rows.length === 0) return;
  await db.insert(polars).values(rows).onConflictDoNothing();
  const [{ total } = { total: 0 }] = await db.select({ total: count() }).from(polars);
  if (total > MOST_ROWS)
    await db.execute(
      sql`delete from polars where key in (select key from polars order by created_at limit ${Math.ceil(MOST_ROWS / 10)})`,
    );
}
