// `npm run kills -- N`: saves without end while its server, its database, both or the start command are killed N times. Counts
// saves that were acknowledged and are not there, and how long it takes to answer again without a hand.
import { spawn, spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { clusterHome } from './database.mjs';
import { Plain, ROOT, fail, freePort } from './lib.mjs';

const CLUSTER = 'kills-postgres';
const TARGETS = ['server', 'database', 'both', 'starter'];
const pause = (ms) => new Promise((r) => setTimeout(r, ms));

/** Processes below one, by their command line. */
function childOf(pid, word) {
  const r = spawnSync('pgrep', ['-P', String(pid), '-f', word], { encoding: 'utf8' });
  return Number(r.stdout.trim().split('\n')[0]) || null;
}

const postmaster = (home) => Number(readFileSync(join(home, 'data/postmaster.pid'), 'utf8').split('\n')[0]);
const alive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
};

function begin(port) {
  const child = spawn(process.execPath, [join(ROOT, 'scripts/start.mjs')], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'pipe'],
    env: { ...process.env, DATABASE_URL: '', SKIAMETRA_CLUSTER: CLUSTER, PORT: String(port) },
  });
  child.stderr.resume();
  return child;
}

const here = (port) => `http://127.0.0.1:${port}`;

/** Waits until the application answers; the seconds it took. */
async function well(port, most = 90) {
  const from = Date.now();
  while (Date.now() - from < most * 1000) {
    const ok = await fetch(`${here(port)}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (ok) return (Date.now() - from) / 1000;
    await pause(50);
  }
  throw new Plain(`It did not answer again within ${most} s.`);
}

async function put(port, id, base, document) {
  const r = await fetch(`${here(port)}/api/versions/${id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', origin: here(port) },
    body: JSON.stringify({ base, document }),
    signal: AbortSignal.timeout(10_000),
  });
  const answer = await r.json();
  return answer.status === 'ok' ? answer.value : null;
}

/** Saves one number after the other until told to stop; keeps what was acknowledged. */
function saver(port, id, state) {
  let going = true;
  const done = (async () => {
    while (going) {
      const wind = (state.tried = state.tried + 1) / 1e5;
      const document = { ...state.document, brief: { ...state.document.brief } };
      document.brief.site = { ...document.brief.site, wind };
      const r = await put(port, id, state.revision, document).catch(() => null);
      if (r?.status === 'saved')
        Object.assign(state, { revision: r.revision, acked: wind, count: state.count + 1 });
      else if (r?.status === 'conflict') Object.assign(state, { revision: r.revision });
      else await pause(30);
    }
  })();
  return () => {
    going = false;
    return done;
  };
}

/** The document as it stands on the server, asked for by a save from a base that is none. */
async function standing(port, id, document) {
  for (let i = 0; i < 100; i++) {
    // a connection broken by the kill is refused once and made anew
    const r = await put(port, id, 999_999_999, document).catch(() => null);
    if (r?.theirs) return r.theirs.brief.site.wind;
    await pause(100);
  }
  throw new Plain('It answered that it is well, and then did not answer for ten seconds.');
}

async function killOnce(target, app, home) {
  const server = childOf(app.child.pid, 'serve.mjs'),
    db = postmaster(home);
  if (target === 'server' || target === 'both') process.kill(server, 'SIGKILL');
  if (target === 'database' || target === 'both') process.kill(db, 'SIGKILL');
  if (target !== 'starter') return;
  app.child.kill('SIGKILL');
  for (let i = 0; i < 200 && (alive(server) || alive(db)); i++) await pause(50);
  app.orphans += Number(alive(server)) + Number(alive(db));
  // somebody starts it again
  app.child = begin(app.port);
}

async function main() {
  const rounds = Number(process.argv[2] ?? 200);
  if (!(Number.isInteger(rounds) && rounds > 0)) throw new Plain('Say how often: npm run kills -- 200');
  const home = clusterHome(CLUSTER);
  rmSync(join(home, 'data'), { recursive: true, force: true });
  rmSync(join(home, 'access.json'), { force: true });
  const port = await freePort();
  const app = { port, child: begin(port), orphans: 0 };
  await well(port, 300);
  const file = await (await fetch(`${here(port)}/api/projects/1/export?form=json`)).json();
  const { document } = file.versions.at(-1);
  // versions of the demo are numbered as they come
  const id = file.versions.length;
  const state = { document, revision: 1, tried: 0, acked: document.brief.site.wind, count: 0 };
  const took = Object.fromEntries(TARGETS.map((t) => [t, []]));
  let lost = 0;
  for (let n = 0; n < rounds; n++) {
    const target = TARGETS[n % TARGETS.length];
    const end = saver(port, id, state);
    await pause(150 + ((n * 7919) % 400));
    await killOnce(target, app, home);
    await pause(20);
    took[target].push(await well(port));
    await end();
    const there = await standing(port, id, document);
    // the last acknowledged one, or a later one whose answer was cut off
    if (!(there >= state.acked - 1e-12)) lost++;
    if (n % 20 === 19) console.log(`${n + 1} kills, ${state.count} saves acknowledged, ${lost} lost`);
  }
  app.child.kill('SIGTERM');
  for (const t of TARGETS) {
    const s = took[t].sort((a, b) => a - b);
    if (s.length)
      console.log(
        `${t}: ${s.length} kills, answers again after ${s[s.length >> 1].toFixed(1)} s, at most ${s.at(-1).toFixed(1)} s`,
      );
  }
  console.log(
    `${rounds} kills, ${state.count} acknowledged saves, ${lost} lost, ${app.orphans} processes left over`,
  );
  process.exit(lost || app.orphans ? 1 : 0);
}

main().catch(fail);
