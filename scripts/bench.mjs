import { ensureBuilt, ensureInstalled } from './lib.mjs';

ensureInstalled();
await ensureBuilt();
const { bench } = await import('../build/node/bench/main.js');
await bench();
