import type { Packing } from './problem.js';

/** No layout uses less than all its lengths together: the cheapest boards by their length, and no more of each than there are. */
export function continuousCost({ sizes, demand, boards }: Packing): number {
  let left = sizes.reduce((sum, s, i) => sum + s * (demand[i] as number), 0);
  let cost = 0;
  for (const board of [...boards].sort((a, b) => a.cost / a.room - b.cost / b.room)) {
    if (left <= 0) break;
    const used = Math.min(board.count, left / board.room);
    cost += used * board.cost;
    left -= used * board.room;
  }
  return cost;
}

/** Prices are whole numbers of this, and totals are looked through up to so many of it. */
const CENT = 0.01;
const MOST_CENTS = 2_000_000;

/**
 * The least total of whole boards that is no less than a cost: with boards at 2.13 and 3.19 nothing comes to 4.00. The cost itself where prices are no whole cents.
 * @example leastTotal([{ cost: 2.13 }, { cost: 3.19 }], 4) // 4.26
 */
export function leastTotal(boards: readonly { readonly cost: number }[], cost: number): number {
  const cents = [...new Set(boards.map((b) => b.cost / CENT))].filter((c) => c > 0);
  const whole = cents.map(Math.round);
  const most = Math.ceil(cost / CENT) + Math.max(0, ...whole);
  if (cents.length === 0 || cents.some((c, i) => Math.abs(c - (whole[i] as number)) > 1e-6) || most > MOST_CENTS) return cost;
  const from = Math.ceil(cost / CENT - 1e-6);
  const comes = new Uint8Array(most + 1);
  comes[0] = 1;
  for (let total = 0; total <= most; total += 1) {
    if (!comes[total]) continue;
    if (total >= from) return Math.max(cost, total * CENT);
    for (const c of whole) if (total + c <= most) comes[total + c] = 1;
  }
  return cost;
}

/**
 * The fewest boards of the longest kind that any layout opens: lengths over half a board lie alone, and short ones are
 * counted by what is left beside them (bound L2 of Martello and Toth 1990).
 */
export function fewestBoards({ sizes, demand, boards }: Packing): number {
  const room = Math.max(0, ...boards.map((b) => b.room));
  const items = sizes.map((size, i) => ({ size, count: demand[i] as number })).filter(({ size }) => size <= room);
  const count = (of: (size: number) => boolean) => items.reduce((n, i) => n + (of(i.size) ? i.count : 0), 0);
  const total = (of: (size: number) => boolean) => items.reduce((n, i) => n + (of(i.size) ? i.count * i.size : 0), 0);
  const limits = [0, ...new Set(items.map((i) => i.size).filter((s) => 2 * s <= room))];
  return Math.max(
    0,
    ...limits.map((least) => {
      const large = count((s) => s > room - least);
      const half = (s: number) => s <= room - least && 2 * s > room;
      const small = total((s) => 2 * s <= room && s >= least);
      const spare = count(half) * room - total(half);
      return large + count(half) + Math.max(0, Math.ceil((small - spare) / room - 1e-9));
    }),
  );
}
