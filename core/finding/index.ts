export * from './check.js';
export * from './leaning.js';
