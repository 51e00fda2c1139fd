export * from './letters.js';
export * from './hand.js';
export * from './parts.js';
export * from './edging.js';
export { doneText, edgesText, holesText, machiningText } from './marking.js';
export { edgeName, faceName } from './sides.js';
export { aslantText, lostBySlope, upEdge } from './aslant.js';
