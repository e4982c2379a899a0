import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'sqlite',
  schema: './src/lib/server/practice/schema.ts',
  out: './drizzle/practice'
});
