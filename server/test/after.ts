import { closeIdle } from './database.js';

const set = globalThis.setTimeout;

/** The embedded database leaves its clock running when it is closed, which would keep a test process from its end. */
globalThis.setTimeout = Object.assign((...given: Parameters<typeof set>) => {
  const timer = set(...given);
  if (String(given[0]).includes('__emscripten_timeout')) timer.unref();
  return timer;
}, set) as typeof set;

afterAll(closeIdle);
