export * from './contact.js';
export * from './driven.js';
export * from './fixing.js';
export * from './pressed.js';
export * from './ends.js';
export * from './along.js';
export * from './placed.js';
export * from './clashes.js';
