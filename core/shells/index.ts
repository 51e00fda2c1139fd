import { keptMembers, type Piece, type Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { shellOf } from './kinds.js';

export * from './kinds.js';
export type * from './kind.js';
export * from './panel-case/spec.js';
export * from './folding/spec.js';
export * from './frame/spec.js';
export * from './in-place/spec.js';
export { sizesWithin } from './in-place/tied.js';
export * from './leaning/spec.js';
export * from './wall-board/spec.js';
export { CASE } from './panel-case/ids.js';

/** The geometry of a piece, whatever its shell is. @example shapeOf(SOLVED.piece, SHOP).members.length // 5 */
export function shapeOf(piece: Piece, workshop: Workshop): Shape {
  const shape = shellOf(piece).shape(piece, workshop);
  const { forBooks, shelfLoad } = piece;
  return {
    ...shape,
    members: keptMembers(shape.members),
    ...(forBooks ? { forBooks } : {}),
    ...(shelfLoad === undefined ? {} : { shelfLoad }),
  };
}
