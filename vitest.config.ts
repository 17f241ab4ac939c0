import { defineConfig } from 'vitest/config';

const parts = (list: string) => `{${list}}/**/*.test.ts`;

const STORE = 'web/parts/workspace/store.test.ts';

export default defineConfig({
  test: {
    globalSetup: ['core/testing/polarStore.ts'],
    testTimeout: 90_000,
    hookTimeout: 240_000,
    // two cores: one worker for the heavy files, one for the rest
    maxWorkers: 2,
    projects: [
      {
        extends: true,
        test: {
          name: 'long',
          include: ['core/validation/sectionRobust.test.ts', 'core/src/views/layoutReport.test.ts'],
          setupFiles: ['core/testing/setup.ts'],
          isolate: false,
          // what takes longest begins first
          sequence: { groupOrder: 0 },
        },
      },
      {
        extends: true,
        test: {
          name: 'core',
          include: [parts('core,formats,devices,cli')],
          exclude: [
            '**/node_modules/**',
            'core/validation/sectionRobust.test.ts',
            'core/src/views/layoutReport.test.ts',
          ],
          setupFiles: ['core/testing/setup.ts'],
          // no file replaces a module: one worker keeps them, and the polars, from file to file
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'web',
          include: [parts('web/parts,web/stations,web/workers')],
          exclude: ['**/node_modules/**', STORE],
          setupFiles: ['core/testing/setup.ts'],
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          // each with modules, a database or a server of its own
          name: 'apart',
          include: [parts('web/server,scripts'), STORE],
          exclude: ['**/node_modules/**'],
        },
      },
    ],
  },
});
