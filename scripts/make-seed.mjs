import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { ROOT } from './lib.mjs';

// A fresh database takes some five seconds to make and one to unpack.
const client = new PGlite();
await client.waitReady;
const dump = await client.dumpDataDir('none');
writeFileSync(join(ROOT, 'build/seed.tar'), new Uint8Array(await dump.arrayBuffer()));
await client.close();
