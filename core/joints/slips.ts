import { len, say, type Sentence } from '../figure/index.js';
import type { Length } from '../length/index.js';

/**
 * What is wrong with a panel that is cut so small that it can be pushed out of what holds its edges: all its slack may
 * be on one side, where no more of it is held than the depth of the recess less the slack.
 * @returns null where it stays in
 * @example slipsOut('the bottom', 'groove', mm(5), mm(4)) // null
 */
export function slipsOut(what: string, recess: string, depth: Length, slack: Length): Sentence | null {
  if (slack < depth) return null;
  return say`${what} is cut ${len(slack)} small and goes ${len(depth)} into its ${recess}: pushed to one side it comes out of the other one.`;
}

/**
 * What a panel is usually cut small in all: a quarter of the depth it goes in, so that it stays in wherever it moves.
 * @example usualSlack(mm(6)) // mm(1.5)
 */
export function usualSlack(depth: Length): Length {
  return Math.round(depth / 4) as Length;
}
