import { inch, mm, type Length, type LengthUnit } from '../length/index.js';

/** Lengths of pocket screws for the stock they join, by its thickness, mm, as they are sold: about one and three quarters of it. */
const POCKET_LENGTHS: readonly (readonly [upTo: number, sold: Readonly<Record<LengthUnit, Length>>])[] = [
  [16, { mm: mm(25), in: inch(1) }],
  [20, { mm: mm(32), in: inch(1.25) }],
  [26, { mm: mm(38), in: inch(1.5) }],
  [32, { mm: mm(50), in: inch(2) }],
  [40, { mm: mm(64), in: inch(2.5) }],
];

/** How wide a pocket hole is. */
export const POCKET_HOLE = mm(9.5);

/** The usual pocket screw for a stock; null for stock too thin or thick for one. @example pocketScrewLength(mm(8), 'mm') // null */
export function pocketScrewLength(thickness: Length, unit: LengthUnit): Length | null {
  if (thickness < mm(12)) return null;
  return POCKET_LENGTHS.find(([upTo]) => thickness <= mm(upTo))?.[1][unit] ?? null;
}
