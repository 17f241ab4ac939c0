/** Who is signed in on this machine: a name and that person's units, by cookie. The first person where none is chosen. */
import { cookies } from 'next/headers';
import { getDb } from './connection';
import { listPeople, personNamed, type Person } from './store';

export async function currentPerson(): Promise<{ me: Person; all: Person[] }> {
  const db = getDb();
  const all = await listPeople(db);
  const wanted = Number((await cookies()).get('skiametra-person')?.value);
  const me = all.find((p) => p.id === wanted) ?? all[0] ?? (await personNamed(db, 'Pilot'));
  return { me, all: all.length ? all : [me] };
}
