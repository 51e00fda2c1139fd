import { ensureBuilt, ensureInstalled } from './lib.mjs';

ensureInstalled();
await ensureBuilt();
const { hard } = await import('../build/node/hard/main.js');
const [share = '1', ...only] = process.argv.slice(2);
const lost = await hard(Number(share), only);
process.exit(lost === 0 ? 0 : 1);
