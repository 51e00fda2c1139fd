import { parentPort } from 'node:worker_threads';
import { tryFile } from './files.js';

// One file after the other, each told when it is begun and what came of it.
parentPort?.on('message', (seed: number) => {
  parentPort?.postMessage(tryFile(seed));
});
