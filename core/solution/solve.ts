import { carry, type Carried } from '../carry/index.js';
import { checksOf, tooManyParts, type Check } from '../checks/index.js';
import { isCuttable, letter, partsOf, sawStep, type Part } from '../parts/index.js';
import type { Letters, Piece, Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { shapeOf } from '../shells/index.js';

/** All that follows from a piece. */
export interface Solution {
  readonly piece: Piece;
  /** What it was solved with. */
  readonly workshop: Workshop;
  readonly shape: Shape;
  /** What is cut; what would have no size left is not among it, and is told by the checks. */
  readonly parts: readonly Part[];
  /** The ledger with the letters of all parts of this solution. */
  readonly letters: Letters;
  /** Loads and checks follow from the shape; they take longest, and are worked out when they are first asked for. */
  readonly carried: Carried;
  readonly checks: readonly Check[];
}

/**
 * Works out a piece: its spaces, members, parts, loads and checks. Pure, and the same for
 * the same piece, workshop and ledger.
 * @param ledger the letters given to its parts so far
 * @example solve(CASE, SHOP, {}).parts.length // 5
 */
export function solve(piece: Piece, workshop: Workshop, ledger: Letters): Solution {
  const shape = shapeOf(piece, workshop);
  const step = sawStep((piece.rounding ?? workshop.settings.rounding).grid);
  const made = partsOf(shape.members, ledger, piece.edges.banding, step);
  const parts = made.parts.filter(isCuttable);
  const uncuttable = made.parts.filter((p) => !isCuttable(p));
  const { letters } = made;
  // What is only drawn needs no loads: they are worked out when they are first asked for, and once.
  const carried = once(() => carry(shape, workshop));
  const tooMany = tooManyParts(shape);
  const checks = once(() => (tooMany ? [tooMany] : checksOf(piece, shape, carried(), letters, workshop, uncuttable, parts)));
  return {
    piece,
    workshop,
    shape,
    parts,
    letters,
    get carried() {
      return carried();
    },
    get checks() {
      return checks();
    },
  };
}

/** Something that is worked out when it is first asked for. */
function once<T>(work: () => T): () => T {
  let done: { readonly value: T } | null = null;
  return () => (done ??= { value: work() }).value;
}

/**
 * The ledger of a piece with a letter for every part it has, without working out the rest.
 * @example Object.keys(lettersOf(CASE, SHOP, {})).length // 5
 */
export function lettersOf(piece: Piece, workshop: Workshop, ledger: Letters): Letters {
  return lettersFor(shapeOf(piece, workshop), ledger);
}

/** The same for a shape that is there already. @example lettersFor(SOLVED.shape, {}) // SOLVED.letters */
export function lettersFor({ members }: Pick<Shape, 'members'>, ledger: Letters): Letters {
  return letter(
    members.map((m) => m.id),
    ledger,
  );
}
