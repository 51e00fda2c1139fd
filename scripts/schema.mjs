import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, ensureBuilt } from './lib.mjs';

// The published schema and contract are written from those that server and command hold files and requests against.
await ensureBuilt();
const { publishedSchema } = await import('../build/node/core/formats/index.js');
const { contract } = await import('../build/node/server/contract.js');
const write = (name, value) => writeFileSync(join(ROOT, 'docs', name), `${JSON.stringify(value, null, 2)}\n`);
write('project.schema.json', publishedSchema());
write('api.json', await contract());
