import { knapsack } from './knapsack.js';
import type { Prices } from './listed.js';
import { Master, Pool } from './master.js';
import type { Packing, Pattern } from './problem.js';

const SMALL = 1e-9;

/** The most pivots for each row, past which it is stopped: it would have come round in a circle. */
const MOST_PIVOTS = 200;

/** A program that is solved, and where one can go on from it. */
export interface Relaxed {
  /** All patterns that are known. */
  readonly patterns: readonly Pattern[];
  /** How often each is taken, in fractions. */
  readonly times: readonly number[];
  /** The least that any layout of what is wanted costs. */
  readonly cost: number;
  /** What is wanted, and the boards there are. */
  readonly rest: Packing;
  readonly prices: Prices;
  /** The same once a pattern was taken so many times. */
  readonly after: (pattern: number, times: number) => Relaxed;
}

function relaxed(master: Master): Relaxed {
  const { pool } = master;
  const rest = master.rest();
  let prices = master.prices();
  for (let n = 0; n < MOST_PIVOTS * (10 + pool.lengths.length); n += 1) {
    prices = master.prices();
    const over = master.surplus(prices);
    if (over) {
      master.enter(over);
      continue;
    }
    let [best, least] = [-1, -SMALL];
    for (const i of master.fits) {
      const cost = master.reducedCost(i, prices);
      if (cost < least) [best, least] = [i, cost];
    }
    if (best < 0) best = priced(master, rest, prices);
    if (best < 0) break;
    master.admit(best);
    master.enter({ kind: 'pattern', pattern: best });
  }
  return {
    patterns: pool.patterns,
    times: master.times(),
    cost: boundAt(master, rest, prices),
    rest,
    prices: { worth: worthAt(master, prices), ofBoards: rest.boards.map((_, b) => master.priceOfBoard(b, prices)) },
    after: (pattern, times) => relaxed(master.after(pattern, times)),
  };
}

/**
 * The linear program over all patterns there could be (Gilmore and Gomory 1961): starts
 * with some, and takes in for every kind of board the one that the prices of the lengths make
 * worth most (a bounded knapsack), until none is worth more than its board costs.
 * @returns its cost is a bound on every layout
 */
export function relax(packing: Packing, start: readonly Pattern[]): Relaxed {
  const pool = new Pool(packing);
  start.forEach((pattern) => pool.add(pattern));
  return relaxed(Master.of(pool));
}

/** What the prices of a program say each length of the packing is worth. */
function worthAt({ pool: { packing, lengths } }: Master, prices: Float64Array): number[] {
  const worth = packing.sizes.map(() => 0);
  lengths.forEach((i, row) => (worth[i] = Math.max(0, prices[row] as number)));
  return worth;
}

/** The pattern that pays most at these prices, put to the others; -1 where none does. */
function priced(master: Master, rest: Packing, prices: Float64Array): number {
  const worth = worthAt(master, prices);
  let [best, least] = [-1, -1e-8];
  rest.boards.forEach(({ room, cost, count }, board) => {
    if (count <= 0) return;
    const found = knapsack(rest.sizes, worth, rest.demand, room);
    const reduced = cost - found.worth - master.priceOfBoard(board, prices);
    const added = reduced < least ? master.pool.add({ board, takes: found.takes }) : -1;
    if (added >= 0) [best, least] = [added, reduced];
  });
  return best;
}

/**
 * What the prices prove (weak duality): what is wanted at its prices, scaled so that no pattern is worth more than
 * its board costs. Rounding in the simplex can then not make a bound that is too high.
 */
function boundAt(master: Master, rest: Packing, prices: Float64Array): number {
  const worth = worthAt(master, prices);
  let scale = 1;
  let limits = 0;
  rest.boards.forEach(({ room, cost, count }, board) => {
    if (count <= 0) return;
    const limit = Math.max(0, -master.priceOfBoard(board, prices));
    const most = knapsack(rest.sizes, worth, rest.demand, room).worth - limit;
    if (most > cost) scale = Math.min(scale, cost / most);
    if (limit > 0) limits += limit * count;
  });
  const value = rest.demand.reduce((sum, d, i) => sum + (worth[i] as number) * d, 0);
  return scale * (value - limits);
}
