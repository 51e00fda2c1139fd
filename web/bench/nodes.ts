import type { Piece } from '../../core/piece/index.js';
import { freshIds, takenIds } from '../../core/remedies/index.js';

/** Ids for so many new members and spaces of a piece, none of them in use. */
export function newNodesFor(piece: Piece, count: number): { newMembers: readonly string[]; newSpaces: readonly string[] } {
  const taken = takenIds(piece);
  return { newMembers: freshIds(taken, 'm', count), newSpaces: freshIds(taken, 's', count + 1) };
}

/** Ids for one new member and the spaces beside it. */
export function newNodes(piece: Piece): { member: string; first: string; beyond: string } {
  const { newMembers, newSpaces } = newNodesFor(piece, 1);
  const [member] = newMembers as [string];
  const [first, beyond] = newSpaces as [string, string];
  return { member, first, beyond };
}
