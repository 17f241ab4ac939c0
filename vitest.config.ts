import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{core,formats,devices,cli,web,scripts}/**/*.test.ts'],
    exclude: ['**/node_modules/**', '**/.next/**', 'web/e2e/**'],
    globalSetup: ['core/testing/polarStore.ts'],
    setupFiles: ['core/testing/setup.ts'],
    testTimeout: 90_000,
    hookTimeout: 240_000,
    // two cores: one worker for the heavy files, one for the rest
    maxWorkers: 2,
  },
});
