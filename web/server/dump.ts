/** Where the database's own dump program is, and what it is told. */
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

const BASE = '/usr/lib/postgresql';

/** The newest installed one; by its bare name where there is none in the usual place. */
export function dumpProgram(): string {
  const found = existsSync(BASE)
    ? readdirSync(BASE)
        .map((v) => join(BASE, v, 'bin/pg_dump'))
        .filter(existsSync)
        .sort((a, b) => b.localeCompare(a, 'en', { numeric: true }))
    : [];
  return found[0] ?? 'pg_dump';
}

/** The server it dumps, by the environment: a password on the command line could be read by others. */
export function dumpEnvironment(url = process.env.DATABASE_URL ?? ''): NodeJS.ProcessEnv {
  const u = new URL(url);
  return {
    ...process.env,
    PGHOST: u.hostname,
    PGPORT: u.port || '5432',
    PGUSER: decodeURIComponent(u.username),
    PGPASSWORD: decodeURIComponent(u.password),
    PGDATABASE: decodeURIComponent(u.pathname.slice(1)),
  };
}
