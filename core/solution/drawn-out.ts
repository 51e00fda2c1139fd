import { drawnOutAt } from '../checks/index.js';
import type { Body } from '../piece/index.js';
import type { Solution } from './solve.js';

/**
 * The bodies of a piece that are held otherwise when they are drawn out than when they are shut, such as a pull-out on legs of its own.
 * @example heldOutOf(SOLVED) // []
 */
export const heldOutOf = ({ shape }: Pick<Solution, 'shape'>): readonly Body[] => shape.bodies.filter((b) => b.heldOut);

/** A piece as it is with one of its bodies drawn out: its members where they are then, with the loads and checks of that pose. */
export function drawnOutOf(solution: Solution, body: Body): Solution {
  const { piece, shape, letters, workshop } = solution;
  const out = drawnOutAt(piece, shape, body, letters, workshop);
  return out ? { ...solution, ...out } : solution;
}
