import { asKg, type Kilograms } from '../measures/index.js';
import { ZERO, add, sub, type Length } from '../length/index.js';
import type { Item, Misfit, Room, Way } from './items.js';

/** Items on one shelf: how high the space must be, how deep, and what is spare across. */
export interface ShelfGroup {
  readonly items: readonly Item[];
  readonly height: Length;
  readonly depth: Length;
  readonly spare: Length;
  readonly kg: Kilograms;
  readonly often: boolean;
}

/** Which items share a shelf, from the bottom up, and how much height that takes with the shelves between. */
export interface Proposal {
  readonly shelves: readonly ShelfGroup[];
  readonly height: Length;
  readonly misfits: readonly Misfit[];
}

/** The narrowest way of an item that is no higher than so much; its ways go from low and wide to high and narrow. */
function wayWithin(item: Item, height: Length): Way | undefined {
  return item.ways.findLast((w) => w.height <= height);
}

/** Items as one shelf that is so high; null where they do not go on it. @example groupAt(TINS, mm(100), BAY).spare // mm(860) */
export function groupAt(items: readonly Item[], height: Length, room: Room): ShelfGroup | null {
  const ways = items.map((i) => wayWithin(i, height));
  if (ways.some((w) => w === undefined)) return null;
  const chosen = ways as Way[];
  const width = chosen.reduce((sum, w) => sum + w.width, 0);
  const kg = items.reduce((sum, i) => sum + i.kg, 0);
  if (width > room.width || (room.mostKg !== undefined && kg > room.mostKg && items.length > 1)) return null;
  return {
    items,
    height: Math.max(...chosen.map((w) => w.height)) as Length,
    depth: Math.max(...chosen.map((w) => w.depth)) as Length,
    spare: sub(room.width, width as Length),
    kg: asKg(kg),
    often: items.some((i) => i.often),
  };
}

/** The lowest shelf that takes all of some items; null where none does. @example lowestGroup(TINS, [mm(100), mm(200)], BAY).height // mm(100) */
export function lowestGroup(items: readonly Item[], heights: readonly Length[], room: Room): ShelfGroup | null {
  for (const height of heights) {
    const group = groupAt(items, height, room);
    if (group) return group;
  }
  return null;
}

/** Every height that a shelf could have: one of the ways of one of the items. @example heightsOf(TINS) // [mm(100)] */
export function heightsOf(items: readonly Item[]): readonly Length[] {
  return [...new Set(items.flatMap((i) => i.ways.map((w) => w.height)))].sort((a, b) => a - b);
}

/**
 * Which items share a shelf so that all shelves together are lowest, among partings of the
 * items in order of their least height: dynamic programming over where each shelf ends.
 * The best of these is not always the best of all, since a low thing may fill up a high shelf.
 * @example shelveInOrder(TINS, BAY).length // 1
 */
export function shelveInOrder(items: readonly Item[], room: Room): readonly ShelfGroup[] {
  const least = (i: Item) => (i.ways[0] as Way).height;
  const sorted = [...items].sort((a, b) => least(b) - least(a) || (b.ways[0] as Way).width - (a.ways[0] as Way).width);
  const heights = heightsOf(sorted);
  const best: { cost: number; group: ShelfGroup | null; from: number }[] = [{ cost: 0, group: null, from: 0 }];
  for (let end = 1; end <= sorted.length; end += 1) {
    let found: (typeof best)[number] = { cost: Infinity, group: null, from: end - 1 };
    // Going back from the end, a shelf only gets wider; one that no longer goes on ends the search.
    for (let from = end - 1; from >= 0; from -= 1) {
      const group = lowestGroup(sorted.slice(from, end), heights, room);
      if (!group) break;
      const cost = (best[from]?.cost ?? Infinity) + group.height + room.shelf;
      if (cost < found.cost) found = { cost, group, from };
    }
    best.push(found);
  }
  const groups: ShelfGroup[] = [];
  for (let at = sorted.length; at > 0;) {
    const step = best[at] as (typeof best)[number];
    if (step.group) groups.push(step.group);
    at = step.from;
  }
  return groups;
}

/** The height band that is reached without stooping or stretching: 700 to 1500. */
const EASY = { from: 56_000_000 as Length, to: 120_000_000 as Length } as const;

/** How far out of easy reach a shelf is, and how high its weight is lifted: less is better. */
function effort(order: readonly ShelfGroup[], room: Room): number {
  let y: number = room.foot;
  let sum = 0;
  for (const shelf of order) {
    const reach = Math.max(0, EASY.from - y, y - EASY.to);
    sum += shelf.kg * y + (shelf.often ? reach * OFTEN_KG : 0);
    y += shelf.height + room.shelf;
  }
  return sum;
}

/** A shelf that is often used is worth lifting so much weight so far. */
const OFTEN_KG = 120;

/**
 * Heavy shelves low and often-used ones within reach: exchanges two shelves for as long as that makes less effort.
 * @example inOrder(shelveInOrder(TINS, BAY), BAY)[0].kg // 4
 */
export function inOrder(groups: readonly ShelfGroup[], room: Room): readonly ShelfGroup[] {
  let order = [...groups].sort((a, b) => b.kg - a.kg);
  let now = effort(order, room);
  for (let better = true; better;) {
    better = false;
    for (let i = 0; i < order.length; i += 1) {
      for (let j = i + 1; j < order.length; j += 1) {
        const swapped = [...order];
        [swapped[i], swapped[j]] = [order[j] as ShelfGroup, order[i] as ShelfGroup];
        const then = effort(swapped, room);
        if (then < now - 1e-6) {
          [order, now, better] = [swapped, then, true];
        }
      }
    }
  }
  return order;
}

/**
 * The height that shelves take, with the wood between them.
 * @example heightWith(shelveInOrder([...TINS, ...TINS], { ...BAY, width: mm(100) }), BAY) // mm(220)
 */
export function heightWith(groups: readonly ShelfGroup[], room: Room): Length {
  const between = Math.max(0, groups.length - 1) * room.shelf;
  return add(between as Length, ...groups.map((g) => g.height));
}

/** A proposal from groups of items. @example proposalOf([], BAY, []).shelves // [] */
export function proposalOf(groups: readonly ShelfGroup[], room: Room, misfits: readonly Misfit[]): Proposal {
  const shelves = inOrder(groups, room);
  return { shelves, height: groups.length > 0 ? heightWith(shelves, room) : ZERO, misfits };
}
