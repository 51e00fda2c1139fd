import type { Letters, Piece } from '../../core/piece/index.js';
import type { Workshop } from '../../core/project/index.js';
import { solve, triedFixes, type TriedFix } from '../../core/solution/index.js';

/** A check of a piece whose fixes are to be tried. */
export interface FixesAsked {
  readonly piece: Piece;
  readonly workshop: Workshop;
  readonly letters: Letters;
  readonly check: string;
}

self.onmessage = ({ data: { piece, workshop, letters, check } }: MessageEvent<FixesAsked>) => {
  const reply: readonly TriedFix[] = triedFixes(solve(piece, workshop, letters), workshop, letters, check);
  self.postMessage(reply);
};
