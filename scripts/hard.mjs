import { ensureBuilt, ensureInstalled } from './lib.mjs';

ensureInstalled();
ensureBuilt();
const { hard } = await import('../build/node/hard/main.js');
const lost = await hard(Number(process.argv[2] ?? 1));
process.exit(lost === 0 ? 0 : 1);
