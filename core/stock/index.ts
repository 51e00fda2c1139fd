export * from './material.js';
export * from './slide.js';
export * from './stock.js';
export * from './hardware.js';
