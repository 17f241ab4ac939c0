/** The start and database commands: what they say when something is wrong. */
import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { clusterHome } from './database.mjs';
import { noticesPage, shippedPackages } from './writeNotices';
import { safetyPage } from './writeSafety';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const node = (code: string, env: Record<string, string> = {}) =>
  spawnSync(process.execPath, ['--input-type=module', '-e', code], {
    cwd: root,
    encoding: 'utf8',
    env: { ...process.env, ...env },
    timeout: 60_000,
  });
const start = (env: Record<string, string>) =>
  spawnSync(process.execPath, ['scripts/start.mjs'], {
    cwd: root,
    encoding: 'utf8',
    env: { ...process.env, ...env },
    timeout: 60_000,
  });

describe('npm start', () => {
  it('names the port that is in use and another to take', async () => {
    const busy = net.createServer().listen(0, '127.0.0.1');
    await new Promise((r) => busy.once('listening', r));
    const { port } = busy.address() as net.AddressInfo;
    const child = await new Promise<{ code: number | null; err: string }>((resolve) => {
      import('node:child_process').then(({ spawn }) => {
        const c = spawn(process.execPath, ['scripts/start.mjs'], {
          cwd: root,
          env: { ...process.env, PORT: String(port) },
        });
        let err = '';
        c.stderr.on('data', (d: Buffer) => {
          err += d.toString();
        });
        c.on('exit', (code) => resolve({ code, err }));
      });
    });
    busy.close();
    expect(child.code).toBe(1);
    expect(child.err).toContain(`Port ${port} is in use`);
    expect(child.err).toContain('PORT=3001 npm start');
  });
  it('refuses a port that is none', () => {
    const r = start({ PORT: 'lots' });
    expect(r.status).toBe(1);
    expect(r.stderr).toContain('must be a whole number from 1 to 65535');
  });
  it('a database that does not answer is a sentence', () => {
    const r = spawnSync(process.execPath, ['--import', 'tsx', 'web/server/setup.ts'], {
      cwd: root,
      encoding: 'utf8',
      env: { ...process.env, DATABASE_URL: 'postgres://nobody:x@127.0.0.1:1/none' },
      timeout: 60_000,
    });
    expect(r.status).toBe(1);
    expect(r.stderr).toMatch(
      /The database at 127\.0\.0\.1:1 cannot be used: .*ECONNREFUSED.*Check that it runs/,
    );
  });
});

describe('the cluster', () => {
  it('a damaged one is named with what to do, and is not touched', () => {
    const name = `damaged-${process.pid}`;
    const home = clusterHome(name);
    mkdirSync(join(home, 'data'), { recursive: true });
    writeFileSync(join(home, 'data', 'leftover'), 'x');
    const r = node(
      `import { startCluster } from './scripts/database.mjs'; try { await startCluster('${name}'); console.log('started'); } catch (e) { console.log(e.message); }`,
    );
    rmSync(home, { recursive: true, force: true });
    expect(r.stdout).toMatch(/is damaged.*Move it away to begin afresh, or set DATABASE_URL/);
  });
  it('without a package manager it says what to install', () => {
    const r = node(
      "import { aptInstall } from './scripts/lib.mjs'; try { await aptInstall(['postgresql'], 'PostgreSQL is not installed.'); } catch (e) { console.log(e.message); }",
      { PATH: mkdtempSync('/tmp/nopath-') },
    );
    expect(r.stdout + r.stderr).toMatch(/no apt-get: install postgresql by hand/);
  });
});

describe('the build stamp', () => {
  it('is the same for the same sources and long enough to trust', () => {
    const code = "import { sourceStamp } from './scripts/lib.mjs'; console.log(sourceStamp());";
    const [a, b] = [node(code).stdout.trim(), node(code).stdout.trim()];
    expect(a).toMatch(/^[0-9a-f]{64}$/);
    expect(b).toBe(a);
  });
});

describe('written pages', () => {
  const page = (name: string) => readFileSync(join(root, name), 'utf8');
  it('docs/safety.md is the one of this code (npm run safety)', () =>
    expect(page('docs/safety.md')).toBe(safetyPage()));
  it('THIRD-PARTY.md is the one of this lock file (npm run notices)', () => {
    expect(page('THIRD-PARTY.md')).toBe(noticesPage(root));
    for (const name of ['react', 'next', 'drizzle-orm', 'mathjs'])
      expect(page('THIRD-PARTY.md')).toContain(`| ${name} |`);
    expect(page('THIRD-PARTY.md')).not.toMatch(/not installed here/);
  });
  it('packages for development, for one machine, or our own are not in it', () => {
    const names = shippedPackages({
      packages: {
        '': {},
        'node_modules/a': { version: '1.0.0', license: 'MIT' },
        'node_modules/b': { version: '1.0.0', dev: true },
        'node_modules/c': { version: '1.0.0', os: ['linux'] },
        'node_modules/d': { link: true },
        'node_modules/a/node_modules/e': { version: '2.0.0' },
      },
    }).map((p: { name: string }) => p.name);
    expect(names).toEqual(['a', 'e']);
  });
});

describe('CONTRIBUTING.md', () => {
  const page = readFileSync(join(root, 'CONTRIBUTING.md'), 'utf8');
  const rows = [...page.matchAll(/^\| [^|]+ \| `([^`]+)` \| `([^`]+)` ((?:`\w+`(?:, )?)+) \|$/gm)];
  it('names twenty formulas and more', () => expect(rows.length).toBeGreaterThanOrEqual(20));
  it.each(rows.map(([, step, file, names]) => [step, file, names]))(
    '%s and %s: the formula stands there, and the step calls for it',
    (step, file, names) => {
      expect(readFileSync(join(root, 'core/src', step), 'utf8')).toMatch(/step\(\{/);
      const source = readFileSync(join(root, 'core/src', file), 'utf8');
      for (const [, name] of names.matchAll(/`(\w+)`/g))
        expect(source, name).toMatch(new RegExp(`export function ${name}\\b`));
    },
  );
});
