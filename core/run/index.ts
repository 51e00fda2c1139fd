export * from './rule.js';
export * from './types.js';
export * from './solve.js';
export * from './inverse.js';
