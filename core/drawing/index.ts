export * from './shapes.js';
export * from './views.js';
export * from './solids.js';
export * from './pictorial.js';
export * from './full-size.js';
export * from './apart.js';
