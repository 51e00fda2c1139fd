// Packs the files of the page once, so that the server need not with every answer.
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { ROOT } from './lib.mjs';

const folder = join(ROOT, 'build/web/assets');
const WORTH = /\.(js|css|wasm)$/;

for (const name of readdirSync(folder).filter((n) => WORTH.test(n))) {
  const path = join(folder, name);
  const bytes = readFileSync(path);
  writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }));
  writeFileSync(`${path}.br`, brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }));
}
