import { fromUnits, type Length } from '../length/index.js';
import { sawStep } from '../parts/index.js';
import type { Piece } from '../piece/index.js';
import type { Reach } from '../survey/index.js';
import type { Workshop } from '../project/index.js';
import { solve, type Solution } from '../solution/index.js';
import { reworkOf, type Rework } from './rework.js';

/** A size of the whole that a piece is given. */
export interface SizeGiven {
  readonly reach: Reach;
  readonly size: Length;
  readonly was: Length;
}

/** How a piece is made from what is cut already, and what that costs. */
export interface Shrunk {
  readonly sizes: readonly SizeGiven[];
  readonly piece: Piece;
  readonly rework: Rework;
}

const REACHES = ['width', 'height', 'depth'] as const;
/** No size is made smaller than this part of what it was. */
const LEAST = 0.7;

/** A piece with one size of the whole given outright. */
function given(piece: Piece, reach: Reach, size: Length): Piece {
  const rule = piece[reach];
  const of = rule.from === 'given' ? rule.of : 'overall';
  return { ...piece, [reach]: { from: 'given', size, of } };
}

/** What a size of the whole is given as: of the outside where it follows from something else. @example sizeGiven(SOLVED, 'width') // mm(1000) */
export function sizeGiven({ piece, shape }: Solution, reach: Reach): Length {
  const rule = piece[reach];
  return rule.from === 'given' ? rule.size : shape.overall[reach].value;
}

/** The piece solved without what is cut: what is cut is held against it. */
function planned(piece: Piece, { made: _, ...workshop }: Workshop, solution: Solution): Solution {
  return solve(piece, workshop, solution.letters);
}

/**
 * What becomes of the parts that are cut when the whole is made to other sizes.
 * @param sizes those of the whole that change
 * @example shrunkTo(SOLVED, []).rework.anew // []
 */
export function shrunkTo(solution: Solution, sizes: readonly { readonly reach: Reach; readonly size: Length }[]): Shrunk {
  const made = solution.workshop.made ?? new Map();
  const piece = sizes.reduce((now, { reach, size }) => given(now, reach, size), solution.piece);
  const after = sizes.length === 0 ? solution : planned(piece, solution.workshop, solution);
  return {
    sizes: sizes.map((s) => ({ ...s, was: sizeGiven(solution, s.reach) })),
    piece,
    rework: reworkOf(solution, after, made),
  };
}

/**
 * The largest that a piece can be so that the parts that are cut still do, where some came out too small: each size of the
 * whole is made smaller by as little as lets the most of them reach, so that the least is cut off the others.
 * @returns null where every part that is cut does as it is, or where no size lets more of them reach
 * @example largestFromCut(SOLVED) // null
 */
export function largestFromCut(solution: Solution): Shrunk | null {
  const step = sawStep((solution.piece.rounding ?? solution.workshop.settings.rounding).grid);
  const anew = (sizes: readonly { readonly reach: Reach; readonly size: Length }[]) => shrunkTo(solution, sizes).rework.anew.length;
  const start = anew([]);
  if (start === 0) return null;
  let [sizes, best] = [[] as { reach: Reach; size: Length }[], start];
  for (const reach of REACHES) {
    const now = sizeGiven(solution, reach);
    const at = (steps: number) => fromUnits(now - steps * step);
    const most = Math.floor((now * (1 - LEAST)) / step);
    const reached = anew([...sizes, { reach, size: at(most) }]);
    if (reached >= best) continue;
    // Fewer parts are too small the smaller it is: the fewest steps at which as many reach as ever do.
    let [low, high] = [0, most];
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2);
      if (anew([...sizes, { reach, size: at(middle) }]) <= reached) high = middle;
      else low = middle;
    }
    sizes = [...sizes, { reach, size: at(high) }];
    best = reached;
  }
  return best < start ? shrunkTo(solution, sizes) : null;
}
