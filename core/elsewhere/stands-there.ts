import type { Check } from '../checks/index.js';
import type { Solution } from '../solution/index.js';

/** What is found of a piece where it stands, and of whoever uses it, by how its checks are called. */
const THERE = /^(fits-|obstacle-|stands-up$|passes-door$|uses-|people$)/;

/** How a plan does once it stands in its place. */
export interface StandsThere {
  /** What was found of its place and its people, as the checks of the piece have it: the worst first. */
  readonly checks: readonly Check[];
  /** What it cannot be held against, since nobody said which. */
  readonly missing: readonly ('place' | 'person')[];
}

/** Holds a piece of the sizes of a plan against the place that it is for and the person who uses it. @example standsThere(SOLVED).missing // ['place', 'person'] */
export function standsThere({ piece, checks }: Pick<Solution, 'piece' | 'checks'>): StandsThere {
  return {
    checks: checks.filter((c) => THERE.test(c.id)),
    missing: [...(piece.opening ? [] : (['place'] as const)), ...(piece.usedBy ? [] : (['person'] as const))],
  };
}
