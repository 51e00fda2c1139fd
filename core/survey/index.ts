export * from './opening.js';
export * from './room.js';
