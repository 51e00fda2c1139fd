export * from './thing.js';
export * from './arrange.js';
