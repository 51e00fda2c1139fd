export * from './rule.js';
export * from './types.js';
export * from './solve.js';
export { isFree } from './share.js';
export * from './inverse.js';
