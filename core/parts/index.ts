export * from './letters.js';
export * from './hand.js';
export * from './parts.js';
