export * from './spec.js';
export * from './member.js';
export * from './tree.js';
export * from './edit.js';
export * from './shape.js';
