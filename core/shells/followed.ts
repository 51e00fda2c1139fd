import { size } from '../figure/index.js';
import { ZERO, add, mm, sub, type Length } from '../length/index.js';
import { boxOf, corneredOutline, type Corners, type Member, type Point } from '../piece/index.js';

/** A level between sides: how high it lies, and how far out from their rear edges it reaches. */
interface Reach {
  readonly low: Length;
  readonly high: Length;
  readonly out: Length;
}

/** How the front edges of sides go from one shelf to the next. */
export type FollowingFront = 'stepped' | 'sloped';

/** The front edge of sides that follow what is between them, from the upper end down; in their own u and v. */
function frontOf(front: FollowingFront, levels: readonly Reach[], long: Length): readonly Point[] {
  const points = levels.flatMap(({ low, high, out }, i): Point[] => {
    const [first, last] = [i === 0, i === levels.length - 1];
    const from = { u: first ? ZERO : low, v: out };
    const next = levels[i + 1];
    const to = { u: last || !next ? long : front === 'stepped' ? next.low : high, v: out };
    return [from, to];
  });
  const apart = points.filter(({ u, v }, i) => i === 0 || u !== points[i - 1]?.u || v !== points[i - 1]?.v);
  return [...apart].reverse();
}

/** A shelf that ends no further from a side than this ends at it. */
export const ENDS = mm(5);

/** Levels that overlap in height, such as shelves on either side of one board, are as one as deep as the deeper. */
function together(levels: readonly Reach[]): readonly Reach[] {
  return [...levels]
    .sort((a, b) => a.low - b.low)
    .reduce<readonly Reach[]>((all, next) => {
      const last = all.at(-1);
      if (!last || next.low >= last.high) return [...all, next];
      const both: Reach = {
        low: last.low,
        high: Math.max(last.high, next.high) as Length,
        out: Math.max(last.out, next.out) as Length,
      };
      return [...all.slice(0, -1), both];
    }, []);
}

/**
 * An upright side whose front edge follows the levels that end at it: as far out as each there, in steps or aslant between.
 * @param levels what may end at it
 * @param follow how; `proud` is how far it stands out past them, `corners` those of it that are cut besides
 */
export function followed(
  side: Member,
  levels: readonly Member[],
  { front, proud, corners = {} }: { readonly front: FollowingFront; readonly proud: Length; readonly corners?: Corners },
): Member {
  const { origin } = side.frame;
  const edge = boxOf(side);
  // Let in a little or loose by a little, a shelf ends at the side.
  const ending = levels.map(boxOf).filter((b) => b.x0 < add(edge.x1, ENDS) && b.x1 > sub(edge.x0, ENDS));
  const reached = together(
    ending.map((b): Reach => ({ low: sub(b.y0, origin.y), high: sub(b.y1, origin.y), out: sub(add(b.z1, proud), origin.z) })),
  );
  if (reached.length === 0) return side;
  const deepest = Math.max(...reached.map((r) => r.out)) as Length;
  return {
    ...side,
    width: deepest === side.width.value ? side.width : size('as deep as the deepest that ends at it', deepest),
    outline: corneredOutline(side.length.value, deepest, corners, frontOf(front, reached, side.length.value)),
  };
}
