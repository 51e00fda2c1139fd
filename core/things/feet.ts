import { add, mm, scale, sub, type Length } from '../length/index.js';
import type { Block } from './arrange.js';

/** Half of what a foot of a machine is broad, typical. */
export const HALF_A_FOOT = mm(20);

/** The room that something stands in, seen from above. */
interface Room {
  readonly x0: Length;
  readonly x1: Length;
  readonly z1: Length;
  readonly setback: Length;
}

/**
 * Where the feet of a thing that stands on four of them are, across and from the rear: by its place, or in the middle
 * of its room; null for what has none, for several of it, and for what may stand anywhere.
 * @example feetOf({ thing: { feet: { aside: mm(50), deep: mm(40) } }, count: 1, at: mm(0), width: mm(600), stance: { depth: mm(500) } }, { x0: mm(0), x1: mm(800), z1: mm(600), setback: mm(0) }).xs.map(toMm) // [50, 550]
 */
export function feetOf(
  block: Block,
  { x0, x1, z1, setback }: Room,
): { readonly xs: readonly [Length, Length]; readonly zs: readonly [Length, Length] } | null {
  const { thing, count, at, width, stance } = block;
  if (!thing.feet || count !== 1 || at === 'anywhere' || at === 'spread') return null;
  const { aside, deep } = thing.feet;
  const left = at === undefined ? scale(sub(add(x0, x1), width), 0.5) : add(x0, at);
  const front = sub(z1, setback);
  return {
    xs: [add(left, aside), sub(add(left, width), aside)],
    zs: [add(sub(front, stance.depth), deep), sub(front, deep)],
  };
}
