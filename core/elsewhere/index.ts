export * from './list.js';
export * from './causes.js';
export * from './against.js';
