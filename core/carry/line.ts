import { toMm } from '../length/index.js';
import type { OnLine } from '../piece/index.js';
import { dot, type Vector } from '../solid/index.js';

/** A level line square to a level direction, so far along it, mm. */
export interface Line {
  readonly along: Vector;
  readonly at: number;
}

/** A line of a joint in mm. @example lineOf({ along: [1, 0, 0], at: mm(5) }) // { along: [1, 0, 0], at: 5 } */
export const lineOf = ({ along, at }: OnLine): Line => ({ along, at: toMm(at) });

/** Whether a direction goes across the piece more than out of it. @example isAcross([0.6, 0, 0.8]) // false */
export const isAcross = (along: Vector): boolean => Math.abs(along[0]) >= Math.SQRT1_2;

/**
 * Whether two directions are one, the same way (1) or against each other (-1); 0 where they are not.
 * @example wayAlong([1, 0, 0], [-1, 0, 0]) // -1
 */
export function wayAlong(a: Vector, b: Vector): -1 | 0 | 1 {
  const cos = dot(a, b);
  return Math.abs(cos) < 1 - 1e-9 ? 0 : cos > 0 ? 1 : -1;
}

/**
 * From where to where a stretch along one direction reaches along another one; null where that is another direction.
 * @example stretchAlong([1, 0, 0], [-1, 0, 0], 2, 5) // [-5, -2]
 */
export function stretchAlong(along: Vector, own: Vector, from: number, to: number): readonly [number, number] | null {
  const way = wayAlong(along, own);
  if (way === 0) return null;
  return way === 1 ? [from, to] : [-to, -from];
}
