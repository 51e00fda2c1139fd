export * from './ends.js';
