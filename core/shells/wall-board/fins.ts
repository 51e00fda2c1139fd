import { OPEN, boxOf, rectangular, uprightFrame, type Face, type Joint, type Member, type PlacedSpace } from '../../piece/index.js';
import { ZERO, sub, type Length } from '../../length/index.js';
import type { Wood } from '../../project/index.js';
import { followed } from '../followed.js';
import { WALL_BOARD } from './ids.js';
import type { Inside } from './inside.js';
import type { WallBoard } from './spec.js';

/** The two outermost fins; those between are what divides the row. */
export function outerFins(piece: WallBoard, { overall, clear, start }: Inside, wood: Wood): readonly Member[] {
  const fin = (id: string, label: string, x: Length, inner: Face) =>
    rectangular({
      id,
      node: WALL_BOARD.node,
      role: 'fin',
      label,
      wood,
      length: clear.height.named('fin, high'),
      width: clear.depth.named('fin, deep'),
      frame: uprightFrame({ x, y: start.y.value, z: start.z.value }),
      edges: { v1: piece.edges.front },
      inner,
    });
  const { ends } = piece.board.bare;
  const right = sub(sub(overall.width.value, ends), wood.thickness.value);
  return [fin(WALL_BOARD.left, 'left fin', ends, 'up'), fin(WALL_BOARD.right, 'right fin', right, 'down')];
}

/** What stands out from the board between the outermost fins with nothing above or below it: a fin too. */
export function innerFins(members: readonly Member[], joints: readonly Joint[]): ReadonlySet<string> {
  const stands = new Map<string, boolean>();
  for (const { carried, carrier } of joints) stands.set(carried, (stands.get(carried) ?? true) && carrier === OPEN);
  return new Set(members.filter((m) => m.role === 'divider' && stands.get(m.id) === true).map((m) => m.id));
}

/** What divides the row is called after what it is there. */
export const asFins = (members: readonly Member[], inner: ReadonlySet<string>): readonly Member[] =>
  members.map((m) => (inner.has(m.id) ? { ...m, role: 'fin', label: `fin at ${m.label}` } : m));

/** Fins with their front edges as they follow the shelves. */
export function finsFollowing({ fins }: WallBoard, members: readonly Member[], isFin: (id: string) => boolean): readonly Member[] {
  const { front } = fins;
  if (!front) return members;
  const levels = members.filter((m) => m.role === 'shelf');
  return members.map((m) => (isFin(m.id) ? followed(m, levels, { front, proud: ZERO }) : m));
}

/** How far the middle of what stands in a space is from the wall: its things at the front of it, else the middle of it. */
function middleOut({ box, blocks, setback }: PlacedSpace): number {
  const deep = blocks.reduce((most, b) => Math.max(most, b.depth), 0);
  return deep > 0 ? box.z1 - setback - deep / 2 : (box.z0 + box.z1) / 2;
}

/**
 * How far out from the face of the board the load of a fin is taken to lie: as far as the farthest of what stands on the shelves
 * that end at it, or of these shelves themselves.
 */
export function outOf(
  fin: Member,
  face: Length,
  members: readonly Member[],
  joints: readonly Joint[],
  spaces: Iterable<PlacedSpace>,
): Length {
  const on = new Set(joints.flatMap((j) => (j.carrier === fin.id ? [j.carried] : [])));
  const shelves = members.filter((m) => on.has(m.id)).map(boxOf);
  const middles = [boxOf(fin), ...shelves].map((b) => (b.z0 + b.z1) / 2);
  const things = [...spaces].filter((s) => on.has(s.neighbours.below)).map(middleOut);
  return Math.max(0, Math.round(Math.max(...middles, ...things) - face)) as Length;
}
