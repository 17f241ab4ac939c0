import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'postgresql',
  schema: './web/server/schema.ts',
  out: './web/server/migrations',
});
