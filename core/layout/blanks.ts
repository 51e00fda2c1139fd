import { ceilTo, fromUnits, mm, type Length } from '../length/index.js';
import { sawStep, type Part } from '../parts/index.js';
import type { Solution } from '../solution/index.js';
import { hasGrain, type Stock } from '../stock/index.js';

/** A piece whose parts are cut, with all that follows from it. */
export interface PieceToCut {
  readonly id: string;
  readonly solution: Solution;
}

/** A rectangle to be sawn for a part: the part itself, or one of the strips that it is glued from. */
export interface Blank {
  /** Which part of which piece, which copy of it, and which strip; made to tell them apart. */
  readonly key: string;
  readonly piece: PieceToCut;
  readonly part: Part;
  readonly length: Length;
  readonly width: Length;
  /** Its length must lie along the grain. */
  readonly grain: boolean;
  /** Cut to spare. */
  readonly spare: boolean;
  /** It becomes no part: settings are tried on it. */
  readonly test: boolean;
  /** Its part is cut already, as was noted when it was built. */
  readonly isCut: boolean;
  /** Which of how many strips it is, where the part is glued from several. */
  readonly strip: { readonly nth: number; readonly of: number } | null;
}

/** What a part that is glued from strips has over until it is planed: in all across, and along. */
const GLUED_OVER = { across: mm(6), along: mm(20) };

/** How a part that is wider than the board is made of strips: as few as will do, each as wide as the others. */
function stripsOf(
  length: Length,
  width: Length,
  board: Stock,
  step: Length,
): { readonly of: number; readonly length: Length; readonly width: Length } {
  const all = width + GLUED_OVER.across;
  const of = Math.ceil(all / board.width);
  const long = length + GLUED_OVER.along > board.length ? length : ((length + GLUED_OVER.along) as Length);
  return { of, length: long, width: ceilTo(fromUnits(all / of), step) };
}

/** Every blank of one part: as often as the piece is made, and some to spare. */
function blanksOfPart(piece: PieceToCut, part: Part, board: Stock): Blank[] {
  const { solution } = piece;
  const times = solution.piece.times ?? 1;
  const spares = (part.member.spares ?? 0) * times;
  const step = sawStep((solution.piece.rounding ?? solution.workshop.settings.rounding).grid);
  const [length, width] = [part.cut.length.set, part.cut.width.set];
  const glued = board.form === 'board' && width > board.width ? stripsOf(length, width, board, step) : null;
  return Array.from({ length: times + spares }, (_, copy) =>
    Array.from({ length: glued?.of ?? 1 }, (__, nth): Blank => ({
      key: [piece.id, part.id, copy, ...(glued ? [nth] : [])].join(' '),
      piece,
      part,
      length: glued?.length ?? length,
      width: glued?.width ?? width,
      grain: hasGrain(board),
      spare: copy >= times,
      test: false,
      isCut: copy === 0 && solution.workshop.made?.has(part.id) === true,
      strip: glued ? { nth, of: glued.of } : null,
    })),
  ).flat();
}

/** A piece of each stock that settings are tried on: as long as is asked for, and as wide as its narrowest part. */
function testPiece(blanks: readonly Blank[], long: Length): Blank {
  const narrowest = blanks.reduce((a, b) => (b.width < a.width ? b : a));
  const { piece, part, width, grain } = narrowest;
  return {
    key: [part.member.stockId, 'test'].join(' '),
    piece,
    part,
    length: long,
    width,
    grain,
    spare: false,
    test: true,
    isCut: false,
    strip: null,
  };
}

/**
 * What must be sawn of each stock, for pieces that are cut together; stocks in the order that they are first asked for.
 * @param testLong how long a piece is, of each stock, that settings are tried on; none where it is left out
 * @example blanksOf([TO_CUT]).get('ply').length // 5
 */
export function blanksOf(pieces: readonly PieceToCut[], testLong?: Length): ReadonlyMap<string, readonly Blank[]> {
  const byStock = new Map<string, Blank[]>();
  for (const piece of pieces) {
    for (const part of piece.solution.parts) {
      const { stockId, stock } = part.member;
      const list = byStock.get(stockId) ?? [];
      list.push(...blanksOfPart(piece, part, stock));
      byStock.set(stockId, list);
    }
  }
  if (testLong !== undefined) for (const list of byStock.values()) list.push(testPiece(list, testLong));
  return byStock;
}
