// `npm test`: install, lint, types, unit and outside checks, then the real interface against a real database.
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { startCluster } from './database.mjs';
import {
  DATA,
  ROOT,
  aptInstall,
  build,
  ensureDir,
  fail,
  freePort,
  have,
  installPackages,
  requireNode,
  run,
} from './lib.mjs';

const bin = (path) => join(ROOT, 'node_modules', path);
const started = Date.now();
const step = (name) => console.log(`\n── ${name} (${Math.round((Date.now() - started) / 1000)} s)`);

/** Runs one step; a failure is remembered so that later steps still report. */
async function attempt(task) {
  try {
    await task();
    return true;
  } catch (e) {
    fail(e);
    return false;
  }
}

function count(path, read) {
  return existsSync(path) ? read(JSON.parse(readFileSync(path, 'utf8'))) : { passed: 0, failed: 1 };
}

/** What can be told without running anything. Each is one thread: together they take two cores. */
function checkedAtRest() {
  const node = (what, ...args) => attempt(() => run(process.execPath, args, { what }));
  const prettier = bin('prettier/bin/prettier.cjs');
  return Promise.all([
    node('Prettier (npm run format puts it right)', prettier, '--check', '.', '--log-level=warn'),
    node('Lint', bin('eslint/bin/eslint.js'), '.', '--max-warnings=0'),
    node('The type check', join(ROOT, 'scripts/typecheck.mjs')),
    node('Code that nobody uses (knip)', bin('knip/bin/knip.js'), '--no-progress'),
  ]);
}

async function main() {
  requireNode();
  await installPackages();
  if (!have('chromium'))
    await aptInstall(['chromium'], 'Chromium is not installed; the browser tests need it.');
  const out = ensureDir(join(DATA, 'results'));
  for (const f of ['unit.json', 'browser.json']) rmSync(join(out, f), { force: true });
  const cluster = process.env.DATABASE_URL ? null : await startCluster('test-postgres', { throwaway: true });
  // on a server of the user's: databases of our own beside theirs
  const url = (db) =>
    cluster?.url(db) ?? Object.assign(new URL(process.env.DATABASE_URL), { pathname: `/${db}` }).toString();
  process.on('SIGINT', () => {
    cluster?.stop();
    process.exit(130);
  });
  let ok = true;
  try {
    step('format, lint, types, unused code');
    const still = await checkedAtRest();
    ok = ok && still.every(Boolean);
    step('unit and outside checks');
    ok =
      (await attempt(() =>
        run(
          process.execPath,
          [
            bin('vitest/vitest.mjs'),
            'run',
            '--reporter=default',
            '--reporter=json',
            `--outputFile.json=${join(out, 'unit.json')}`,
          ],
          { env: { DATABASE_URL: url('skiametra_unit') }, what: 'Unit tests' },
        ),
      )) && ok;
    step('build');
    const built = await attempt(build);
    ok = ok && built;
    if (built) {
      step('browser');
      const port = String(await freePort());
      ok =
        (await attempt(() =>
          run(
            process.execPath,
            [bin('@playwright/test/cli.js'), 'test', '--config', join(ROOT, 'web/playwright.config.ts')],
            {
              env: {
                DATABASE_URL: url('skiametra_browser'),
                E2E_PORT: port,
                PLAYWRIGHT_JSON_OUTPUT_NAME: join(out, 'browser.json'),
              },
              what: 'Browser tests',
            },
          ),
        )) && ok;
    }
  } finally {
    cluster?.stop();
  }
  const unit = count(join(out, 'unit.json'), (j) => ({
    passed: j.numPassedTests,
    failed: j.numFailedTests + (j.numFailedTestSuites > 0 && j.numFailedTests === 0 ? 1 : 0),
  }));
  const browser = count(join(out, 'browser.json'), (j) => ({
    passed: j.stats.expected + j.stats.flaky,
    failed: j.stats.unexpected,
  }));
  const failed = unit.failed + browser.failed;
  console.log(`\nunit: ${unit.passed} passed, ${unit.failed} failed`);
  console.log(`browser: ${browser.passed} passed, ${browser.failed} failed`);
  console.log(`total: ${unit.passed + browser.passed} passed, ${failed || (ok ? 0 : 1)} failed`);
  process.exit(ok && failed === 0 ? 0 : 1);
}

main().catch(fail);
