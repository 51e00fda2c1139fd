import type { Piece, Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { shapeInPlace } from './in-place/index.js';
import { shapePanelCase } from './panel-case/index.js';

export { CASE, backCounts, studsBehind, studsThatHold } from './panel-case/index.js';

/** The geometry of a piece, by its shell. */
export function shapeOf(piece: Piece, workshop: Workshop): Shape {
  return piece.shell === 'panel-case' ? shapePanelCase(piece, workshop) : shapeInPlace(piece, workshop);
}
