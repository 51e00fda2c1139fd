import { ZERO, add, floorTo, fromUnits, roundTo, type Length } from '../length/index.js';
import type { Rounding } from './rule.js';
import { solveRun } from './solve.js';
import type { RunSpec } from './types.js';
import { size } from '../figure/index.js';

/** One count of members that comes near a wanted gap. */
export interface NearCount {
  readonly members: number;
  readonly gaps: number;
  /** Each gap, exactly; zero or more. */
  readonly gap: Length;
  /** The gap brought down to the grid, and what is then left over in all. */
  readonly set: Length;
  readonly leftover: Length;
  /** The gap less the wanted one; negative when tighter. */
  readonly off: Length;
}

/**
 * Which counts of equal members come nearest to a wanted gap in a given total.
 * @param ends how many gaps there are beyond one between each two members: 1 for shelves in
 *   a case (a gap at both ends), −1 for slats with members at both ends
 * @returns at most `most` counts, nearest first
 * @example nearestCounts(mm(1000), mm(20), mm(300), 1, mm(1))[0].gap // mm(320)
 */
export function nearestCounts(
  total: Length,
  member: Length,
  wantedGap: Length,
  ends: 1 | -1,
  grid: Length,
  most = 3,
): readonly NearCount[] {
  const least = ends === 1 ? 0 : 2;
  const guess = Math.floor((total - ends * wantedGap) / (member + wantedGap));
  const counts = Array.from({ length: 5 }, (_, i) => guess - 1 + i).filter((n) => n >= least);
  return counts
    .flatMap((members): NearCount[] => {
      const gaps = members + ends;
      const free = total - members * member;
      if (gaps < 1 || free < 0) return [];
      const gap = fromUnits(free / gaps);
      const set = floorTo(gap, grid);
      return [{ members, gaps, gap, set, leftover: fromUnits(free - gaps * set), off: fromUnits(gap - wantedGap) }];
    })
    .sort((a, b) => Math.abs(a.off) - Math.abs(b.off))
    .slice(0, most);
}

/**
 * The total nearest the wanted one at which every free gap lands on the grid with nothing left over.
 * @returns the total, or null when no free gap is there to land
 * @example snapTotal(RUN, mm(1001)) // mm(1000)
 */
export function snapTotal(spec: RunSpec, wanted: Length): Length | null {
  const rounding: Rounding = { ...spec.rounding, set: 'gaps', leftover: 'last' };
  const solved = solveRun({ ...spec, rounding, total: { kind: 'given', figure: size('wanted', wanted) } });
  if (solved.conflicts.length > 0) return null;
  const free = solved.lines.filter((p) => p.line.kind === 'gap' && p.line.rule.kind === 'share');
  const first = free[0];
  if (!first) return null;
  const weights = free.map((p) => (p.line.kind === 'gap' && p.line.rule.kind === 'share' ? p.line.rule.weight : 1));
  const sum = weights.reduce((a, b) => a + b, 0);
  const shared = free.reduce((all, p) => all + p.exact.value, 0);
  const one = roundTo(fromUnits(shared / sum), rounding.grid);
  const others = add(...solved.lines.filter((p) => !free.includes(p)).map((p) => p.size.value), ZERO);
  return fromUnits(others + one * sum);
}
