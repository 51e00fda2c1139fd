import { mm, toMm, type Length } from '../length/index.js';
import { isPlain, loopOf, type Edges, type Member } from '../piece/index.js';
import { lengthOf } from '../solid/index.js';

/** What is bought more of edging than the edges are long, since ends are trimmed and some splits. */
export const EDGING_SPARE = 0.1;

type Spot = readonly [u: number, v: number];

/** The edges of a member that one side of its outline belongs to: the straight edge that it lies on, else those that it looks towards. */
function edgesOf(from: Spot, to: Spot, [long, broad]: Spot): readonly (keyof Edges)[] {
  const lies = (k: 0 | 1, at: number) => Math.abs(from[k] - at) < 0.01 && Math.abs(to[k] - at) < 0.01;
  if (lies(0, 0)) return ['u0'];
  if (lies(0, long)) return ['u1'];
  if (lies(1, 0)) return ['v0'];
  if (lies(1, broad)) return ['v1'];
  // Going round to the left, it looks to the right.
  const [u, v] = [to[1] - from[1], from[0] - to[0]];
  return [...(u < -0.01 ? (['u0'] as const) : u > 0.01 ? (['u1'] as const) : []), v < -0.01 ? 'v0' : 'v1'];
}

/**
 * How long the edges of a member are that are covered; of one that is cut to an outline a side counts where one of the edges that
 * it belongs to is covered, and arcs are as long as they are.
 * @example edgedAlong(SHELF) // mm(0)
 */
export function edgedAlong(member: Member): Length {
  const { outline, edges, width, length } = member;
  if (isPlain(member)) {
    const across = [edges.v0, edges.v1].filter((e) => e === 'banded').length * length.value;
    return (across + [edges.u0, edges.u1].filter((e) => e === 'banded').length * width.value) as Length;
  }
  const { start, sides } = loopOf(outline);
  const size: Spot = [toMm(length.value), toMm(width.value)];
  let from: Spot = start;
  const all = sides.reduce((sum, side) => {
    const banded = edgesOf(from, side.to, size).some((edge) => edges[edge] === 'banded');
    const own = lengthOf({ start: from, sides: [side] });
    from = side.to;
    return banded ? sum + own : sum;
  }, 0);
  return mm(all);
}
