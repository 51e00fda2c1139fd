import type { Piece, PieceEdit, Space } from '../piece/index.js';
import { itemsOf, type Room, type Wanted } from './items.js';
import { proposalOf, shelveInOrder, type Proposal } from './shelve.js';

export * from './items.js';
export * from './program.js';
export * from './shelve.js';

/**
 * Proposes shelves for things at once: which share a shelf, how high each space is, what
 * is spare, heavy ones low and often-used ones within reach.
 */
export function propose(wanted: readonly Wanted[], room: Room): Proposal {
  const { items, misfits } = itemsOf(wanted, room);
  return proposalOf(shelveInOrder(items, room), room, misfits);
}

/**
 * The edit that divides an open space as proposed: every shelf fits what stands on it, and
 * what is left over is one open space on top.
 * @param ids fresh ids for as many members, and one space more, as there are shelves
 */
export function editFor(
  proposal: Proposal,
  piece: Piece,
  space: string,
  ids: { readonly members: readonly string[]; readonly spaces: readonly string[] },
): PieceEdit {
  const follows = space === piece.interior.id && (piece.height.from === 'contents' || piece.height.from === 'bounded');
  const shelves = proposal.shelves.map((shelf, i): Space => ({
    id: ids.spaces[i] as string,
    rule: { kind: 'fit', clearance: 0 as never },
    things: shelf.items.flatMap((item) => item.placements),
  }));
  const top: Space[] =
    follows && shelves.length > 1 ? [] : [{ id: ids.spaces[shelves.length] as string, rule: { kind: 'share', weight: 1 }, things: [] }];
  const spaces = [...shelves, ...top];
  return {
    kind: 'fill',
    space,
    split: { axis: 'up', members: ids.members.slice(0, spaces.length - 1).map((id) => ({ id })), spaces },
  };
}
