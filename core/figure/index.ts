export * from './figure.js';
export * from './column.js';
export * from './sentence.js';
export * from './are-alike.js';
export * from './as-before.js';
export { grouped } from './grouped.js';
export { writeMoney } from './money.js';
export { inTerms, termsOf, type Terms } from './terms.js';
