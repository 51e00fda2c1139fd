export * from './wanted.js';
export * from './program.js';
export * from './laid.js';
export * from './cuts.js';
export * from './boards/index.js';
export * from './sheets/index.js';
