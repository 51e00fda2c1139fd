export * from './thing.js';
export * from './arrange.js';
export * from './sample-sets.js';
export * from './fill.js';
export * from './feet.js';
export * from './least-area.js';
