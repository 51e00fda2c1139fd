export * from './ends.js';
export * from './slips.js';
export * from './pins.js';
export * from './passes.js';
export * from './kept.js';
export * from './pocket.js';
