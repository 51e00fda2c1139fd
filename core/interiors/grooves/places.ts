import { add, sub, type Length } from '../../length/index.js';
import { stancesOf, type Stance, type Thing } from '../../things/index.js';
import type { Grooves } from './spec.js';

/**
 * How many grooves go into a height: the first and the last so far from its ends, the others at the pitch.
 * @example groovesIn(mm(875), { first: mm(48), last: mm(48), wide: mm(5), pitch: mm(32) }) // 25
 */
export function groovesIn(height: Length, { first, last, wide, pitch }: Pick<Grooves, 'first' | 'last' | 'wide' | 'pitch'>): number {
  const room = height - first - last - wide;
  return room < 0 || pitch <= wide ? 0 : Math.floor(room / pitch) + 1;
}

/** How far up the lower edge of the nth groove is, the first being 1. @example grooveAt({ first: mm(48), pitch: mm(32) }, 3) // mm(112) */
export const grooveAt = ({ first, pitch }: Pick<Grooves, 'first' | 'pitch'>, n: number): Length => (first + (n - 1) * pitch) as Length;

/** How much is free over a shelf, up to the next one or to what is over the space. */
export function freeOver(grooves: Grooves, shelves: readonly number[], i: number, height: Length, thick: Length): Length {
  const next = shelves[i + 1];
  return sub(next === undefined ? height : grooveAt(grooves, next), add(grooveAt(grooves, shelves[i] as number), thick));
}

/** A thing as it lies lowest. @example lowest(TIN).height // mm(100) */
export const lowest = (thing: Thing): Stance => stancesOf(thing).reduce((a, b) => (b.height < a.height ? b : a));
