import type { Figure } from '../figure/index.js';
import { add } from '../length/index.js';
import { facingFrame, type Member, type Place } from '../piece/index.js';
import type { Stock } from '../stock/index.js';

/**
 * A back so high and so wide, its grain upright where its sheet is long enough for that, else across. It is
 * given by its lower left corner.
 */
export function inItsSheet(high: Figure, wide: Figure, { x, y, z }: Place, sheet: Stock): Pick<Member, 'length' | 'width' | 'frame'> {
  const goes = (length: Figure, width: Figure) => length.value <= sheet.length && width.value <= sheet.width;
  if (!goes(high, wide) && goes(wide, high)) return { length: wide, width: high, frame: facingFrame({ x, y, z }) };
  return { length: high, width: wide, frame: { origin: { x: add(x, wide.value), y, z }, u: [0, 1, 0], v: [-1, 0, 0], n: [0, 0, 1] } };
}
