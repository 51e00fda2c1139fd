export * from './candidate.js';
export * from './common.js';
export * from './ids.js';
