// An empty database, which a new data folder begins with: a copy of it is made at once.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { ROOT } from './lib.mjs';

const seed = join(ROOT, 'build/seed');
rmSync(seed, { recursive: true, force: true });
const client = await PGlite.create(seed);
await migrate(drizzle(client), { migrationsFolder: join(ROOT, 'server/data/migrations') });
await client.close();
