// `npm run access`: the rules of WCAG 2.2 AA on every station and tab of every demo, light and dark. Half an hour: the test
// command tries one demo.
import { join } from 'node:path';
import { startCluster } from './database.mjs';
import { DATA, ROOT, build, ensureDir, fail, freePort, requireNode, run } from './lib.mjs';

async function main() {
  requireNode();
  const cluster = await startCluster('access-postgres', { throwaway: true });
  try {
    await build();
    await run(
      process.execPath,
      [
        join(ROOT, 'node_modules/@playwright/test/cli.js'),
        'test',
        '--config',
        join(ROOT, 'web/playwright.config.ts'),
        'looks',
        '--grep',
        'keeps the rules',
      ],
      {
        env: {
          ACCESS: 'all',
          DATABASE_URL: cluster.url('skiametra_access'),
          E2E_PORT: String(await freePort()),
          PLAYWRIGHT_JSON_OUTPUT_NAME: join(ensureDir(join(DATA, 'results')), 'access.json'),
        },
        what: 'The rules of access',
      },
    );
  } finally {
    cluster.stop();
  }
}

main().catch(fail);
