import { ensureBuilt, ensureInstalled } from './lib.mjs';

ensureInstalled();
ensureBuilt();
await import('../build/server/main.js');
