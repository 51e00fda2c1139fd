import { cpSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './lib.mjs';

cpSync(join(ROOT, 'server/data/migrations'), join(ROOT, 'build/node/server/data/migrations'), { recursive: true });
