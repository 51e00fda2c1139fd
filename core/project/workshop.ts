import { size, type Figure } from '../figure/index.js';
import { mm, type Length } from '../length/index.js';
import { builtOf, type Built, type BuiltReading } from '../survey/built.js';
import { madeOf, type Made, type MadePart } from '../survey/made.js';
import type { Opening } from '../survey/index.js';
import type { Slide, Stock } from '../stock/index.js';
import type { Thing } from '../things/index.js';
import type { Person, Settings } from './records.js';

/** Everything outside a piece that its solution rests on. */
export interface Workshop {
  readonly settings: Settings;
  readonly openings: ReadonlyMap<string, Opening>;
  readonly things: ReadonlyMap<string, Thing>;
  readonly stock: ReadonlyMap<string, Stock>;
  readonly slides: ReadonlyMap<string, Slide>;
  readonly people: ReadonlyMap<string, Person>;
  /** What the tape found in the piece that is solved, once it stood there; none where it is left out. */
  readonly built?: Built;
  /** Its parts that are cut already, as the tape found them; none where it is left out. */
  readonly made?: Made;
  /** What the space of another piece measures now that it is made to fit; null where that is gone, left out where it is made to fit none. */
  readonly within?: Within | null;
}

/** A space of another piece that a piece is made to fit. */
export interface Within {
  readonly name: string;
  readonly clear: { readonly width: Length; readonly height: Length; readonly depth: Length };
}

/**
 * What one piece is solved with: the workshop, what the tape found in it once it stood there, and its parts that are cut. @param readings and `made` in the order they were added
 * @example workshopFor(SHOP, [], 'case').built.size // 0
 */
export function workshopFor(
  workshop: Workshop,
  readings: Iterable<BuiltReading>,
  pieceId: string,
  made: Iterable<MadePart> = [],
): Workshop {
  return { ...workshop, built: builtOf(readings, pieceId), made: madeOf(made, pieceId) };
}

/** The measured thickness of a stock as a figure that leads back to its record. @example thicknessOf('ply', PLY).value // mm(20) */
export function thicknessOf(stockId: string, stock: Stock): Figure {
  return size(stock.name, stock.thickness, { in: 'stock', id: stockId, field: 'thickness' });
}

/** A stock record with its id and its measured thickness. */
export interface Wood {
  readonly id: string;
  readonly stock: Stock;
  readonly thickness: Figure;
}

/** What stands in for a stock that is no longer there, so that the rest can be drawn; its absence is a problem of its own. */
const STAND_IN: Stock = {
  name: 'missing stock',
  form: 'sheet',
  material: 'birch-plywood',
  nominal: mm(18),
  thickness: mm(18),
  length: mm(2440),
  width: mm(1220),
};

/** The wood of a stock id, or a stand-in of 18 where there is none. @example woodOf(SHOP, 'ply').stock // PLY */
export function woodOf(workshop: Pick<Workshop, 'stock'>, id: string): Wood {
  const stock = workshop.stock.get(id) ?? STAND_IN;
  const known = woods.get(stock);
  if (known?.id === id) return known;
  const wood = { id, stock, thickness: thicknessOf(id, stock) };
  woods.set(stock, wood);
  return wood;
}

/** Stock never changes, so that all that is made of it is made of the very same wood. */
const woods = new WeakMap<Stock, Wood>();
