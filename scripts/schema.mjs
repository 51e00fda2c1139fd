import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, ensureBuilt } from './lib.mjs';

// The published schema is written from the one that server and command hold files against.
ensureBuilt();
const { publishedSchema } = await import('../build/node/core/formats/index.js');
writeFileSync(join(ROOT, 'docs/project.schema.json'), `${JSON.stringify(publishedSchema(), null, 2)}\n`);
