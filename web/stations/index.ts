import { build } from './build/index.js';
import { carry } from './carry/index.js';
import { divide } from './divide/index.js';
import { log } from './log/index.js';
import { measure } from './measure/index.js';
import { parts } from './parts/index.js';
import { stock } from './stock/index.js';
import type { Station } from './station.js';

/** The stations of a piece, in the order of the work. */
export const STATIONS: readonly Station[] = [measure, divide, carry, parts, stock, build, log];
