import { formatLength, toMm, type Length, type Precision } from '../length/index.js';
import type { Bought } from '../piece/index.js';
import { oneOf } from '../solution/index.js';
import { inShop, soldBy } from './sold-by.js';

/**
 * How much of a thing, and what it is: "12" and "wood screws No. 8, 40 mm"; of a run its whole length first.
 * @example boughtText({ what: 'shelf pins Ø5', count: 4, each: 'piece' }, { unit: 'mm', step: mm(0.1) }) // ['4', 'shelf pins Ø5']
 */
export function boughtText({ what, length, thick, count, each }: Bought, precision: Precision): readonly [string, string] {
  const write = (l: Length) => `${formatLength(l, precision)} ${precision.unit}`;
  const counted = (amount: number) => `${inShop(amount, each, precision.unit)} ${soldBy(each, precision.unit).short}`;
  if (each === 'run' && length !== undefined)
    return [counted(toMm(length) / 1000), `${what}${thick === undefined ? '' : `, ${write(thick)} thick`}`];
  if (each === 'litre') return [counted(count), what];
  return [
    `${count}`,
    `${count === 1 ? oneOf(what) : what}${length === undefined ? '' : `, ${write(length)}`}${each === 'pair' ? ', pairs' : ''}`,
  ];
}
