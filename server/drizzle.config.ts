import { defineConfig } from 'drizzle-kit';

export default defineConfig({ dialect: 'postgresql', schema: './server/data/schema.ts', out: './server/data/migrations' });
