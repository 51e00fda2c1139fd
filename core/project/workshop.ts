import { size, type Figure } from '../figure/index.js';
import type { Opening } from '../survey/index.js';
import type { Stock } from '../stock/index.js';
import type { Thing } from '../things/index.js';
import type { Settings } from './records.js';

/** Everything outside a piece that its solution rests on. */
export interface Workshop {
  readonly settings: Settings;
  readonly openings: ReadonlyMap<string, Opening>;
  readonly things: ReadonlyMap<string, Thing>;
  readonly stock: ReadonlyMap<string, Stock>;
}

/** The measured thickness of a stock as a figure that leads back to its record. */
export function thicknessOf(stockId: string, stock: Stock): Figure {
  return size(stock.name, stock.thickness, { kind: 'stock', ref: `stock:${stockId}` });
}
