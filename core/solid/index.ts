export * from './chord.js';
export * from './contact.js';
export { placesOf, type Convex, type Face, type Plane } from './convex.js';
export * from './profile.js';
export * from './silhouette.js';
export * from './solid.js';
export * from './vector.js';
export * from './way-out.js';
