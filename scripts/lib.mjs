// Shared by the start and test commands. Node built-ins only, so that it runs before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
export const DATA = join(ROOT, '.data');

/** Something a person can mend; printed as one sentence. */
export class Plain extends Error {}

export const isRoot = () => process.getuid?.() === 0;

export function have(command) {
  return spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0;
}

/** Runs a command with its output shown; throws a plain sentence when it fails. */
export function run(command, args, { env = {}, cwd = ROOT, what } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd, stdio: 'inherit', env: { ...process.env, ...env } });
    child.on('error', (e) => reject(new Plain(`${what ?? command} could not be started: ${e.message}.`)));
    child.on('exit', (code, signal) =>
      code === 0
        ? resolve()
        : reject(new Plain(`${what ?? command} failed (${signal ?? `status ${code}`}).`)),
    );
  });
}

export function requireNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 9))
    throw new Plain(`Node ${process.versions.node} is too old; version 20.9 or newer is needed.`);
}

/** npm install when the lock file is newer than what is installed. */
export async function installPackages() {
  const mark = join(ROOT, 'node_modules/.package-lock.json');
  const lock = join(ROOT, 'package-lock.json');
  const stamp = join(ROOT, 'node_modules/.skiametra-lock');
  const wanted = createHash('sha256').update(readFileSync(lock)).digest('hex');
  if (existsSync(mark) && existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Installing packages …');
  await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { what: 'Installing packages' });
  writeFileSync(stamp, wanted);
}

/** Installs Debian packages; says what to do where that is not possible. */
export async function aptInstall(packages, why) {
  const sudo = isRoot() ? [] : have('sudo') ? ['sudo'] : null;
  if (!have('apt-get'))
    throw new Plain(
      `${why} This machine has no apt-get: install ${packages.join(' and ')} by hand and start again.`,
    );
  if (sudo === null)
    throw new Plain(
      `${why} Run this as root or with sudo, or install ${packages.join(' and ')} by hand and start again.`,
    );
  console.log(`${why} Installing ${packages.join(', ')} …`);
  const [cmd, ...pre] = [...sudo, 'apt-get'];
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  await run(cmd, [...pre, 'update', '-qq'], { env, what: 'apt-get update' });
  await run(cmd, [...pre, 'install', '-y', '-qq', '--no-install-recommends', ...packages], {
    env,
    what: `Installing ${packages.join(', ')}`,
  });
}

export function portFree(port) {
  return new Promise((resolve) => {
    const server = net.createServer();
    server.once('error', () => resolve(false));
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)));
  });
}

export function freePort() {
  return new Promise((resolve, reject) => {
    const server = net.createServer();
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

function* filesUnder(dir) {
  for (const e of readdirSync(dir, { withFileTypes: true })) {
    if (['node_modules', '.next', 'e2e', 'test-results', 'playwright-report'].includes(e.name)) continue;
    const path = join(dir, e.name);
    if (e.isDirectory()) yield* filesUnder(path);
    else yield path;
  }
}

/** A key of everything the build reads. */
export function sourceStamp() {
  const hash = createHash('sha256');
  for (const dir of ['web', 'core/src', 'formats', 'devices']) {
    for (const f of [...filesUnder(join(ROOT, dir))].sort()) {
      if (f.endsWith('next-env.d.ts') || f.endsWith('.tsbuildinfo')) continue;
      hash.update(relative(ROOT, f)).update(readFileSync(f));
    }
  }
  return hash.update(readFileSync(join(ROOT, 'package-lock.json'))).digest('hex');
}

/** Production build, skipped when nothing it reads has changed. */
export async function build() {
  const stamp = join(ROOT, 'web/.next/skiametra-stamp');
  const now = sourceStamp();
  if (
    existsSync(stamp) &&
    existsSync(join(ROOT, 'web/.next/BUILD_ID')) &&
    readFileSync(stamp, 'utf8') === now
  )
    return;
  console.log('Building …');
  await run(process.execPath, [join(ROOT, 'node_modules/next/dist/bin/next'), 'build'], {
    cwd: join(ROOT, 'web'),
    env: { NEXT_TELEMETRY_DISABLED: '1' },
    what: 'The build',
  });
  writeFileSync(stamp, now);
}

export function ensureDir(dir, mode = 0o755) {
  if (!existsSync(dir)) mkdirSync(dir, { recursive: true, mode });
  return dir;
}

/** Prints a plain error as one sentence and ends with status 1. */
export function fail(e) {
  console.error(e instanceof Plain ? `\n${e.message}` : e);
  process.exitCode = 1;
}
