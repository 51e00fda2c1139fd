export * from './solve.js';
export * from './compare.js';
export * from './remedies/index.js';
export * from './drawn-out.js';
export * from './tape.js';
export * from './cost.js';
export * from './verdict-counts.js';
export * from './bought.js';
