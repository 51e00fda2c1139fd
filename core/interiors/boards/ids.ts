import type { PlacedRun } from '../../piece/index.js';
import { dividingMemberId } from '../ids.js';

/** The boards at the ends of a layout, by the space it divides. @example endBoardIds('in').after // 'in/board/last' */
export function endBoardIds(owner: string) {
  return { before: `${owner}/board/first`, after: `${owner}/board/last` } as const;
}

/**
 * The boards of every layout there is, by their member ids: into those channels can be cut.
 * @example boardsOf(SOLVED.shape.runs.values()).size // 0
 */
export function boardsOf(runs: Iterable<PlacedRun>): ReadonlySet<string> {
  return new Set(
    [...runs].flatMap(({ roles, endIds, owner }) => {
      const between = [...roles].flatMap(([node, role]) => (role === 'board' ? [dividingMemberId(node, role)] : []));
      const ends = endBoardIds(owner);
      return [...between, ...(endIds?.before === ends.before ? [ends.before, ends.after] : [])];
    }),
  );
}
