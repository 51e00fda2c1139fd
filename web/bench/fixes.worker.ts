import type { Letters, Piece } from '../../core/piece/index.js';
import type { Workshop } from '../../core/project/index.js';
import { solve, triedFixes, type TriedFix } from '../../core/solution/index.js';

/** Checks of a piece whose fixes are to be tried, the worst first. */
export interface FixesAsked {
  readonly piece: Piece;
  readonly workshop: Workshop;
  readonly letters: Letters;
  readonly checks: readonly string[];
}

/** The fixes of each check that were tried, by its id. */
export type FixesTried = ReadonlyMap<string, readonly TriedFix[]>;

/** So many fixes are tried, of the worst checks first: each is a piece that is solved. */
const MOST = 40;

self.onmessage = ({ data: { piece, workshop, letters, checks } }: MessageEvent<FixesAsked>) => {
  const before = solve(piece, workshop, letters);
  const tried = new Map<string, readonly TriedFix[]>();
  let left = MOST;
  for (const id of checks) {
    if (left <= 0) break;
    const came = triedFixes(before, workshop, letters, id);
    left -= came.length;
    tried.set(id, came);
  }
  self.postMessage(tried satisfies FixesTried);
};
