export * from './solve.js';
export * from './compare.js';
export * from './ids.js';
export * from './remedies.js';
export * from './tape.js';
