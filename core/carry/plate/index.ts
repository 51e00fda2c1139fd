export * from './plate.js';
export * from './navier.js';
export * from './strips.js';
