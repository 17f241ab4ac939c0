// `npm start`: install, database, migrate, demo, build, serve. Keeps both processes up; stops cleanly on Ctrl+C.
import { join } from 'node:path';
import { backUpBeforeMigration } from './backup.mjs';
import { startCluster } from './database.mjs';
import { Plain, ROOT, build, fail, installPackages, portFree, requireNode, run } from './lib.mjs';
import { keepDatabase, keepServer, watchOver } from './supervise.mjs';

function portOf() {
  const port = Number(process.env.PORT ?? 3000);
  if (!(Number.isInteger(port) && port > 0 && port < 65536))
    throw new Plain(`PORT is “${process.env.PORT}”; it must be a whole number from 1 to 65535.`);
  return port;
}

async function answers(port, stopping) {
  for (let i = 0; i < 240 && !stopping(); i++) {
    await new Promise((r) => setTimeout(r, 250));
    const ok = await fetch(`http://127.0.0.1:${port}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (ok) return true;
  }
  return false;
}

/** The own cluster with somebody who lets it go when this process dies; nothing of the kind with DATABASE_URL. */
async function database() {
  if (process.env.DATABASE_URL) return { url: process.env.DATABASE_URL, cluster: null, watcher: null };
  console.log('Starting the database …');
  const cluster = await startCluster(process.env.SKIAMETRA_CLUSTER ?? 'postgres');
  return { url: cluster.url('skiametra'), cluster, watcher: watchOver(cluster) };
}

async function main() {
  requireNode();
  const port = portOf();
  if (!(await portFree(port)))
    throw new Plain(`Port ${port} is in use. Stop what uses it, or choose another: PORT=3001 npm start`);
  await installPackages();
  const { url, cluster, watcher } = await database();
  let server = null,
    keeper = null,
    stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    keeper?.stop();
    await server?.stop();
    watcher?.stop();
    cluster?.stop();
    console.log('\nStopped.');
    process.exit(0);
  };
  for (const s of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(s, () => void stop());
  const say = (words) => console.error(`${new Date().toISOString().slice(11, 19)} ${words}`);
  try {
    if (cluster) await backUpBeforeMigration(cluster);
    await run(process.execPath, ['--import', 'tsx', join(ROOT, 'web/server/setup.ts')], {
      env: { DATABASE_URL: url },
      what: 'Preparing the database',
    });
    await build();
    if (stopping) return;
    server = keepServer({ PORT: String(port), DATABASE_URL: url }, say);
    if (cluster) keeper = keepDatabase(cluster, say);
    if (await answers(port, () => stopping))
      console.log(`\nSkiametra is at http://127.0.0.1:${port}   (Ctrl+C stops it)`);
  } catch (e) {
    watcher?.stop();
    cluster?.stop();
    throw e;
  }
}

main().catch(fail);
