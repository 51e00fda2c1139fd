export * from './plate.js';
export * from './navier.js';
