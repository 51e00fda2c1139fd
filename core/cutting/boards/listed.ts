import type { Packing, Pattern } from './problem.js';

/** What the linear program says a length is worth, and what one board more of each kind is (zero or less). */
export interface Prices {
  readonly worth: readonly number[];
  readonly ofBoards: readonly number[];
}

/** So many patterns at most are written down, and so many steps taken to find them. */
const [MOST_PATTERNS, MOST_STEPS] = [20_000, 20_000_000];

/** Prices are worked out to about so much. */
const ROUNDING = 1e-5;

/** What a layout that costs so much at most may leave over in all, where there is one kind of board; Infinity else. */
function spareIn({ sizes, demand, boards }: Packing, cost: number): number {
  const [only] = boards;
  if (boards.length !== 1 || !only || only.cost <= 0) return Infinity;
  const used = sizes.reduce((sum, s, i) => sum + s * (demand[i] as number), 0);
  return Math.floor(cost / only.cost + ROUNDING) * only.room - used;
}

/**
 * Every pattern that a layout of a cost can have. What a pattern costs over the worth of its lengths adds
 * up over a layout to what that costs over the bound, and what patterns leave over adds up too; so no pattern has more of either.
 * @param more what the layout may cost over the bound that these prices prove
 * @returns null where they are too many to write down
 */
export function patternsListed(packing: Packing, cost: number, { worth, ofBoards }: Prices, more: number): readonly Pattern[] | null {
  const spare = spareIn(packing, cost);
  const items = packing.sizes
    .map((size, i) => ({ i, size, worth: worth[i] as number, most: packing.demand[i] as number }))
    .filter((x) => x.most > 0);
  // The most that a unit of what is left can be worth, from each item on.
  const dense = items.map((x) => x.worth / x.size);
  for (let n = dense.length - 2; n >= 0; n -= 1) dense[n] = Math.max(dense[n] as number, dense[n + 1] as number);
  const found: Pattern[] = [];
  let steps = 0;
  const takes = packing.sizes.map(() => 0);
  const from = (n: number, room: number, lacking: number, board: number): boolean => {
    steps += 1;
    if (steps > MOST_STEPS || found.length > MOST_PATTERNS) return false;
    if (lacking <= ROUNDING && room <= spare) found.push({ board, takes: [...takes] });
    for (let next = n; next < items.length; next += 1) {
      if ((dense[next] as number) * room < lacking - ROUNDING) break;
      const { i, size, worth: each, most } = items[next] as (typeof items)[number];
      for (let count = 1; count <= most && count * size <= room; count += 1) {
        takes[i] = count;
        if (!from(next + 1, room - count * size, lacking - count * each, board)) return false;
      }
      takes[i] = 0;
    }
    return true;
  };
  const whole = packing.boards.every(
    (kind, board) => kind.count <= 0 || from(0, kind.room, kind.cost - (ofBoards[board] ?? 0) - more, board),
  );
  return whole ? found : null;
}

/** Prices that say nothing: patterns are told apart by what they leave over alone. */
export function noPrices(packing: Packing): Prices {
  return { worth: packing.sizes.map(() => 0), ofBoards: packing.boards.map(() => 0) };
}
