export * from './list.js';
export * from './causes.js';
export * from './against.js';
export * from './stands-there.js';
