import type { WoodToBuy } from '../layout/buy.js';
import { formatLength, type Precision } from '../length/index.js';
import { csvOf } from './csv.js';

/** What to buy as CSV: wood by whole sheets and boards, then what is bought besides. @param fittings how much, and of what */
export function toBuyCsv(wood: readonly WoodToBuy[], fittings: readonly (readonly [string, string])[], precision: Precision): string {
  const size = (w: WoodToBuy) => `${formatLength(w.length, precision)} x ${formatLength(w.width, precision)} ${precision.unit}`;
  return csvOf([
    ['quantity', 'what', 'size', 'price of one', 'price in all'],
    ...wood.map((w) => [w.count, w.name, size(w), w.each ?? '', w.money ?? '']),
    ...fittings.map(([amount, what]) => [amount, what, '', '', '']),
  ]);
}
