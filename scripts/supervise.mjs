// Keeps the two processes of the application up: what ends by itself is started again, sooner at first, then more patiently.
import { spawn } from 'node:child_process';
import net from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ROOT } from './lib.mjs';

const here = dirname(fileURLToPath(import.meta.url));
const FIRST = 250,
  LONGEST = 15_000,
  /** alive so long, the next end counts as a first one */ SETTLED = 60_000;

/** Delay before a restart: doubled with each quick end. */
export const backOff = (quickEnds) => Math.min(LONGEST, FIRST * 2 ** quickEnds);

/** The server of pages; ends when this process does. `say` hears when it was lost. */
export function keepServer(env, say) {
  let child = null,
    stopping = false,
    quick = 0;
  const begin = () => {
    const at = Date.now();
    child = spawn(process.execPath, [join(ROOT, 'web/serve.mjs')], {
      cwd: join(ROOT, 'web'),
      // the channel tells the server that this process is gone
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
      env: { ...process.env, ...env, NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
    });
    child.on('exit', (code, signal) => {
      child = null;
      if (stopping) return;
      quick = Date.now() - at > SETTLED ? 0 : quick + 1;
      const wait = backOff(quick - 1);
      say(`The server of pages ended (${signal ?? `status ${code}`}); it is started again.`);
      setTimeout(() => !stopping && begin(), wait);
    });
  };
  begin();
  return {
    stop: () =>
      new Promise((done) => {
        stopping = true;
        if (!child) return done();
        const late = setTimeout(() => child?.kill('SIGKILL'), 6000);
        child.on('exit', () => {
          clearTimeout(late);
          done();
        });
        child.kill('SIGTERM');
      }),
  };
}

/** Whether something listens on a port of this machine. */
export function listens(port) {
  return new Promise((done) => {
    const s = net.connect(port, '127.0.0.1');
    const end = (up) => {
      s.destroy();
      done(up);
    };
    s.on('connect', () => end(true));
    s.on('error', () => end(false));
    s.setTimeout(2000, () => end(false));
  });
}

/** The database: looked at every half second, started again when it is down. Says why it cannot, once a reason. */
export function keepDatabase(cluster, say) {
  let stopping = false,
    failures = 0,
    last = '';
  const look = async () => {
    if (stopping) return;
    let wait = 500;
    if (!(await listens(cluster.port)) && !stopping) {
      try {
        cluster.start();
        say('The database had ended; it runs again.');
        failures = 0;
        last = '';
      } catch (e) {
        wait = backOff(failures++);
        if (e.message !== last) say(e.message);
        last = e.message;
      }
    }
    setTimeout(look, wait);
  };
  setTimeout(look, 500);
  return { stop: () => (stopping = true) };
}

/** Lets the cluster go when this process dies without a word. */
export function watchOver(cluster) {
  let stopping = false;
  let child = null;
  const begin = () => {
    child = spawn(process.execPath, [join(here, 'watch.mjs'), cluster.home, String(process.pid)], {
      stdio: ['pipe', 'ignore', 'ignore'],
      detached: true,
    });
    child.stdin.on('error', () => undefined);
    child.on('exit', () => !stopping && setTimeout(begin, 500));
    child.unref();
  };
  begin();
  return {
    stop: () => {
      stopping = true;
      child.kill('SIGKILL');
    },
  };
}
