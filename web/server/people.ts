/** Who works on this machine. */
import { asc, eq } from 'drizzle-orm';
import type { Db } from './connection';
import { people } from './schema';

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
  if (!p) throw new Error('a person was entered and is not there');
  return p;
}

export async function setUnits(db: Db, personId: number, units: 'metric' | 'imperial'): Promise<void> {
  await db.update(people).set({ units }).where(eq(people.id, personId));
}
