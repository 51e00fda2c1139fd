import type { WoodToBuy } from '../layout/buy.js';
import type { FittingLine } from '../layout/fittings.js';
import { formatLength, type Precision } from '../length/index.js';
import { boughtText } from './bought-text.js';
import { csvOf } from './csv.js';

/**
 * What to buy as CSV: wood by whole sheets and boards, then what is bought besides. @param fittings how much, of what, in how many packs, and for how much
 * @example toBuyCsv([], [], { unit: 'mm', step: mm(0.5) }).trim().split('\n').length // 1
 */
export function toBuyCsv(
  wood: readonly WoodToBuy[],
  fittings: readonly Pick<FittingLine, 'bought' | 'packs' | 'money'>[],
  precision: Precision,
): string {
  const size = (w: WoodToBuy) => `${formatLength(w.length, precision)} x ${formatLength(w.width, precision)} ${precision.unit}`;
  return csvOf([
    ['quantity', 'what', 'size', 'price of one', 'price in all'],
    ...wood.map((w) => [w.count, w.name, size(w), w.each ?? '', w.money ?? '']),
    ...fittings.map(({ bought, packs, money }) => [...boughtText(bought, precision), packs ? `${packs} packs` : '', '', money ?? '']),
  ]);
}
