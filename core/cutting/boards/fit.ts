import type { Packing, Pattern } from './problem.js';

interface Open {
  readonly board: number;
  readonly takes: number[];
  room: number;
}

/** The boards in the order that one is opened: cheapest by its length first, then the longest. */
function openingOrder({ boards }: Packing): number[] {
  return boards
    .map((_, i) => i)
    .sort((a, b) => {
      const [x, y] = [boards[a], boards[b]] as const;
      if (!x || !y) return 0;
      return x.cost / x.room - y.cost / y.room || y.room - x.room;
    });
}

/** What a newly opened board would be: the first in order that the size goes on, and of which one is left. */
function opened(packing: Packing, order: readonly number[], used: readonly number[], size: number): Open | null {
  const board = order.find((b) => {
    const kind = packing.boards[b];
    return kind !== undefined && kind.room >= size && (used[b] ?? 0) < kind.count;
  });
  if (board === undefined) return null;
  return { board, takes: packing.sizes.map(() => 0), room: packing.boards[board]?.room ?? 0 };
}

/**
 * Puts each length, the longest first, on the board that is open already: `first` on the
 * first it goes on (first-fit decreasing), `best` on the one that it leaves least of
 * (best-fit decreasing). A first answer at once.
 */
export function fitDecreasing(packing: Packing, rule: 'first' | 'best'): Pattern[] {
  const order = openingOrder(packing);
  const used = packing.boards.map(() => 0);
  const open: Open[] = [];
  packing.sizes.forEach((size, i) => {
    for (let copy = 0; copy < (packing.demand[i] as number); copy += 1) {
      let at: Open | null = null;
      for (const one of open) {
        if (one.room < size) continue;
        if (!at || one.room < at.room) at = one;
        if (rule === 'first') break;
      }
      if (!at) {
        at = opened(packing, order, used, size);
        if (!at) return;
        used[at.board] = (used[at.board] ?? 0) + 1;
        open.push(at);
      }
      at.takes[i] = (at.takes[i] ?? 0) + 1;
      at.room -= size;
    }
  });
  return open;
}
