import { greatest, sub, type Length } from '../length/index.js';
import type { Piece, PieceEdit, Space } from '../piece/index.js';
import { itemsOf, type Room, type Wanted } from './items.js';
import { proposalOf, shelveInOrder, type Proposal, type ShelfGroup } from './shelve.js';

/** At most so many bays are thought of. */
export const MOST_BAYS = 8;

/** The room of one of so many equal bays, with dividers so thick between them. @example 1167.8 in two with 17.6 between: 575.1 */
export function bayRoom(room: Room, bays: number, divider: Length): Room {
  const clear = sub(room.width, (divider * (bays - 1)) as Length);
  return { ...room, width: greatest([1 as Length, Math.floor(clear / bays) as Length]) };
}

/** After so many tries the best dealing found so far is taken. */
const TRIES = 20_000;

/**
 * Deals shelves to bays so that the highest bay is as low as it can be: branch and bound, the highest shelf first into
 * the lowest bay, bays that are alike high taken as one. The best found stands where there is too much to try.
 */
function deal(groups: readonly ShelfGroup[], bays: number, { shelf }: Room): readonly (readonly ShelfGroup[])[] {
  const order = [...groups].sort((a, b) => b.height - a.height);
  const now = Array.from({ length: bays }, () => ({ high: 0, held: [] as ShelfGroup[] }));
  let best: readonly (readonly ShelfGroup[])[] = [];
  let lowest = Infinity;
  let tries = 0;
  const put = (next: number, highest: number): void => {
    if (highest >= lowest || tries > TRIES) return;
    const group = order[next];
    if (!group) {
      [best, lowest] = [now.map((b) => [...b.held]), highest];
      return;
    }
    tries += 1;
    const tried = new Set<number>();
    for (const bay of [...now].sort((a, b) => a.high - b.high)) {
      if (tried.has(bay.high)) continue;
      tried.add(bay.high);
      const before = bay.high;
      bay.high += group.height + (bay.held.length > 0 ? shelf : 0);
      bay.held.push(group);
      put(next + 1, Math.max(highest, bay.high));
      bay.held.pop();
      bay.high = before;
    }
  };
  put(0, 0);
  return best;
}

/**
 * Shelves dealt to bays, heavy ones low and often-used ones within reach in each.
 * @example inBays(SHELVED, 1, BAY)[0].height // mm(100)
 */
export function inBays({ shelves }: Pick<Proposal, 'shelves'>, bays: number, room: Room): readonly Proposal[] {
  return deal(shelves, bays, room).map((groups) => proposalOf(groups, room, []));
}

/** How high the highest of some bays is. @example highestBay([SHELVED]) // mm(100) */
export function highestBay(bays: readonly Proposal[]): Length {
  return greatest([0 as Length, ...bays.map((b) => b.height)]);
}

/**
 * The fewest bays in which things go at a height.
 * @returns one where not even the most that are thought of are low enough, or where something goes into no narrower bay
 * @example fewestBays(WANTED, BAY, mm(500), mm(20)) // 1
 */
export function fewestBays(wanted: readonly Wanted[], room: Room, height: Length, divider: Length): number {
  for (let bays = 1; bays <= MOST_BAYS; bays += 1) {
    const own = bayRoom(room, bays, divider);
    const { items, misfits } = itemsOf(wanted, own);
    if (misfits.length > 0) return 1;
    if (highestBay(inBays({ shelves: shelveInOrder(items, own) }, bays, own)) <= height) return bays;
  }
  return 1;
}

/** Hands out ids one after another. @throws Error where there are no more */
function dealer(ids: readonly string[]): () => string {
  const left = [...ids];
  return () => {
    const id = left.shift();
    if (id === undefined) throw new Error('ids are missing for what is proposed');
    return id;
  };
}

/**
 * The edit that divides an open space as proposed: bays beside each other where there are several, and in each a
 * shelf for every group, which fits what stands on it. What is left over is one open space on top; the highest bay has
 * none where the piece is as high as what it holds.
 * @param ids fresh ids, as many as `nodesFor` says
 */
export function editFor(
  bays: readonly Proposal[],
  piece: Piece,
  space: string,
  ids: { readonly members: readonly string[]; readonly spaces: readonly string[] },
): PieceEdit {
  const follows = space === piece.interior.id && (piece.height.from === 'contents' || piece.height.from === 'bounded');
  const [member, part] = [dealer(ids.members), dealer(ids.spaces)];
  const share = { kind: 'share', weight: 1 } as const;
  const highest = highestBay(bays);
  const shelved = ({ shelves, height }: Proposal): Space['split'] => {
    const held = shelves.map((shelf): Space => ({
      id: part(),
      rule: { kind: 'fit', clearance: 0 as never },
      things: shelf.items.flatMap((item) => item.placements),
    }));
    const full = follows && shelves.length > 1 && height === highest;
    const spaces = full ? held : [...held, { id: part(), rule: share, things: [] }];
    return { axis: 'up', members: spaces.slice(1).map(() => ({ id: member() })), spaces };
  };
  const [only, ...more] = bays;
  if (only && more.length === 0) return { kind: 'fill', space, split: shelved(only) as NonNullable<Space['split']> };
  const spaces = bays.map((bay): Space => {
    const split = bay.shelves.length > 0 ? shelved(bay) : undefined;
    return { id: part(), rule: share, things: [], ...(split ? { split } : {}) };
  });
  return { kind: 'fill', space, split: { axis: 'across', members: more.map(() => ({ id: member() })), spaces } };
}

/** How many new nodes bays with their shelves take at most. @example nodesFor([{ shelves: ['a', 'b', 'c'] }]) // 5 */
export function nodesFor(bays: readonly Proposal[]): number {
  return bays.reduce((sum, b) => sum + b.shelves.length + 2, 0);
}
