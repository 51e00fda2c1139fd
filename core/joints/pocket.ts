import { mm, type Length } from '../length/index.js';

/** Lengths of pocket screws for the stock they join, by its thickness, both in mm: about one and three quarters of it. */
const POCKET_LENGTHS: readonly (readonly [upTo: number, length: number])[] = [
  [13, 25],
  [16, 25],
  [20, 32],
  [26, 38],
  [32, 50],
  [40, 64],
];

/** How wide a pocket hole is. */
export const POCKET_HOLE = mm(9.5);

/** The usual pocket screw for a stock; null for stock too thin or thick for one. @example pocketScrewLength(mm(8)) // null */
export function pocketScrewLength(thickness: Length): Length | null {
  if (thickness < mm(12)) return null;
  const found = POCKET_LENGTHS.find(([upTo]) => thickness <= mm(upTo));
  return found ? mm(found[1]) : null;
}
