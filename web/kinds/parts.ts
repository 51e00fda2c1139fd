import type { Axis, Making, Piece, PieceEdit, Space } from '../../core/piece/index.js';
import { newNodesFor } from '../bench/nodes.js';

/** An open part that shares what is left evenly. */
export const openPart = (id: string): Space => ({ id, rule: { kind: 'share', weight: 1 }, things: [] });

/** The edit that divides an open space into so many parts of a making, with so many members between them. */
export function fillWith(
  piece: Piece,
  space: string,
  { axis, making, parts, members }: { axis: Axis; making: Making; parts: number; members: number },
): PieceEdit {
  const { newMembers, newSpaces } = newNodesFor(piece, Math.max(members, parts));
  const spaces = newSpaces.slice(0, parts).map(openPart);
  return { kind: 'fill', space, split: { axis, making, members: newMembers.slice(0, members).map((id) => ({ id })), spaces } };
}
