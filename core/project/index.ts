export * from './records.js';
export * from './workshop.js';
export * from './record-name.js';
export * from './person.js';
