export * from './built.js';
export * from './opening.js';
export * from './room.js';
export * from './made.js';
