import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { defineConfig } from '@playwright/test';

const here = dirname(fileURLToPath(import.meta.url));
const port = Number(process.env.E2E_PORT ?? 3210);

/** The production build on a database of its own; Debian's Chromium. */
export default defineConfig({
  testDir: join(here, 'e2e'),
  outputDir: join(here, 'test-results'),
  // two: while one page waits for its sections the other works
  workers: 2,
  retries: 1,
  timeout: 150_000,
  expect: { timeout: 20_000 },
  // the walk changes the demo that others look at: it goes by itself, when they are done
  projects: [
    { name: 'all', testIgnore: /walk\.spec/ },
    { name: 'walk', testMatch: /walk\.spec/, dependencies: ['all'] },
  ],
  reporter: [['list'], ['json']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
    trace: 'on-first-retry',
  },
  webServer: {
    command: `node --import tsx e2e/prepare.ts && PORT=${port} node serve.mjs`,
    cwd: here,
    url: `http://127.0.0.1:${port}/api/health`,
    timeout: 180_000,
    reuseExistingServer: false,
    env: {
      NEXT_TELEMETRY_DISABLED: '1',
      NODE_ENV: 'production',
      DATABASE_URL: process.env.DATABASE_URL ?? '',
    },
  },
});
