import { asNewtons, type Newtons } from '../measures/index.js';
import type { Carried } from './carry.js';

/** The push that a piece should stand at its top: at least so much, N, or this part of all it carries and weighs (typical). */
export const PUSH = { least: 100, part: 0.05 } as const;

/**
 * The push at the top that a piece should stand, N: the greater of 100 N and 5 % of all that it carries and weighs.
 * @example pushOf({ floor: asNewtons(4000) }) // 200
 */
export function pushOf({ floor }: Pick<Carried, 'floor'>): Newtons {
  return asNewtons(Math.max(PUSH.least, PUSH.part * floor));
}
