import { ensureBuilt, ensureInstalled } from './lib.mjs';

ensureInstalled();
ensureBuilt();
await import('../build/node/server/main.js');
