// One figure both ways: a mass that becomes a force and is written as a weight again is the same mass.
export { GRAVITY } from '../figure/index.js';
