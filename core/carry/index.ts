export * from './beam.js';
export * from './section.js';
export * from './creep.js';
export * from './verdict.js';
export * from './carry.js';
export * from './placed-beam.js';
export * from './standing.js';
