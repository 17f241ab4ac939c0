import { SCHEMA_VERSION, type LogRow, type Measurement } from '@skiametra/core/design';
import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bitternDocument, bitternProject } from '@skiametra/core/demo';
import { setPath, type DesignDocument } from '@skiametra/core/design';
import { startCluster } from '../../scripts/database.mjs';
import { connect, type Db } from './connection';
import { exportProject, importProject } from './exchange';
import { prepareDatabase } from './migrate';
import { platePolar } from '@skiametra/core/section';
import { findPolars, keepPolars, offeredSchema, wantedSchema } from './polars';
import { logFiles, logs, measurements, projects, revisions, tests, versions } from './schema';
import { nameSave, testHistory, versionHistory } from './history';
import { personNamed, setUnits } from './people';
import { deletedProjects, deleteProject, listProjects, purgeDeleted, restoreProject } from './projects';
import { createTest, createVersion, loadWorkspace, readVersion, saveTest, saveVersion } from './store';

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
  it('rows that an earlier version kept in a table become a file once, and what they measured names it', async () => {
    const { projectId } = await importProject(db, bitternProject());
    const t = (await loadWorkspace(db, projectId))!.tests.find((x) => x.body.record.groundRun !== null),
      id = Number(t!.id),
      old = {
        quantity: 'lapTime',
        state: 'ferry',
        value: 27,
        sigma: 0.3,
        from: 'log: 3 laps',
        setAside: false,
      };
    await db
      .update(tests)
      .set({ body: { ...t!.body, measurements: [old as Measurement] } })
      .where(eq(tests.id, id));
    const rows = Array.from({ length: 12 }, (_, i): LogRow => [i, i, 0, 20, 12, 15, 8]);
    await db.insert(logs).values({ testId: id, name: 'old.csv', rows, remarks: [] });
    for (let twice = 0; twice < 2; twice++) await prepareDatabase(url);
    expect(await db.select().from(logs).where(eq(logs.testId, id))).toEqual([]);
    const { body } = (await loadWorkspace(db, projectId))!.tests.find((x) => x.id === t!.id)!;
    expect(body.logs).toHaveLength(1);
    expect(body.measurements[0]).toMatchObject({ source: 'logged', segment: { log: body.logs![0]!.file } });
  });
  it('a test’s measurements go to their own table, rows of its log to a file that it names', async () => {
    const { projectId, versionId } = await importProject(db, bitternProject());
    const body = bitternProject().tests[1]!.body;
    const row = (await createTest(db, versionId, body, null))!;
    const rows = Array.from({ length: 30 }, (_, i): LogRow => [i, i, 0, 20, 12, 15, 8]),
      log = { name: 'log.csv', rows, remarks: ['a'] };
    const m: Measurement[] = [
      {
        quantity: 'lapTime',
        state: 'tubes-6',
        value: 26.5,
        sigma: 0.3,
        source: 'timed',
        from: 'x',
        setAside: false,
      },
    ];
    expect((await saveTest(db, Number(row.id), 1, { ...body, log, measurements: m }, null)).status).toBe(
      'saved',
    );
    expect(
      (
        await db
          .select()
          .from(measurements)
          .where(eq(measurements.testId, Number(row.id)))
      )[0],
    ).toMatchObject({ quantity: 'lapTime', value: 26.5 });
    const back = (await loadWorkspace(db, projectId))!.tests.find((t) => t.id === row.id)!;
    expect(back.body).toMatchObject({ log: null, logs: [{ name: 'log.csv', rows: 30, length: 29 }] });
    const [file] = await db
      .select()
      .from(logFiles)
      .where(eq(logFiles.testId, Number(row.id)));
    expect(file).toMatchObject({ name: 'log.csv', sha256: back.body.logs![0]!.file });
    expect((await saveTest(db, Number(row.id), 1, body, null)).status).toBe('conflict');
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
      null,
    ))!;
    await createTest(db, child, bitternProject().tests[0]!.body, null);
    const first = (await exportProject(db, projectId))!;
    const again = await importProject(db, first);
    expect(await exportProject(db, again.projectId)).toEqual(first);
    expect(first.versions.map((v) => v.parent)).toEqual([null, 'v1', 'v1', 'v1', 'v1', 'v5']);
    expect(await exportProject(db, 424242)).toBeNull();
  });
  it('names of tests in a calibration follow the tests', async () => {
    const file = bitternProject();
    file.versions[0]!.document.calibration.from = ['t1'];
    const { projectId } = await importProject(db, file);
    expect((await exportProject(db, projectId))!.versions[0]!.document.calibration.from).toEqual(['t1']);
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
    expect(list[0]!.newest?.face?.surfaces.length).toBeGreaterThan(1);
    expect(list[0]!.newest?.purpose).toMatch(/[a-z]/);
  });
  it('names with quotes are data, not SQL', async () => {
    expect((await personNamed(db, "x'); drop table people; --")).name).toContain('drop table');
    expect((await db.execute(sql`select count(*) from people`)).rows).toHaveLength(1);
  });
});

describe('history', () => {
  it('names the author of each save, not who replaced it', async () => {
    const { versionId } = await importProject(db, bitternProject());
    const [a, b] = [await personNamed(db, 'Ada'), await personNamed(db, 'Bo')];
    await saveVersion(db, versionId, 1, withWind(1), a.id);
    await saveVersion(db, versionId, 2, withWind(2), b.id);
    await saveVersion(db, versionId, 3, withWind(3), a.id);
    const saves = await versionHistory(db, versionId, 10);
    expect(saves.map((s) => [s.revision, s.by, s.content!.brief.site.wind])).toEqual([
      [3, 'Bo', 2],
      [2, 'Ada', 1],
      [1, null, 0.5],
    ]);
  });
  it('tests have one too', async () => {
    const { versionId } = await importProject(db, bitternProject());
    const { body } = bitternProject().tests[1]!;
    const row = (await createTest(db, versionId, body, null))!,
      who = await personNamed(db, 'Ada');
    const noted = (notes: string) => ({ ...body, record: { ...body.record, notes } });
    await saveTest(db, Number(row.id), 1, noted('a'), who.id);
    await saveTest(db, Number(row.id), 2, noted('b'), null);
    const saves = await testHistory(db, Number(row.id), 10);
    expect(saves.map((s) => [s.by, s.content!.record.notes])).toEqual([
      ['Ada', 'a'],
      [null, body.record.notes],
    ]);
  });
  it('is thinned: today whole, then one an hour, before that one a day; named ones for ever', async () => {
    const { versionId } = await importProject(db, bitternProject());
    // a save every 20 minutes for 12 days, the newest now
    const doc = bitternDocument();
    const rows = Array.from({ length: 864 }, (_, i) => ({
      versionId,
      revision: i + 1,
      document: { ...doc, design: { ...doc.design, items: [] } },
      savedAt: new Date(Date.now() - (864 - i) * 20 * 60_000),
    }));
    for (let i = 0; i < rows.length; i += 100) await db.insert(revisions).values(rows.slice(i, i + 100));
    await nameSave(db, versionId, 5, 'as flown');
    await db.update(versions).set({ revision: 880 }).where(eq(versions.id, versionId));
    await saveVersion(db, versionId, 880, withWind(1), null);
    const left = await db.select().from(revisions).where(eq(revisions.versionId, versionId));
    const age = (d: Date) => (Date.now() - d.getTime()) / 86_400_000;
    const days = left.filter((r) => age(r.savedAt) > 7.1),
      hours = left.filter((r) => age(r.savedAt) < 6.9 && age(r.savedAt) > 1.1);
    expect(days.length).toBeGreaterThanOrEqual(5);
    expect(days.length).toBeLessThanOrEqual(8);
    expect(hours.length).toBeGreaterThan(130);
    expect(hours.length).toBeLessThan(146);
    expect(left.find((r) => r.revision === 5)?.name).toBe('as flown');
    const midnight = new Date();
    midnight.setHours(0, 0, 0, 0);
    const today = rows.filter((r) => r.savedAt >= midnight).length;
    expect(left.filter((r) => r.savedAt >= midnight && r.revision <= 864).length).toBe(today);
  });
  it('the newest save can be named too, and is then kept', async () => {
    const { versionId } = await importProject(db, bitternProject());
    expect(await nameSave(db, versionId, 1, 'first')).toBe(true);
    await saveVersion(db, versionId, 1, withWind(1), null);
    expect((await versionHistory(db, versionId, 5)).map((s) => s.name)).toEqual(['first']);
    expect(await nameSave(db, versionId, 77, 'none')).toBe(false);
  });
});

describe('deleting', () => {
  it('takes a project off the shelf, refuses its saves as gone, and can be undone', async () => {
    const { projectId, versionId } = await importProject(db, bitternProject());
    const who = await personNamed(db, 'Ada');
    await deleteProject(db, projectId, who.id);
    expect((await listProjects(db)).map((p) => p.id)).not.toContain(projectId);
    expect((await deletedProjects(db))[0]).toMatchObject({ id: projectId, by: 'Ada' });
    expect(await loadWorkspace(db, projectId)).toBeNull();
    expect((await saveVersion(db, versionId, 1, withWind(1), null)).status).toBe('gone');
    expect(await exportProject(db, projectId)).not.toBeNull();
    expect(await restoreProject(db, projectId)).toBe(true);
    expect((await saveVersion(db, versionId, 1, withWind(1), null)).status).toBe('saved');
  });
  it('for good only after 30 days', async () => {
    const [young, old] = [
      await importProject(db, bitternProject()),
      await importProject(db, bitternProject()),
    ];
    for (const [p, days] of [
      [young, 29],
      [old, 31],
    ] as const)
      await db
        .update(projects)
        .set({ deletedAt: new Date(Date.now() - days * 86_400_000) })
        .where(eq(projects.id, p.projectId));
    await purgeDeleted(db);
    expect([await restoreProject(db, young.projectId), await restoreProject(db, old.projectId)]).toEqual([
      true,
      false,
    ]);
  });
});

describe('opening a project', () => {
  it('brings the document of the open version, and of the others what the shelf shows', async () => {
    const { projectId, versionId } = await importProject(db, bitternProject());
    await listProjects(db);
    const open = (await loadWorkspace(db, projectId, versionId))!;
    expect(open.versions.map((v) => v.document !== null)).toEqual(
      open.versions.map((v) => v.id === versionId),
    );
    expect(open.versions).toHaveLength(bitternProject().versions.length);
    const other = open.versions.find((v) => v.id !== versionId)!;
    expect((await readVersion(db, other.id))!.schemaVersion).toBe(SCHEMA_VERSION);
    expect(await readVersion(db, 999_999)).toBeNull();
  });
});

describe('a damaged document', () => {
  it('costs itself alone: the shelf opens, the other versions open, the export opens', async () => {
    const { projectId, versionId } = await importProject(db, bitternProject());
    const other = await importProject(db, bitternProject());
    await db
      .update(versions)
      .set({ document: { schemaVersion: 1, design: 7 } as never, head: null })
      .where(eq(versions.id, versionId));
    const card = (await listProjects(db)).find((p) => p.id === projectId)!;
    expect(card.newest).toMatchObject({ id: versionId, face: null });
    expect((await listProjects(db)).find((p) => p.id === other.projectId)!.newest!.face).not.toBeNull();
    const open = (await loadWorkspace(db, projectId))!;
    expect(open.damaged.versions.map((v) => v.id)).toEqual([versionId]);
    expect(open.versions.length).toBe(bitternProject().versions.length - 1);
    const file = (await exportProject(db, projectId))!;
    expect(file.versions.length).toBe(open.versions.length);
    await importProject(db, file);
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
      expect([wind, lost]).toContain(row!.document.brief.site.wind);
      expect(setPath(row!.document, 'brief.site.wind', 0.5)).toEqual(bitternDocument());
      expect(row!.revision === revision || row!.revision === revision + 1).toBe(true);
      ({ revision } = row!);
      wind = row!.document.brief.site.wind;
    }
    expect((await saveVersion(db, versionId, revision, withWind(7), null)).status).toBe('saved');
  });
});
