export * from './learnt.js';
export * from './owner.js';
