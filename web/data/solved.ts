import type { KeptPiece } from '../../core/formats/index.js';
import type { Workshop } from '../../core/project/index.js';
import { solve, type Solution } from '../../core/solution/index.js';

/** What a piece is solved with, by its id: the same function for as long as nothing of that changes. */
type WorkshopOf = (pieceId: string) => Workshop;

const solutions = new WeakMap<KeptPiece, { readonly by: WorkshopOf; readonly solution: Solution }>();

/** A piece as it is kept, solved once for all who ask, until it or what it is solved with changes. */
export function solvedPiece(id: string, kept: KeptPiece, workshopOf: WorkshopOf): Solution {
  const known = solutions.get(kept);
  if (known?.by === workshopOf) return known.solution;
  const solution = solve(kept.piece, workshopOf(id), kept.letters);
  solutions.set(kept, { by: workshopOf, solution });
  return solution;
}
