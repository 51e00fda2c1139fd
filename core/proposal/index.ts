import { itemsOf, type Room, type Wanted } from './items.js';
import { proposalOf, shelveInOrder, type Proposal } from './shelve.js';

export * from './bays.js';
export * from './items.js';
export * from './program.js';
export * from './shelve.js';

/**
 * Proposes shelves for things at once: which share a shelf, how high each space is, what
 * is spare, heavy ones low and often-used ones within reach.
 * @example propose(WANTED, BAY).shelves[0].depth // mm(200)
 */
export function propose(wanted: readonly Wanted[], room: Room): Proposal {
  const { items, misfits } = itemsOf(wanted, room);
  return proposalOf(shelveInOrder(items, room), room, misfits);
}
