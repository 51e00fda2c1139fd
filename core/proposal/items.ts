import { asKg, type Kilograms } from '../measures/index.js';
import { add, type Length } from '../length/index.js';
import { rowsIn, stancesOf, type Thing } from '../things/index.js';

/** Something to be shelved: so many of a thing, and what is wished of it. */
export interface Wanted {
  readonly id: string;
  readonly thing: Thing;
  readonly count: number;
}

/** What is to be filled, and with what wood between. */
export interface Room {
  /** Clear width of every shelf. */
  readonly width: Length;
  /** The greatest depth there is. */
  readonly depth: Length;
  readonly shelf: Length;
  /** How high the first shelf stands over the floor. */
  readonly foot: Length;
  /** Most that one shelf should carry, kg; no bound where left out. */
  readonly mostKg?: number;
}

/** One way to put an item down: how wide and deep it is, and how high with its clearance. */
export interface Way {
  readonly width: Length;
  readonly height: Length;
  readonly depth: Length;
}

/** Things that stand together, which no shelf parts; with every way of putting them that could be best. */
export interface Item {
  readonly placements: readonly { readonly thing: string; readonly count: number }[];
  /** From the lowest and widest to the highest and narrowest. */
  readonly ways: readonly Way[];
  readonly kg: Kilograms;
  /** Wanted within easy reach. */
  readonly often: boolean;
}

/** What goes on no shelf, and why. */
export interface Misfit {
  readonly thing: string;
  readonly why: 'wide' | 'deep';
}

/**
 * Every way a count of a thing can stand in a room that is not beaten by one both lower and narrower.
 * @example waysOf(TIN, 2, BAY) // [{ width: mm(100), height: mm(100), depth: mm(200) }]
 */
export function waysOf(thing: Thing, count: number, room: Room): readonly Way[] {
  const out = thing.mayStandOut ?? (0 as Length);
  const all = stancesOf(thing).flatMap((stance): Way[] => {
    const rows = rowsIn(thing, stance, add(room.depth, out));
    if (rows < 1) return [];
    return Array.from({ length: Math.min(thing.stack, count) }, (_, i): Way => {
      const layers = i + 1;
      const deep = Math.min(rows, Math.ceil(count / layers));
      const columns = Math.ceil(count / (layers * deep));
      return {
        width: (columns * stance.width) as Length,
        height: add((layers * stance.height) as Length, thing.clearance),
        depth: (deep * stance.depth) as Length,
      };
    });
  });
  const sorted = all.filter((w) => w.width <= room.width).sort((a, b) => a.height - b.height || a.width - b.width);
  let narrowest = Infinity;
  return sorted.filter((w) => {
    if (w.width >= narrowest) return false;
    narrowest = w.width;
    return true;
  });
}

/** How many of a thing go on one shelf at most, by width and by mass. */
function mostTogether(thing: Thing, count: number, room: Room): number {
  const byMass = room.mostKg !== undefined && thing.mass ? Math.floor(room.mostKg / thing.mass) : Infinity;
  let most = Math.min(count, Math.max(1, byMass));
  while (most > 0 && waysOf(thing, most, room).length === 0) most -= 1;
  return most;
}

/** The ways of several things that stand side by side: at every height that one of them has, each as narrow as it can be. */
function waysTogether(parts: readonly (readonly Way[])[], room: Room): readonly Way[] {
  const heights = [...new Set(parts.flatMap((p) => p.map((w) => w.height)))].sort((a, b) => a - b);
  let narrowest = Infinity;
  return heights.flatMap((height): Way[] => {
    const chosen = parts.map((p) => p.findLast((w) => w.height <= height));
    if (chosen.some((w) => w === undefined)) return [];
    const ways = chosen as Way[];
    const width = ways.reduce((sum, w) => sum + w.width, 0) as Length;
    if (width > room.width || width >= narrowest) return [];
    narrowest = width;
    return [{ width, height, depth: Math.max(...ways.map((w) => w.depth)) as Length }];
  });
}

/**
 * The items of a list: a thing too many for one shelf is parted, and things that are
 * wished together are one item where one shelf can hold them.
 * @example itemsOf(WANTED, BAY).items[0].kg // 4
 */
export function itemsOf(wanted: readonly Wanted[], room: Room): { items: readonly Item[]; misfits: readonly Misfit[] } {
  const misfits: Misfit[] = [];
  const singles: { group: string | undefined; item: Item }[] = [];
  for (const { id, thing, count } of wanted) {
    let left = count;
    const most = mostTogether(thing, count, room);
    if (most === 0) {
      const goesIn = stancesOf(thing).some((s) => s.depth <= add(room.depth, thing.mayStandOut ?? (0 as Length)));
      misfits.push({ thing: id, why: goesIn ? 'wide' : 'deep' });
      continue;
    }
    while (left > 0) {
      const part = Math.min(left, most);
      const item: Item = {
        placements: [{ thing: id, count: part }],
        ways: waysOf(thing, part, room),
        kg: asKg((thing.mass ?? 0) * part),
        often: thing.often ?? false,
      };
      singles.push({ group: count === part ? thing.together : undefined, item });
      left -= part;
    }
  }
  const groups = new Map<string, Item[]>();
  const items: Item[] = [];
  for (const { group, item } of singles) {
    if (group === undefined) items.push(item);
    else groups.set(group, [...(groups.get(group) ?? []), item]);
  }
  for (const members of groups.values()) {
    const kg = members.reduce((sum, m) => sum + m.kg, 0);
    const ways = waysTogether(
      members.map((m) => m.ways),
      room,
    );
    if (ways.length === 0 || (room.mostKg !== undefined && kg > room.mostKg)) items.push(...members);
    else items.push({ placements: members.flatMap((m) => m.placements), ways, kg: asKg(kg), often: members.some((m) => m.often) });
  }
  return { items, misfits };
}
