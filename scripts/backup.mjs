// Backups of the whole database: `npm run backup -- FILE`, `npm run verify -- FILE`, `npm run restore -- FILE`.
// A backup is proven by restoring it into a scratch database. Restoring keeps what was there under another name.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, statSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { binaries, startCluster } from './database.mjs';
import { DATA, Plain, ROOT, fail } from './lib.mjs';

const DB = 'skiametra';

/** Runs a program of the database on a server; the password goes by the environment, not by the command line. */
function tool(name, url, args, input) {
  const bin = binaries();
  const u = new URL(url);
  const r = spawnSync(bin ? join(bin, name) : name, args, {
    encoding: 'utf8',
    input,
    maxBuffer: 1e8,
    env: {
      ...process.env,
      PGHOST: u.hostname,
      PGPORT: u.port || '5432',
      PGUSER: decodeURIComponent(u.username),
      PGPASSWORD: decodeURIComponent(u.password),
      PGDATABASE: decodeURIComponent(u.pathname.slice(1)),
    },
  });
  if (r.status !== 0)
    throw new Plain(
      `${name} failed: ${(r.stderr || r.error?.message || '').trim().split('\n').slice(0, 4).join(' ')}`,
    );
  return r.stdout;
}

const ask = (url, sql) => tool('psql', url, ['-XAtq', '-v', 'ON_ERROR_STOP=1', '-c', sql]).trim();

/** Steps of the tables' history that this version of the application knows. */
const knownSteps = () =>
  JSON.parse(readFileSync(join(ROOT, 'web/server/migrations/meta/_journal.json'), 'utf8')).entries.length;

function stepsOf(url) {
  const there = ask(url, "select to_regclass('drizzle.__drizzle_migrations') is not null");
  return there === 't' ? Number(ask(url, 'select count(*) from drizzle.__drizzle_migrations')) : 0;
}

const stampOf = () => new Date().toISOString().replace(/[:.]/g, '-');

/** Writes the database to a file; the file appears only when it is whole. */
export function backUp(url, file) {
  const path = resolve(file);
  if (existsSync(path)) throw new Plain(`${path} is there already; nothing was written.`);
  const part = `${path}.part`;
  try {
    tool('pg_dump', url, ['--format=custom', '--no-owner', '--no-privileges', `--file=${part}`]);
    renameSync(part, path);
  } finally {
    rmSync(part, { force: true });
  }
  return path;
}

const COUNTS = ['projects', 'versions', 'revisions', 'tests', 'test_revisions', 'logs', 'log_files'];

/** Rows of each table that holds somebody's work; a table that an earlier backup does not have is left out. */
export function countsOf(url) {
  const out = {};
  for (const t of COUNTS)
    if (ask(url, `select to_regclass('public.${t}') is not null`) === 't')
      out[t] = Number(ask(url, `select count(*) from public.${t}`));
  return out;
}

/** Restores a file into a database of its own and looks at it. @returns the name of that database */
function intoScratch(urlOf, file) {
  if (!existsSync(file)) throw new Plain(`There is no file ${file}.`);
  const scratch = `${DB}_scratch_${process.pid}`;
  ask(urlOf('postgres'), `create database ${scratch}`);
  try {
    tool('pg_restore', urlOf(scratch), [
      '--exit-on-error',
      '--no-owner',
      '--no-privileges',
      `--dbname=${scratch}`,
      resolve(file),
    ]);
    const steps = stepsOf(urlOf(scratch));
    if (steps === 0) throw new Plain(`${file} is no backup of Skiametra.`);
    if (steps > knownSteps())
      throw new Plain(`${file} was written by a newer version of the application: update it first.`);
  } catch (e) {
    drop(urlOf, scratch);
    throw e;
  }
  return scratch;
}

const drop = (urlOf, db) => ask(urlOf('postgres'), `drop database if exists ${db} with (force)`);

/** Proves a backup. @returns rows of each table in it */
export function verify(urlOf, file) {
  const scratch = intoScratch(urlOf, file);
  try {
    return countsOf(urlOf(scratch));
  } finally {
    drop(urlOf, scratch);
  }
}

/** Owner of what was restored, and of its schemas. */
const OWNED = (role) => `do $$ declare r record; begin
  for r in select nspname from pg_namespace where nspname in ('public', 'drizzle') loop
    execute format('alter schema %I owner to ${role}', r.nspname); end loop;
  for r in select schemaname, tablename from pg_tables where schemaname in ('public', 'drizzle') loop
    execute format('alter table %I.%I owner to ${role}', r.schemaname, r.tablename); end loop; end $$`;

/** Puts a backup in the place of the database; what was there stays under another name. @returns that name */
export function restore(urlOf, role, file, db = DB) {
  const scratch = intoScratch(urlOf, file);
  ask(urlOf(scratch), OWNED(role));
  const admin = urlOf('postgres');
  ask(admin, `alter database ${scratch} owner to ${role}`);
  const before = `${db}_before_${stampOf()
    .slice(0, 19)
    .replace(/[^0-9]/g, '')}`;
  if (ask(admin, `select 1 from pg_database where datname = '${db}'`) === '1') {
    ask(admin, `select pg_terminate_backend(pid) from pg_stat_activity where datname = '${db}'`);
    ask(admin, `alter database ${db} rename to ${before}`);
  }
  ask(admin, `alter database ${scratch} rename to ${db}`);
  return before;
}

/** A dump of what is there before its tables are changed. */
export async function backUpBeforeMigration(cluster) {
  if (ask(cluster.url('postgres'), `select 1 from pg_database where datname = '${DB}'`) !== '1') return null;
  const steps = stepsOf(cluster.url(DB));
  if (steps === 0 || steps >= knownSteps()) return null;
  const dir = join(DATA, 'backups');
  mkdirSync(dir, { recursive: true });
  const path = backUp(cluster.url(DB), join(dir, `before-step-${steps + 1}-${stampOf()}.dump`));
  console.log(`The tables are brought up to date; what was there is kept in ${path}.`);
  return path;
}

const inWords = (counts) =>
  Object.entries(counts)
    .map(([t, n]) => `${n} ${t.replace('_', ' ')}`)
    .join(', ');

/** The server that is meant: the own cluster, or DATABASE_URL with MAINTENANCE_URL for scratch databases. */
async function server() {
  const given = process.env.DATABASE_URL;
  if (given) {
    const keeper = process.env.MAINTENANCE_URL ?? given;
    const at = (url) => (db) => Object.assign(new URL(url), { pathname: `/${db}` }).toString();
    const u = new URL(given);
    return {
      url: given,
      keeperUrl: at(keeper),
      role: u.username,
      db: u.pathname.slice(1),
      stop: () => undefined,
    };
  }
  const c = await startCluster(process.env.SKIAMETRA_CLUSTER ?? 'postgres');
  return { url: c.url(DB), keeperUrl: c.keeperUrl, role: 'skiametra', db: DB, stop: c.stop };
}

async function main([what, file]) {
  if (!['backup', 'verify', 'restore'].includes(what) || !file)
    throw new Plain('Say a file: npm run backup -- FILE, npm run verify -- FILE, npm run restore -- FILE');
  const s = await server();
  try {
    if (what === 'backup') {
      const path = backUp(s.url, file);
      console.log(
        `${path}: ${(statSync(path).size / 1e6).toFixed(1)} MB, ${inWords(verify(s.keeperUrl, path))}.`,
      );
    } else if (what === 'verify') console.log(`${file} is whole: ${inWords(verify(s.keeperUrl, file))}.`);
    else {
      const before = restore(s.keeperUrl, s.role, file, s.db);
      console.log(`Restored. What was there before is the database ${before} on the same server.`);
    }
  } finally {
    s.stop();
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) main(process.argv.slice(2)).catch(fail);
