import { allKept, type Kept } from '../carry/index.js';
import type { Joint } from '../piece/index.js';
import { fastenersOf, type Fastener, type Solution } from '../solution/index.js';

/** Two members, whichever is named first. @example pairOf('b', 'a') // 'a b' */
export const pairOf = (a: string, b: string): string => (a < b ? `${a} ${b}` : `${b} ${a}`);

/** What holds two members: how they are kept where only their weight would, and what is driven between them. */
export interface Held {
  between(a: string, b: string): { readonly way?: Kept['way']; readonly fasteners: readonly Fastener[] };
  /** What is only kept, as joints; `bearing` where nothing else joins the two. */
  readonly kept: readonly Joint[];
}

/** What holds each two members of a piece. @example heldIn(SOLVED).kept.length // 2 */
export function heldIn(solution: Solution): Held {
  const fasteners = new Map<string, Fastener[]>();
  for (const f of fastenersOf(solution)) {
    const pair = pairOf(...f.between);
    fasteners.set(pair, [...(fasteners.get(pair) ?? []), f]);
  }
  const kept = allKept(solution.carried);
  const ways = new Map(kept.map(({ held, by, way }) => [pairOf(held.id, by.id), way]));
  const joined = new Set(solution.shape.joints.map((j) => pairOf(j.carried, j.carrier)));
  return {
    between: (a, b) => {
      const pair = pairOf(a, b);
      const way = ways.get(pair);
      return { ...(way ? { way } : {}), fasteners: fasteners.get(pair) ?? [] };
    },
    kept: kept.flatMap(({ held, by }): Joint[] =>
      joined.has(pairOf(held.id, by.id)) ? [] : [{ carried: held.id, carrier: by.id, how: 'bearing' }],
    ),
  };
}
