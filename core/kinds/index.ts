export * from './schema.js';
export * from './named.js';
export * from './edit.js';
export { EditError } from './space-edit.js';
