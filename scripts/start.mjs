import { ensureBuilt, ensureInstalled } from './lib.mjs';

ensureInstalled({ toTest: false });
await ensureBuilt();
await import('../build/server/main.js');
