import { radians, type Degrees } from '../measures/index.js';
import { Figure } from '../figure/index.js';
import { mm, toMm } from '../length/index.js';

/** How two sides lean back from the floor. */
export interface Lean {
  /** How far their front edges are from the rear of the piece, on the floor. */
  readonly front: Figure;
  /** How far off plumb they are, degrees. */
  readonly degrees: Degrees;
}

/** How much nearer the wall what leans is for each step up. @example slopeOf({ degrees: asDegrees(45) }) // 1 */
export const slopeOf = ({ degrees }: Pick<Lean, 'degrees'>): number => Math.tan(radians(degrees));

/**
 * The cosine of how far something leans off plumb: of what it is along itself, so much is height.
 * @example uprightPart({ degrees: asDegrees(60) }) // 0.5
 */
export const uprightPart = ({ degrees }: Pick<Lean, 'degrees'>): number => Math.cos(radians(degrees));

/**
 * How far out the front edges of sides that lean are at a height, from the rear of the piece.
 * @example frontAt({ front: size('front', mm(400)), degrees: asDegrees(45) }, size('up', mm(100))).value // mm(300)
 */
export function frontAt(lean: Lean, height: Figure): Figure {
  const out = mm(toMm(lean.front.value) - toMm(height.value) * slopeOf(lean));
  return Figure.formula('length', 'the front at the floor − height × tan of the lean', [lean.front, height], out);
}

/**
 * How long a height is along what leans: height / cos of the lean.
 * @example alongOf({ degrees: asDegrees(60) }, size('up', mm(300))).value // mm(600)
 */
export function alongOf(lean: Pick<Lean, 'degrees'>, height: Figure): Figure {
  return Figure.formula('length', 'height / cos of the lean', [height], mm(toMm(height.value) / uprightPart(lean)));
}
