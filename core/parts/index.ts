export * from './letters.js';
export * from './hand.js';
export * from './parts.js';
export { edgesText, holesText, machiningText } from './marking.js';
export { faceName } from './sides.js';
