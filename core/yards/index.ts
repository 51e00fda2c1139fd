import type { LengthUnit } from '../length/index.js';
import type { Slide, Stock } from '../stock/index.js';
import { INCH_SLIDES, INCH_STOCK } from './inch.js';
import { METRIC_SLIDES, METRIC_STOCK } from './metric.js';

/** What a stockroom is begun with, by the ids it is kept under. */
export interface Yard {
  readonly stock: Readonly<Record<string, Stock>>;
  readonly slides: Readonly<Record<string, Slide>>;
}

/** The usual stock of a yard that sells in a unit, without prices: those are typed, as they are asked. @example yardOf('in').stock['fir-2x4'].name // 'Fir 2 x 4' */
export const yardOf = (unit: LengthUnit): Yard =>
  unit === 'mm' ? { stock: METRIC_STOCK, slides: METRIC_SLIDES } : { stock: INCH_STOCK, slides: INCH_SLIDES };
