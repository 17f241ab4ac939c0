/** Creates the database where it is missing, brings its tables up to date, and loads the demo once. */
import { fileURLToPath } from 'node:url';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { bitternProject, craneProject, dunlinProject, gnatProject, waferProject } from '@skiametra/core/demo';
import { connect, type Db } from './connection';
import { importProject } from './exchange';
import { rowsToFiles } from './logFile';
import { purgeDeleted } from './projects';
import { people, projects } from './schema';
import { storeSeason } from './season';

async function createDatabase(url: string): Promise<void> {
  const target = new URL(url);
  const name = decodeURIComponent(target.pathname.slice(1));
  const client = new pg.Client({ connectionString: url });
  try {
    await client.connect();
    await client.end();
    return;
  } catch (e) {
    if (!(e instanceof Error && 'code' in e && e.code === '3D000')) throw e;
  }
  target.pathname = '/postgres';
  const admin = new pg.Client({ connectionString: target.toString() });
  await admin.connect();
  await admin.query(`CREATE DATABASE "${name.replace(/"/g, '""')}"`);
  await admin.end();
}

/** @returns whether the demo was loaded now */
export async function prepareDatabase(url: string): Promise<boolean> {
  await createDatabase(url);
  const { db, pool } = connect(url);
  try {
    await migrate(db, { migrationsFolder: fileURLToPath(new URL('./migrations', import.meta.url)) });
    await rowsToFiles(db);
    await purgeDeleted(db);
    return await loadDemo(db);
  } finally {
    await pool.end();
  }
}

async function loadDemo(db: Db): Promise<boolean> {
  await db.insert(people).values({ name: 'Pilot' }).onConflictDoNothing();
  const [any] = await db.select({ id: projects.id }).from(projects).limit(1);
  if (any) return false;
  for (const demo of [bitternProject, craneProject, waferProject, gnatProject, dunlinProject]) {
    const { projectId } = await importProject(db, demo(), true);
    if (demo === bitternProject) await storeSeason(db, projectId, 'Bittern 1');
  }
  return true;
}
