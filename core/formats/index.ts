export * from './project-file.js';
export * from './faults.js';
export * from './validate.js';
export * from './references.js';
export * from './read.js';
export { RECORD_KINDS, VERSION, foundIn, idOfFound, recordBroughtUp } from './versions/index.js';
export * from './parts-csv.js';
export * from './report.js';
export * from './things-csv.js';
