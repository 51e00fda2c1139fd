import { heightWith, heightsOf, lowestGroup, type Item, type Room, type ShelfGroup } from '../proposal/index.js';

/** The least height of any shelves for a few items: every way to part them, tried out. */
export function bestOfAll(items: readonly Item[], room: Room): number {
  const heights = heightsOf(items);
  const part = (rest: readonly Item[], groups: readonly (readonly Item[])[]): number => {
    const [first, ...others] = rest;
    if (!first) {
      const shelves = groups.map((g) => lowestGroup(g, heights, room));
      return shelves.some((s) => s === null) ? Infinity : heightWith(shelves as ShelfGroup[], room);
    }
    const joined = groups.map((g) =>
      part(
        others,
        groups.map((h) => (h === g ? [...h, first] : h)),
      ),
    );
    return Math.min(part(others, [...groups, [first]]), ...joined);
  };
  return part(items, []);
}
