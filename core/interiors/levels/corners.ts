import { Figure, len, say } from '../../figure/index.js';
import { ZERO, add, mm, sub, toMm } from '../../length/index.js';
import { rectangular, type Direction, type End, type Joint, type ShapeProblem } from '../../piece/index.js';
import { woodOf } from '../../project/index.js';
import { ENDS, NUMBER, SIDES, levelIds, type Built, type Rails } from './level.js';
import { railPieceId } from './rails.js';

/** How a block fits into a corner: how far the post stands into it, along both rails together, and how far along each the block goes. */
function sizesOf({ at: { posts, level, workshop }, broad }: Rails) {
  const wood = woodOf(workshop, level.corners?.stock ?? level.rails.stock);
  const t = toMm(wood.thickness.value);
  const into = toMm(posts.post.across.value) + toMm(posts.post.deep.value) - 2 * toMm(broad.value);
  return { wood, t, into, reach: into + t * Math.SQRT2 };
}

/** Mitred at 45° at both ends: between the two faces that are `thick` apart the block loses as much at each end. */
function mitres(long: number, t: number): readonly End[] {
  const half = Math.SQRT1_2;
  return [
    { normal: [-half, 0, -half], at: mm(-t * half) },
    { normal: [half, 0, -half], at: mm((long - t) * half) },
  ];
}

/**
 * Blocks in the corners of rails that go between posts: each lies against the inner corner of its post, is mitred at 45°
 * at both ends, and is glued to both rails.
 */
export function cornersOf(rails: Rails): Built {
  const { level, posts, node, y, label } = rails.at;
  if (!level.corners || cornerProblems(rails).length > 0) return { members: [], joints: [] };
  const { ring, pairs, post } = posts;
  const ids = levelIds(node);
  const { wood, t, into, reach } = sizesOf(rails);
  const long = into * Math.SQRT2 + 2 * t;
  const length = Figure.formula(
    'length',
    'how far the post stands in along both rails × √2, and twice the block, to the long points',
    [post.across, post.deep, rails.broad, wood.thickness.named('block')],
    mm(long),
  );
  const b = rails.broad.value;
  const made = SIDES.flatMap((side) =>
    ENDS.flatMap((end) => {
      if (!level.rails[side] || !level.rails[end]) return [];
      const dx = end === 'left' ? 1 : -1;
      const dz = side === 'rear' ? 1 : -1;
      const x = toMm(end === 'left' ? add(ring.x, b) : sub(add(ring.x, ring.width.value), b));
      const z = toMm(side === 'rear' ? add(ring.z, b) : sub(add(ring.z, ring.depth.value), b));
      // Away from the corner through its thickness; along it so that the frame stays right-handed.
      const n: Direction = [dx * Math.SQRT1_2, 0, dz * Math.SQRT1_2];
      const fromEnd = dx * dz === -1;
      const u: Direction = fromEnd ? [-n[0], 0, n[2]] : [n[0], 0, -n[2]];
      const [alongX, alongZ] = fromEnd ? [reach, 0] : [0, reach];
      const origin = { x: mm(x + dx * alongX - n[0] * t), y, z: mm(z + dz * alongZ - n[2] * t) };
      const member = {
        ...rectangular({
          id: ids.corner(side, end),
          node,
          role: 'corner block',
          label: `corner block, ${side} ${end}, ${label}`,
          wood,
          length,
          width: rails.high,
          frame: { origin, u, v: [0, 1, 0], n },
        }),
        ends: mitres(long, t),
      };
      const bay = end === 'left' ? 0 : pairs.length - 2;
      const joints = [railPieceId(node, side, bay), ids.rail(NUMBER[end])].map((carrier): Joint => ({
        carried: member.id,
        carrier,
        how: 'glued',
      }));
      return [{ member, joints }];
    }),
  );
  return { members: made.map((m) => m.member), joints: made.flatMap((m) => m.joints) };
}

/** What keeps blocks out of the corners of a level. */
export function cornerProblems(rails: Rails): ShapeProblem[] {
  const { level, posts, node, label } = rails.at;
  if (!level.corners) return [];
  const problem = (why: ShapeProblem['sentence']): ShapeProblem[] => [
    { id: `corners-${node}`, about: node, stops: true, sentence: why, fixes: [] },
  ];
  if (posts.joined !== 'between')
    return problem(
      say`Corner blocks go between rails that meet at a post, and here they do not go from post to post: leave the blocks out.`,
    );
  const { front, rear, left, right, bar } = level.rails;
  if (!(front || rear) || !(left || right))
    return problem(say`Corner blocks go where two rails meet, and ${label} has none that do: leave the blocks out.`);
  if (bar) return problem(say`Bars along the rails of ${label} are where its corner blocks go: leave out one of the two.`);
  const { into, reach } = sizesOf(rails);
  if (into < 1)
    return problem(say`The posts do not stand in past the rails of ${label}, so that corner blocks have nothing to lie against.`);
  const clear = Math.min(...posts.pairs.slice(1).map((p, i) => toMm(sub(p.rear.x0, posts.pairs[i]?.rear.x1 ?? ZERO))));
  const deepRoom = toMm(sub(posts.ring.depth.value, add(posts.post.deep.value, posts.post.deep.value)));
  if (2 * reach > Math.min(clear, deepRoom) + into)
    return problem(
      say`Corner blocks of ${label} reach ${len(mm(reach))} along each rail, and two of them have no room between its posts: take thinner blocks.`,
    );
  return [];
}
