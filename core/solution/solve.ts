import { carry, type Carried } from '../carry/index.js';
import { checksOf, type Check } from '../checks/index.js';
import { letter, partsOf, type Part } from '../parts/index.js';
import type { Letters, Piece, Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { shapeOf } from '../shells/index.js';

/** All that follows from a piece. */
export interface Solution {
  readonly piece: Piece;
  /** What it was solved with. */
  readonly workshop: Workshop;
  readonly shape: Shape;
  readonly parts: readonly Part[];
  /** The ledger with the letters of all parts of this solution. */
  readonly letters: Letters;
  readonly carried: Carried;
  readonly checks: readonly Check[];
}

/**
 * Works out a piece: its spaces, members, parts, loads and checks. Pure, and the same for
 * the same piece, workshop and ledger.
 * @param ledger the letters given to its parts so far
 */
export function solve(piece: Piece, workshop: Workshop, ledger: Letters): Solution {
  const shape = shapeOf(piece, workshop);
  const { parts, letters } = partsOf(shape.members, ledger, piece.edges.banding, (piece.rounding ?? workshop.settings.rounding).grid);
  const carried = carry(shape, workshop);
  return { piece, workshop, shape, parts, letters, carried, checks: checksOf(piece, shape, carried, letters, workshop) };
}

/** The ledger of a piece with a letter for every part it has, without working out the rest. */
export function lettersOf(piece: Piece, workshop: Workshop, ledger: Letters): Letters {
  return letter(
    shapeOf(piece, workshop).members.map((m) => m.id),
    ledger,
  );
}
