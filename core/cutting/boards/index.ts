import type { ProgramSolver } from '../program.js';
import type { Bound } from '../wanted.js';
import { continuousCost, fewestBoards, leastTotal } from './bounds.js';
import { chosen, dive } from './columns.js';
import { fitDecreasing } from './fit.js';
import { noPrices, patternsListed } from './listed.js';
import { relax } from './relax.js';
import { layoutOf, packingOf, type BoardLayout, type BoardProblem, type Packing, type Pattern } from './problem.js';

export type { BoardLayout, BoardProblem, LengthWanted, SawnBoard } from './problem.js';

/** A layout, with what no layout could go below. */
export interface BoardAnswer extends BoardLayout {
  readonly cost: number;
  readonly bound: Bound;
  /** No layout costs less. */
  readonly proven: boolean;
}

/** Costs are sums of prices: two that differ by less are the same. */
const SAME = 1e-6;

interface Rated {
  readonly patterns: readonly Pattern[];
  readonly cost: number;
  readonly missing: number;
}

function rated(packing: Packing, patterns: readonly Pattern[]): Rated {
  const cut = packing.sizes.map((_, i) => patterns.reduce((n, p) => n + (p.takes[i] ?? 0), 0));
  return {
    patterns,
    cost: patterns.reduce((sum, p) => sum + (packing.boards[p.board]?.cost ?? 0), 0),
    missing: packing.demand.reduce((n, d, i) => n + Math.max(0, d - (cut[i] as number)), 0),
  };
}

const better = (a: Rated, b: Rated) => a.missing < b.missing || (a.missing === b.missing && a.cost < b.cost - SAME);

/** The least cost no less than another that whole boards come to. */
const wholeCost = (packing: Packing, cost: number): number => leastTotal(packing.boards, cost - SAME);

function answerOf(problem: BoardProblem, order: readonly number[], best: Rated, bound: Bound): BoardAnswer {
  const proven = best.missing === 0 && best.cost <= bound.cost + SAME * (1 + bound.cost);
  return { ...layoutOf(problem, order, best.patterns), cost: best.cost, bound, proven };
}

function firstOf(packing: Packing): Rated {
  const tries = [fitDecreasing(packing, 'best'), fitDecreasing(packing, 'first')].map((p) => rated(packing, p));
  return tries.reduce((a, b) => (better(b, a) ? b : a));
}

/** What can be said without a program: no layout costs less than its lengths together, nor opens fewer boards than its long ones need. */
function boundAtOnce(packing: Packing & { readonly exact: boolean }): Bound {
  if (!packing.exact) return { count: 0, cost: 0 };
  const count = fewestBoards(packing);
  const cheapest = Math.min(Infinity, ...packing.boards.map((b) => b.cost));
  const byCount = Number.isFinite(cheapest) ? count * cheapest : 0;
  return { count, cost: wholeCost(packing, Math.max(byCount, continuousCost(packing))) };
}

/**
 * A layout at once: best-fit and first-fit decreasing, whichever is cheaper.
 * @example layBoards({ wanted: [{ length: mm(600), ids: ['a', 'b'] }], boards: [{ id: 'pine', length: mm(2000), count: 1, cost: 1 }], kerf: mm(3), trim: mm(0) }).sawn[0].lengths.length // 2
 */
export function layBoards(problem: BoardProblem): BoardAnswer {
  const packing = packingOf(problem);
  return answerOf(problem, packing.order, firstOf(packing), boundAtOnce(packing));
}

/** How many programs a dive solves at most. */
const PROGRAMS = 120;

/** The whole patterns that are chosen among: a program over many more takes minutes. */
const MOST_CHOSEN = 400;

/** How far the choice among whole patterns is searched. */
const NODES = 400;

/**
 * The best layout there is, or nearly: column generation, a dive, and the integer program
 * over the patterns it found. Ends as soon as the bound is reached.
 * @param solve solves linear and integer programs
 */
export function layBoardsWell(problem: BoardProblem, solve: ProgramSolver): BoardAnswer {
  const packing = packingOf(problem);
  let best = firstOf(packing);
  const early = boundAtOnce(packing);
  if (packing.sizes.length === 0 || (best.missing === 0 && best.cost <= early.cost + SAME)) {
    return answerOf(problem, packing.order, best, early);
  }
  let bound = early;
  const reached = () => best.missing === 0 && best.cost <= bound.cost + SAME * (1 + bound.cost);
  const consider = (patterns: readonly Pattern[] | null) => {
    const next = patterns && rated(packing, patterns);
    if (next && better(next, best)) best = next;
    return reached();
  };
  const answer = () => answerOf(problem, packing.order, best, bound);
  const among = (patterns: readonly Pattern[]) => consider(chosen(packing, patterns, solve, NODES));
  // Where next to nothing may be left over, few patterns will do, and the program over all of them is not needed.
  const tight = packing.boards.length === 1 ? patternsListed(packing, early.cost, noPrices(packing), Infinity) : null;
  if (tight && among(tight)) return answer();
  const relaxed = relax(packing, best.patterns);
  if (packing.exact) bound = { ...early, cost: Math.max(early.cost, wholeCost(packing, relaxed.cost)) };
  if (reached()) return answer();
  const few = patternsListed(packing, bound.cost, relaxed.prices, bound.cost - relaxed.cost);
  if (few && few.length <= MOST_CHOSEN && among(few)) return answer();
  // A layout that leaves nothing out beats any that does, whatever it costs.
  const cost = best.missing === 0 ? best.cost : Infinity;
  const least = (fixed: number, rest: number) => wholeCost(packing, fixed + rest);
  if (consider(dive(relaxed, { cost, least, programs: PROGRAMS }))) return answer();
  // Of too many those that cost least over the worth of their lengths, beside those that are known to go together.
  const over = ({ board, takes }: Pattern) =>
    (packing.boards[board]?.cost ?? 0) - takes.reduce((sum, t, i) => sum + t * (relaxed.prices.worth[i] as number), 0);
  const others = few && few.length > MOST_CHOSEN ? few : relaxed.patterns;
  const nearest = others.toSorted((p, q) => over(p) - over(q)).slice(0, MOST_CHOSEN);
  among([...nearest, ...best.patterns]);
  return answer();
}
