import { size, type Figure } from '../../figure/index.js';
import { ZERO, add, sub, type Length } from '../../length/index.js';
import type { Wood } from '../../project/index.js';

/** A stretch of a run that is made of one board, from where it begins. */
export interface Stretch {
  readonly from: Length;
  readonly to: Length;
}

/**
 * A run of boards end to end, each as long as its stock and the last one shorter; from the right where the seams should lie elsewhere than below.
 * @example stretches(mm(4180), mm(2400), false)[1] // { from: mm(2400), to: mm(4180) }
 */
export function stretches(whole: Length, board: Length, fromRight: boolean): readonly Stretch[] {
  if (whole <= board) return [{ from: ZERO, to: whole }];
  const full = Math.ceil(whole / board) - 1;
  const seams = Array.from({ length: full }, (_, i) => (fromRight ? whole - (full - i) * board : (i + 1) * board) as Length);
  return [...seams, whole].map((to, i) => ({ from: seams[i - 1] ?? ZERO, to }));
}

/** Where boards of a run meet, from where it begins. @example seamsOf(mm(4180), mm(2400), true) // [mm(1780)] */
export const seamsOf = (whole: Length, board: Length, fromRight: boolean): readonly Length[] =>
  stretches(whole, board, fromRight)
    .slice(1)
    .map((s) => s.from);

/** How long a board of a run is, as the sum that it comes from. */
export function stretchLength(run: Figure, { from, to }: Stretch, { id, stock }: Wood): Figure {
  const long = sub(to, from);
  if (long === run.value) return run;
  const board = size(`${stock.name}, long`, stock.length, { in: 'stock', id, field: 'length' });
  if (long === stock.length) return board;
  const others = Math.round((run.value - long) / stock.length);
  return run.minus(board.times(others).named(others > 1 ? 'whole boards' : 'one whole board'));
}

/**
 * What two stretches have in common; null for nothing.
 * @example common({ from: mm(0), to: mm(5) }, { from: mm(3), to: mm(9) }) // { from: mm(3), to: mm(5) }
 */
export function common(a: Stretch, b: Stretch): Stretch | null {
  const [from, to] = [Math.max(a.from, b.from) as Length, Math.min(a.to, b.to) as Length];
  return to > from ? { from, to } : null;
}

/** A stretch as it lies in the piece. @example shifted({ from: mm(0), to: mm(5) }, mm(2)) // { from: mm(2), to: mm(7) } */
export const shifted = ({ from, to }: Stretch, by: Length): Stretch => ({ from: add(from, by), to: add(to, by) });
