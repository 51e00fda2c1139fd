import { greatestCommonDivisor, type Length } from '../../length/index.js';
import type { Blade, Board } from '../wanted.js';

/** A length wanted so many times; each copy is known by the id of its part. */
export interface LengthWanted {
  readonly length: Length;
  readonly ids: readonly string[];
}

/** Lengths to be sawn from boards, one after the other along each. */
export interface BoardProblem extends Blade {
  readonly wanted: readonly LengthWanted[];
  readonly boards: readonly Board[];
}

/** One board with what is sawn from it, in order from its first end. */
export interface SawnBoard {
  readonly board: Board;
  readonly lengths: readonly { readonly id: string; readonly length: Length }[];
}

/** Boards laid out. */
export interface BoardLayout {
  readonly sawn: readonly SawnBoard[];
  /** What no board is left for, or that is longer than any. */
  readonly missing: readonly string[];
}

/**
 * The same problem without kerf and trim: every length is a kerf longer, and so is every
 * board, since the last cut of a board takes its kerf from nothing (what is left may be
 * less than a kerf). All whole numbers of one unit.
 */
export interface Packing {
  readonly sizes: readonly number[];
  readonly demand: readonly number[];
  readonly boards: readonly { readonly room: number; readonly cost: number; readonly count: number }[];
}

/** How often each size is taken from one board of a kind. */
export interface Pattern {
  readonly board: number;
  readonly takes: readonly number[];
}

/** The finest that boards are told apart in; a finer unit makes tables too large to fill at once. */
const MOST_CELLS = 40_000;

/**
 * The packing of a problem, sizes from the longest.
 * @returns with `exact` false where the unit had to be coarser than the lengths: sizes are then rounded up, so that a packing still fits but is no bound
 */
export function packingOf({
  wanted,
  boards,
  kerf,
  trim,
}: BoardProblem): Packing & { readonly order: readonly number[]; readonly exact: boolean } {
  const order = wanted.map((_, i) => i).sort((a, b) => (wanted[b] as LengthWanted).length - (wanted[a] as LengthWanted).length);
  const sizes = order.map((i) => (wanted[i] as LengthWanted).length + kerf);
  const rooms = boards.map((b) => Math.max(0, b.length - 2 * trim + kerf));
  const divisor = [...sizes, ...rooms].reduce(greatestCommonDivisor, 0) || 1;
  const cells = Math.max(1, ...rooms) / divisor;
  const unit = cells > MOST_CELLS ? Math.ceil((divisor * cells) / MOST_CELLS) : divisor;
  return {
    order,
    exact: unit === divisor,
    sizes: sizes.map((s) => Math.ceil(s / unit)),
    demand: order.map((i) => (wanted[i] as LengthWanted).ids.length),
    boards: boards.map((b, i) => ({ room: Math.floor((rooms[i] as number) / unit), cost: b.cost, count: b.count })),
  };
}

/** What a length costs that is not sawn at all: more than any board. */
export function costOfMissing({ boards }: Packing): number {
  return 1000 * Math.max(1, ...boards.map((b) => b.cost));
}

/** The layout that patterns come to: ids are given out in the order they are wanted, the longest first on each board. */
export function layoutOf(problem: BoardProblem, order: readonly number[], patterns: readonly Pattern[]): BoardLayout {
  const left = order.map((i) => [...(problem.wanted[i] as LengthWanted).ids]);
  const sawn = patterns.flatMap(({ board, takes }): SawnBoard[] => {
    const lengths = takes.flatMap((times, i) => {
      const { length } = problem.wanted[order[i] as number] as LengthWanted;
      return (left[i] as string[]).splice(0, times).map((id) => ({ id, length }));
    });
    return lengths.length > 0 ? [{ board: problem.boards[board] as Board, lengths }] : [];
  });
  return { sawn, missing: left.flat() };
}
