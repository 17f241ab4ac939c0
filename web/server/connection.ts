/** One pool per process. */
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import * as schema from './schema';

export type Db = NodePgDatabase<typeof schema>;

export function connect(url: string): { db: Db; pool: pg.Pool } {
  const pool = new pg.Pool({ connectionString: url, max: 8, connectionTimeoutMillis: 4000 });
  // a broken idle connection (server restarted) is dropped by the pool; the next query opens a new one
  pool.on('error', () => undefined);
  // and so is one broken while in use: its query rejects, which the caller hears; unheard, the event would end the process
  pool.on('connect', (client) => {
    client.on('error', () => undefined);
  });
  return { db: drizzle(pool, { schema }), pool };
}

const globalForDb = globalThis as { skiametraDb?: Db };

export function getDb(): Db {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; start the application with npm start.');
  globalForDb.skiametraDb ??= connect(url).db;
  return globalForDb.skiametraDb;
}
