export * from './spec.js';
export * from './blanks.js';
export * from './supply.js';
export * from './plan.js';
export * from './sums.js';
export * from './names.js';
