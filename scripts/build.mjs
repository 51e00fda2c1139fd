import { ensureBuilt, ensureInstalled } from './lib.mjs';

ensureInstalled({ toTest: false });
await ensureBuilt();
