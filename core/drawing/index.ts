export * from './shapes.js';
export * from './views.js';
