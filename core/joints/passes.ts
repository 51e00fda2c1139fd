import { ZERO, add, fromUnits, mm, sub, type Length } from '../length/index.js';

/** The usual kerf of a circular saw blade, where none was measured. */
export const USUAL_KERF = mm(3);

/** Nobody sets a fence more often for one channel; a blade that would ask for it is told as none. */
const MOST_PASSES = 1000;

/**
 * Where the fence is set for each pass of a blade that cuts a channel wider than itself:
 * evenly spaced, the first at the near edge and the last short of the far edge by the kerf.
 * @example bladePasses(mm(78), mm(15), mm(2.6)).map(toMm) // [78, 80.48, 82.96, 85.44, 87.92, 90.4]
 */
export function bladePasses(near: Length, width: Length, kerf: Length): readonly Length[] {
  if (width <= kerf) return [near];
  const count = Math.min(MOST_PASSES, Math.ceil(width / kerf));
  const step = (width - kerf) / (count - 1);
  return Array.from({ length: count }, (_, i) => fromUnits(near + step * i));
}

/** Strips ripped from a board, and what is left of it after as many cuts. */
export interface RipYield {
  readonly strips: number;
  readonly left: Length;
}

/**
 * How many pieces of a length come from another, a kerf lost between each two.
 * @example piecesFrom(mm(2400), mm(300), mm(3)) // 7
 */
export function piecesFrom(whole: Length, piece: Length, kerf: Length): number {
  return Math.max(0, Math.floor((whole + kerf) / (piece + kerf)));
}

/**
 * How many strips of a width come out of a board, a kerf lost with each but, where it just
 * comes out, the last.
 * @example ripYield(mm(170), mm(31), mm(2.6)) // { strips: 5, left: mm(2) }
 */
export function ripYield(board: Length, strip: Length, kerf: Length): RipYield {
  const strips = piecesFrom(board, strip, kerf);
  return { strips, left: Math.max(ZERO, sub(board, fromUnits(strips * add(strip, kerf)))) as Length };
}
