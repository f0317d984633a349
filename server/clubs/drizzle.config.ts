import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'postgresql',
  schema: './server/clubs/register-schema.ts',
  out: './server/clubs/migrations',
  casing: 'snake_case',
});
