import { Figure, size } from '../../figure/index.js';
import type { NeedContext } from '../../interiors/kind.js';
import { ZERO } from '../../length/index.js';
import type { Shape, ShapeProblem } from '../../piece/index.js';
import type { Wood } from '../../project/index.js';
import { assumedOf, axisSize, nothingClear, takeOff, type Deductions } from '../overall.js';
import type { WallBoard } from './spec.js';

/** The outside of a wall board with its fins, and the clear room between the outermost of these. */
export interface Inside {
  readonly overall: { readonly width: Figure; readonly height: Figure; readonly depth: Figure };
  readonly clear: { readonly width: Figure; readonly height: Figure; readonly depth: Figure };
  /** Where the clear room begins: from the left end of the board, its lower edge, and the wall. */
  readonly start: { readonly x: Figure; readonly y: Figure; readonly z: Figure };
  readonly assumed: Shape['assumed'];
  readonly problems: readonly ShapeProblem[];
}

export type BareAt = keyof WallBoard['board']['bare'];

/** What the board is called where nothing stands on it. */
export const BARE: Readonly<Record<BareAt, string>> = { ends: 'bare board', above: 'bare above', below: 'bare below' };

/** What of the board is bare at one of its sides; nothing where the fins go to its edge. */
export function bareAt({ board }: WallBoard, at: BareAt): Deductions {
  return board.bare[at] > ZERO ? [size(BARE[at], board.bare[at], { in: 'piece', field: `board.bare.${at}` })] : [];
}

/** Settles the outside and the room between the outermost fins: its depth first, then its width, then its height. */
export function insideOf(piece: WallBoard, context: NeedContext, board: Wood, fin: Wood): Inside {
  const thick = [board.thickness.named('wall board')];
  const depth = axisSize(piece, 'depth', context, thick, thick);
  const deep = takeOff(depth.overall, thick);
  const fins = fin.thickness.times(2).named('two fins');
  const ends = bareAt(piece, 'ends');
  const across = [...ends.map((e) => e.times(2).named('bare board at both ends')), fins];
  const width = axisSize(piece, 'width', { ...context, depth: deep.value }, across, []);
  const wide = takeOff(width.overall, across);
  const [above, below] = [bareAt(piece, 'above'), bareAt(piece, 'below')];
  const height = axisSize(piece, 'height', { ...context, depth: deep.value, width: wide.value }, [...below, ...above], []);
  const high = takeOff(height.overall, [...below, ...above]);
  return {
    overall: { width: width.overall, height: height.overall, depth: depth.overall },
    clear: { width: wide, height: high, depth: deep },
    start: {
      x: Figure.sum([...ends, fin.thickness.named('fin')]),
      y: below.length > 0 ? Figure.sum(below) : size('lower edge', ZERO),
      z: Figure.sum(thick),
    },
    assumed: assumedOf({ width, height, depth }),
    problems: [
      ...depth.problems,
      ...width.problems,
      ...height.problems,
      ...nothingClear('depth', deep),
      ...nothingClear('width', wide),
      ...nothingClear('height', high),
    ],
  };
}
