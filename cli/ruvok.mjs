#!/usr/bin/env node
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const built = new URL('../build/cli/entry.js', import.meta.url);
if (!existsSync(fileURLToPath(built))) {
  console.error('Ruvok is not built yet. Run `npm run build` once.');
  process.exit(2);
}
const { main } = await import(built);
process.exitCode = await main(process.argv.slice(2), process.stdout, process.stderr);
