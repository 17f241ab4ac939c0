/** Who is signed in on this machine: a name and that person's units, by a signed cookie; the first person otherwise. */
import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { cookies } from 'next/headers';
import { getDb, type Db } from './connection';
import { LARGEST_ID } from './ids';
import { listPeople, personNamed, type Person } from './people';
import { settings } from './schema';

const COOKIE = 'skiametra-person';
const SECRET = 'cookie-secret';
const globalForSecret = globalThis as { skiametraSecret?: string };

/** The secret of this installation, made on first use. */
async function installSecret(db: Db): Promise<string> {
  await db
    .insert(settings)
    .values({ key: SECRET, value: randomBytes(32).toString('base64url') })
    .onConflictDoNothing();
  const [row] = await db.select().from(settings).where(eq(settings.key, SECRET));
  return row!.value;
}

const markOf = (secret: string, id: number) =>
  createHmac('sha256', secret).update(`person:${id}`).digest('base64url');

const signed = (secret: string, id: number) => `${id}.${markOf(secret, id)}`;

/** The person a cookie names; null when it was not written here. */
function verified(secret: string, cookie: string | undefined): number | null {
  const [, number, mark] = /^(\d{1,10})\.([\w-]{20,80})$/.exec(cookie ?? '') ?? [];
  if (mark === undefined) return null;
  const id = Number(number),
    a = Buffer.from(mark),
    b = Buffer.from(markOf(secret, id));
  return a.length === b.length && timingSafeEqual(a, b) && id >= 1 && id <= LARGEST_ID ? id : null;
}

async function secret(): Promise<string> {
  return (globalForSecret.skiametraSecret ??= await installSecret(getDb()));
}

/** The person a cookie names while that person is there, else the first: the one the screen shows is the one stored. */
export async function currentPerson(): Promise<{ me: Person; all: Person[] }> {
  const db = getDb();
  const all = await listPeople(db);
  const wanted = verified(await secret(), (await cookies()).get(COOKIE)?.value);
  const me = all.find((p) => p.id === wanted) ?? all[0] ?? (await personNamed(db, 'Pilot'));
  return { me, all: all.length ? all : [me] };
}

export const currentPersonId = async (): Promise<number> => (await currentPerson()).me.id;

/** Signs a person in: sets the cookie. */
export async function signIn(person: Person): Promise<void> {
  (await cookies()).set(COOKIE, signed(await secret(), person.id), {
    httpOnly: true,
    sameSite: 'lax',
    path: '/',
    maxAge: 31_536_000,
  });
}
