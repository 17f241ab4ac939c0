// `npm start`: install, database, migrate, demo, build, serve. Stops cleanly on Ctrl+C.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { startCluster } from './database.mjs';
import { Plain, ROOT, build, fail, installPackages, portFree, requireNode, run } from './lib.mjs';

async function main() {
  requireNode();
  const port = Number(process.env.PORT ?? 3000);
  if (!(Number.isInteger(port) && port > 0 && port < 65536))
    throw new Plain(`PORT is “${process.env.PORT}”; it must be a whole number from 1 to 65535.`);
  if (!(await portFree(port)))
    throw new Plain(`Port ${port} is in use. Stop what uses it, or choose another: PORT=3001 npm start`);
  await installPackages();
  let cluster = null;
  let url = process.env.DATABASE_URL;
  if (!url) {
    console.log('Starting the database …');
    cluster = await startCluster('postgres');
    url = cluster.url('skiametra');
  }
  let server = null;
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    if (server && server.exitCode === null) server.kill('SIGTERM');
    else {
      cluster?.stop();
      process.exit();
    }
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  try {
    await run(process.execPath, ['--import', 'tsx', join(ROOT, 'web/server/setup.ts')], {
      env: { DATABASE_URL: url },
      what: 'Preparing the database',
    });
    await build();
    server = spawn(process.execPath, [join(ROOT, 'web/serve.mjs')], {
      cwd: join(ROOT, 'web'),
      stdio: ['ignore', 'ignore', 'inherit'],
      env: {
        ...process.env,
        PORT: String(port),
        DATABASE_URL: url,
        NEXT_TELEMETRY_DISABLED: '1',
        NODE_ENV: 'production',
      },
    });
    server.on('exit', (code) => {
      cluster?.stop();
      if (!stopping) console.error(`\nThe server ended by itself (status ${code}).`);
      else console.log('\nStopped.');
      process.exit(stopping ? 0 : 1);
    });
    for (let i = 0; i < 120 && !stopping; i++) {
      await new Promise((r) => setTimeout(r, 250));
      const ok = await fetch(`http://127.0.0.1:${port}/api/health`).then(
        (r) => r.ok,
        () => false,
      );
      if (ok) {
        console.log(`\nSkiametra is at http://127.0.0.1:${port}   (Ctrl+C stops it)`);
        return;
      }
    }
  } catch (e) {
    cluster?.stop();
    throw e;
  }
}

main().catch(fail);
