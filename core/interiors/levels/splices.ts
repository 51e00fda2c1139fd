import { len, say, size } from '../../figure/index.js';
import { add, least, scale, sub, type Length } from '../../length/index.js';
import { atX, facingFrame, rectangular, type Joint, type ShapeProblem } from '../../piece/index.js';
import { woodOf } from '../../project/index.js';
import { SIDES, acrossAt, levelIds, type Built, type Rails } from './level.js';
import { boardsInPlace, railPieceId } from './rails.js';

/** Plates over the seams of rails across, on the inside of them, each glued to both boards. */
export function splicesOf(rails: Rails): Built {
  const { level, posts, node, workshop, y, label } = rails.at;
  const { splice } = level;
  const boards = boardsInPlace(rails);
  // Lapped on a post, both boards are held by that.
  if (!splice || level.rails.flat || posts.joined !== 'end-on') return { members: [], joints: [] };
  const ids = levelIds(node);
  const wood = woodOf(workshop, splice.stock);
  const half = scale(splice.long, 0.5);
  const made = SIDES.filter((side) => level.rails[side]).flatMap((side) =>
    boards.slice(1).map(({ from: seam }, i) => {
      const z = acrossAt(rails, side);
      const member = rectangular({
        id: ids.splice(side, i + 1),
        node,
        role: 'splice plate',
        label: `splice plate, ${side} rail of ${label}`,
        wood,
        length: size('splice plate', splice.long, rails.at.source('splice.long')),
        width: rails.high,
        frame: facingFrame({ x: sub(seam, half), y, z: side === 'rear' ? add(z, rails.broad.value) : sub(z, wood.thickness.value) }),
      });
      const quarter = scale(half, 0.5);
      const on = (board: number, at: Length): Joint => ({
        carried: member.id,
        carrier: railPieceId(node, side, board),
        // Boards and plates are too thin for screws to be counted on alone.
        how: 'glued',
        on: atX(at),
      });
      return { member, joints: [on(i, sub(seam, quarter)), on(i + 1, add(seam, quarter))] };
    }),
  );
  return { members: made.map((m) => m.member), joints: made.flatMap((m) => m.joints) };
}

/** A plate over a seam that is so near an end of the ring that it runs into the rail there. */
export function spliceProblems(rails: Rails): ShapeProblem[] {
  const { level, posts, node, label } = rails.at;
  const { splice } = level;
  if (!splice || level.rails.flat || posts.joined !== 'end-on') return [];
  const { ring } = posts;
  const ends = [add(ring.x, rails.broad.value), sub(add(ring.x, ring.width.value), rails.broad.value)] as const;
  const seams = boardsInPlace(rails)
    .slice(1)
    .map((b) => b.from);
  const near = least([...seams.map((x) => least([sub(x, ends[0]), sub(ends[1], x)])), splice.long]);
  if (near * 2 >= splice.long) return [];
  const sentence = say`A seam in the rails of ${label} is ${len(near)} from the rail at its end, and half of a plate ${len(splice.long)} long over it has no room there: take shorter plates, boards of another length, or another width.`;
  return [{ id: `splice-${node}`, about: node, stops: true, sentence, fixes: [] }];
}
