import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bitternDocument, bitternProject } from '@skiametra/core/demo';
import { SCHEMA_VERSION, setPath, type DesignDocument } from '@skiametra/core/design';
import { logFlight } from '@skiametra/devices';
import { startCluster } from '../../scripts/database.mjs';
import { connect, type Db } from './connection';
import { exportProject, importProject } from './exchange';
import { prepareDatabase } from './migrate';
import { platePolar } from '@skiametra/core/section';
import { findPolars, keepPolars, offeredSchema, wantedSchema } from './polars';
import { logs, measurements, projects, revisions, versions } from './schema';
import {
  createTest,
  createVersion,
  listProjects,
  loadWorkspace,
  personNamed,
  saveTest,
  saveVersion,
  setUnits,
} from './store';

let cluster: Awaited<ReturnType<typeof startCluster>>;
let url = '';
let db: Db;
let pool: ReturnType<typeof connect>['pool'];

beforeAll(async () => {
  // a cluster of its own: this file kills it
  cluster = await startCluster('store-postgres');
  url = cluster.url('skiametra_store');
  await prepareDatabase(url);
  ({ db, pool } = connect(url));
  await db.delete(projects);
});
afterAll(async () => {
  cluster?.kill();
  await Promise.race([pool?.end().catch(() => undefined), new Promise((r) => setTimeout(r, 3000))]);
});

const withWind = (wind: number): DesignDocument => setPath(bitternDocument(), 'brief.site.wind', wind);

describe('the shelf of polars', () => {
  const polar = platePolar(() => 0.02, 0.02, 1e5);
  it('gives back what was kept, and only what was asked for', async () => {
    await keepPolars(db, { 'shape-abc123': polar, 'shape-def456': polar });
    await keepPolars(db, { 'shape-abc123': { ...polar, clMax: 9 } });
    expect(await findPolars(db, ['shape-abc123', 'shape-none00'])).toEqual({ 'shape-abc123': polar });
    expect(await findPolars(db, [])).toEqual({});
  });
  it('requests are checked: keys, counts and numbers', () => {
    expect(wantedSchema.safeParse({ keys: ["x'; drop table polars"] }).success).toBe(false);
    expect(wantedSchema.safeParse({ keys: Array.from({ length: 401 }, () => 'shape-abc123') }).success).toBe(
      false,
    );
    expect(offeredSchema.safeParse({ polars: { 'shape-abc123': polar } }).success).toBe(true);
    expect(offeredSchema.safeParse({ polars: { 'shape-abc123': { ...polar, clMax: 1e9 } } }).success).toBe(
      false,
    );
    expect(offeredSchema.safeParse({ polars: { 'shape-abc123': { ...polar, extra: 1 } } }).success).toBe(
      false,
    );
  });
});

describe('saving', () => {
  it('raises the revision, keeps what it replaced, refuses a stale base with what is there now', async () => {
    const { versionId } = await importProject(db, bitternProject());
    expect(await saveVersion(db, versionId, 1, withWind(2), null)).toEqual({ status: 'saved', revision: 2 });
    const late = await saveVersion(db, versionId, 1, withWind(9), null);
    expect(late.status === 'conflict' && [late.revision, late.theirs.brief.site.wind]).toEqual([2, 2]);
    const kept = await db.select().from(revisions).where(eq(revisions.versionId, versionId));
    expect(kept.map((r) => [r.revision, r.document.brief.site.wind])).toEqual([[1, 0.5]]);
    expect((await saveVersion(db, 999_999, 1, withWind(2), null)).status).toBe('gone');
  });
  it('two saves at once from one base: one wins, the other is told', async () => {
    const { versionId } = await importProject(db, bitternProject());
    const r = await Promise.all([
      saveVersion(db, versionId, 1, withWind(1), null),
      saveVersion(db, versionId, 1, withWind(2), null),
    ]);
    expect(r.map((x) => x.status).sort()).toEqual(['conflict', 'saved']);
  });
  it('a test’s measurements and log go to their own tables and come back', async () => {
    const { projectId, versionId } = await importProject(db, bitternProject());
    const body = bitternProject().tests[1].body;
    const row = (await createTest(db, versionId, body))!;
    const log = { name: 'log', rows: logFlight(bitternDocument(), 'tubes-6', 1, 3).rows, remarks: ['a'] };
    const m = [
      { quantity: 'lapTime', state: 'tubes-6', value: 26.5, sigma: 0.3, from: 'x', setAside: false },
    ];
    expect((await saveTest(db, Number(row.id), 1, { ...body, log, measurements: m })).status).toBe('saved');
    expect(
      (
        await db
          .select()
          .from(measurements)
          .where(eq(measurements.testId, Number(row.id)))
      )[0],
    ).toMatchObject({ quantity: 'lapTime', value: 26.5 });
    const back = (await loadWorkspace(db, projectId))!.tests.find((t) => t.id === row.id)!;
    expect(back.body.log).toEqual(log);
    expect((await saveTest(db, Number(row.id), 1, body)).status).toBe('conflict');
    await saveTest(db, Number(row.id), 2, { ...body, log: null });
    expect(
      await db
        .select()
        .from(logs)
        .where(eq(logs.testId, Number(row.id))),
    ).toEqual([]);
  });
});

describe('exchange', () => {
  it('export equals import, through the database and again', async () => {
    const { projectId, versionId } = await importProject(db, bitternProject());
    const child = (await createVersion(
      db,
      versionId,
      'Bittern 2',
      'spar',
      setPath(bitternDocument(), 'calibration.from', []),
    ))!;
    await createTest(db, child, bitternProject().tests[0].body);
    const first = (await exportProject(db, projectId))!;
    const again = await importProject(db, first);
    expect(await exportProject(db, again.projectId)).toEqual(first);
    expect(first.versions.map((v) => v.parent)).toEqual([null, 'v1', 'v1', 'v1', 'v4']);
    expect(await exportProject(db, 424242)).toBeNull();
  });
  it('names of tests in a calibration follow the tests', async () => {
    const file = bitternProject();
    file.versions[0].document.calibration.from = ['t1'];
    const { projectId } = await importProject(db, file);
    expect((await exportProject(db, projectId))!.versions[0].document.calibration.from).toEqual(['t1']);
  });
});

describe('people and shelf', () => {
  it('units belong to the person', async () => {
    const a = await personNamed(db, 'Asha'),
      b = await personNamed(db, 'Bram');
    await setUnits(db, a.id, 'imperial');
    expect((await personNamed(db, 'Asha')).units).toBe('imperial');
    expect((await personNamed(db, 'Bram')).units).toBe(b.units);
  });
  it('the shelf lists projects with their newest version', async () => {
    const list = await listProjects(db);
    expect(list.length).toBeGreaterThan(3);
    expect(list[0].newest?.document.schemaVersion).toBe(SCHEMA_VERSION);
  });
  it('names with quotes are data, not SQL', async () => {
    expect((await personNamed(db, "x'); drop table people; --")).name).toContain('drop table');
    expect((await db.execute(sql`select count(*) from people`)).rows).toHaveLength(1);
  });
});

describe('a database killed while saving', () => {
  it('holds either the old or the new document of every save, whole, and carries on', async () => {
    const { versionId } = await importProject(db, bitternProject());
    let revision = 1,
      wind = 0.5,
      lost = 0;
    for (let round = 0; round < 3; round++) {
      const saves = (async () => {
        for (let k = 1; k <= 200; k++) {
          const next = round + k / 1000;
          const r = await saveVersion(db, versionId, revision, withWind(next), null).catch(() => null);
          if (r === null) {
            lost = next;
            return;
          }
          if (r.status === 'saved') {
            revision = r.revision;
            wind = next;
          }
        }
      })();
      await new Promise((r) => setTimeout(r, 60 + 40 * round));
      cluster.kill();
      await saves;
      cluster.start();
      const [row] = await db.select().from(versions).where(eq(versions.id, versionId));
      // a save that was answered is there; the one that was cut off is whole or absent
      expect([wind, lost]).toContain(row.document.brief.site.wind);
      expect(setPath(row.document, 'brief.site.wind', 0.5)).toEqual(bitternDocument());
      expect(row.revision === revision || row.revision === revision + 1).toBe(true);
      ({ revision } = row);
      wind = row.document.brief.site.wind;
    }
    expect((await saveVersion(db, versionId, revision, withWind(7), null)).status).toBe('saved');
  });
});
