export * from './material.js';
export * from './stock.js';
