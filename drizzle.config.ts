import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'postgresql',
  schema: './server/storage/schema.ts',
  out: './server/storage/migrations',
  casing: 'snake_case',
});
