/** Backups are proven by restoring them; what was there is never thrown away; a cluster is stopped by the last who holds it. */
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { prepareDatabase } from '../web/server/migrate';
import { backUp, countsOf, restore, verify } from './backup.mjs';
import { clusterHome, holdersOf, releaseFor, startCluster, whyNotStarted } from './database.mjs';
import type { Cluster } from './database.mjs';
import { backOff } from './supervise.mjs';

const NAME = 'backup-postgres';
let cluster: Cluster, folder: string;

async function sql(url: string, text: string): Promise<Record<string, unknown>[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query(text)).rows as Record<string, unknown>[];
  } finally {
    await client.end();
  }
}

beforeAll(async () => {
  cluster = await startCluster(NAME, { throwaway: true });
  folder = mkdtempSync(join(tmpdir(), 'backup-'));
  await sql(cluster.keeperUrl('postgres'), 'drop database if exists skiametra with (force)');
  await prepareDatabase(cluster.url('skiametra'));
}, 120_000);
afterAll(() => {
  cluster.stop();
  rmSync(folder, { recursive: true });
});

describe('roles', () => {
  it('the application is no superuser, and owns what it works on', async () => {
    const [role] = await sql(
      cluster.url('skiametra'),
      'select rolsuper from pg_roles where rolname = current_user',
    );
    expect(role.rolsuper).toBe(false);
    await expect(sql(cluster.url('skiametra'), "copy (select 1) to program 'true'")).rejects.toThrow(
      /denied|must be/,
    );
  });
  it('pages of the database carry checksums', async () => {
    expect((await sql(cluster.url('skiametra'), 'show data_checksums'))[0].data_checksums).toBe('on');
  });
});

describe('backup', () => {
  it('is whole, is proven, and restores what was there', async () => {
    const file = join(folder, 'a.dump'),
      url = cluster.url('skiametra');
    backUp(url, file);
    const then = countsOf(url);
    expect(then.projects).toBe(5);
    expect(verify(cluster.keeperUrl, file)).toEqual(then);
    await sql(url, 'delete from projects where id > 1');
    const before = restore(cluster.keeperUrl, 'skiametra', file);
    expect(countsOf(url)).toEqual(then);
    // what was restored belongs to the application, and what was there is still there
    await sql(url, "insert into people (name) values ('after')");
    await prepareDatabase(url);
    expect(countsOf(cluster.keeperUrl(before)).projects).toBe(1);
  });
  it('writes over nothing, and no half file stays', () => {
    const file = join(folder, 'b.dump');
    writeFileSync(file, 'mine');
    expect(() => backUp(cluster.url('skiametra'), file)).toThrow(/there already/);
    expect(() => backUp(cluster.url('nowhere'), join(folder, 'c.dump'))).toThrow(/pg_dump failed/);
    expect(spawnSync('ls', [folder], { encoding: 'utf8' }).stdout).not.toMatch(/part|c\.dump/);
  });
  it('a damaged or foreign file, and one of a newer version, are refused and leave nothing', async () => {
    const url = cluster.url('skiametra'),
      bad = join(folder, 'bad.dump'),
      newer = join(folder, 'newer.dump');
    writeFileSync(bad, 'no dump');
    expect(() => verify(cluster.keeperUrl, bad)).toThrow(/pg_restore failed/);
    await sql(
      url,
      "insert into drizzle.__drizzle_migrations (hash, created_at) select 'x', 1 from generate_series(1, 50)",
    );
    backUp(url, newer);
    await sql(url, "delete from drizzle.__drizzle_migrations where hash = 'x'");
    expect(() => restore(cluster.keeperUrl, 'skiametra', newer)).toThrow(/newer version/);
    const left = await sql(
      cluster.keeperUrl('postgres'),
      "select datname from pg_database where datname like '%scratch%'",
    );
    expect(left).toEqual([]);
  });
});

describe('who holds a cluster', () => {
  const sleeper = () => spawn('sleep', ['60']);
  it('counts the living; dead ones and numbers given out again are none', async () => {
    const home = clusterHome('holders-test'),
      h = holdersOf(home),
      other = sleeper();
    h.hold(other.pid);
    h.hold(process.pid);
    expect(h.others()).toEqual([other.pid]);
    writeFileSync(join(home, 'holders', '1'), 'another birth');
    expect(h.others()).toEqual([other.pid]);
    const gone = new Promise((r) => other.on('exit', r));
    other.kill('SIGKILL');
    await gone;
    expect(h.others()).toEqual([]);
    rmSync(home, { recursive: true });
  });
  it('a second one that stops does not stop the first one’s database (it did)', async () => {
    const other = sleeper();
    holdersOf(cluster.home).hold(other.pid);
    releaseFor(cluster.home, 99_999_999);
    expect(cluster.running()).toBe(true);
    releaseFor(cluster.home, other.pid!);
    expect(cluster.running()).toBe(true);
    other.kill('SIGKILL');
  });
});

describe('what is said when it does not start', () => {
  it('a full disk loses nothing: nobody is told to move anything away', () => {
    const said = whyNotStarted('/d', 'FATAL: could not write lock file: No space left on device');
    expect(said).toMatch(/full.*make room/);
    expect(said).not.toMatch(/[Mm]ove/);
    expect(whyNotStarted('/d', 'PANIC: could not locate a valid checkpoint')).toMatch(/checkpoint/);
  });
  it('restarts wait longer each time, to a limit', () => {
    const waits = [0, 1, 2, 3, 9, 30].map(backOff);
    expect(waits).toEqual([250, 500, 1000, 2000, 15_000, 15_000]);
  });
});

it('an existing cluster whose application was its superuser is moved once', async () => {
  const home = clusterHome('old-postgres');

  rmSync(home, { recursive: true, force: true });
  clusterHome('old-postgres');
  const made = await startCluster('old-postgres', { throwaway: true });
  await prepareDatabase(made.url('skiametra'));
  made.stop();

  const access = JSON.parse(readFileSync(join(home, 'access.json'), 'utf8')) as Record<string, unknown>;
  // as it was: the application the superuser, no keeper
  const again = await startCluster('old-postgres', { throwaway: true });
  await sql(again.keeperUrl('postgres'), 'alter role skiametra superuser');
  for (const t of ['projects', 'versions'])
    await sql(again.keeperUrl('skiametra'), `alter table ${t} owner to skiametra`);
  await sql(again.url('postgres'), "create role tmp superuser login password 'x'");
  const tmp = (db: string) => again.url(db).replace(/\/\/.*@/, '//tmp:x@');
  await sql(tmp('postgres'), 'alter role skiametra_keeper rename to was_keeper');
  again.stop();
  delete access.keeper;
  writeFileSync(join(home, 'access.json'), JSON.stringify({ ...access, roles: 0 }));
  const moved = await startCluster('old-postgres', { throwaway: true });
  const [role] = await sql(
    moved.url('skiametra'),
    'select rolsuper from pg_roles where rolname = current_user',
  );
  expect(role.rolsuper).toBe(false);
  expect(countsOf(moved.url('skiametra')).projects).toBe(5);
  await prepareDatabase(moved.url('skiametra'));
  moved.stop();
  rmSync(home, { recursive: true, force: true });
}, 120_000);
