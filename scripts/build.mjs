import { ensureBuilt } from './lib.mjs';

ensureBuilt();
