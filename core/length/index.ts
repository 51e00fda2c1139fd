export * from './length.js';
export * from './format.js';
export * from './parse.js';
export * from './schema.js';
