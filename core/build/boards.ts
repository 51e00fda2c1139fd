import { formatLength, fromUnits, mm, type Length, type Precision } from '../length/index.js';
import { lettersText } from '../parts/index.js';
import { boxOf, solidOfMember, type Member } from '../piece/index.js';
import { silhouetteOf, type Flat, type Vector } from '../solid/index.js';
import type { Solution } from '../solution/index.js';
import { groupsOf } from './groups.js';

/** A part as it lies on a board: its loops, mm from the lower left corner of the frame. */
export interface LaidPart {
  readonly letter: string;
  readonly loops: readonly (readonly Flat[])[];
}

/** A board that frames which are alike are put together on, one after the other: their parts drawn on it, blocks beside them. */
export interface AssemblyBoard {
  readonly kind: 'board';
  readonly name: string;
  /** Of the board, which goes past the frame all round for the blocks. */
  readonly length: Length;
  readonly width: Length;
  /** From the edge of the board to the frame. */
  readonly margin: Length;
  readonly parts: readonly LaidPart[];
  readonly why: string;
}

/** From so many frames alike on a board is worth making. */
const ALIKE = 2;

/** Past the frame on every side there is room for a block and its screws. */
const MARGIN = mm(60);

/** A frame that is longer is put together on the floor, mm. */
const LONGEST = 2400;

/** How a frame lies when it is looked at square to it: the long way to the right. */
function viewOf(frame: readonly Member[]): { readonly right: Vector; readonly up: Vector } {
  const boxes = frame.map(boxOf);
  const reach = (axis: 'x' | 'y' | 'z') => Math.max(...boxes.map((b) => b[`${axis}1`])) - Math.min(...boxes.map((b) => b[`${axis}0`]));
  const along: Readonly<Record<'x' | 'y' | 'z', Vector>> = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };
  const [, second = 'y', first = 'x'] = (['x', 'y', 'z'] as const).toSorted((a, b) => reach(a) - reach(b));
  return { right: along[first], up: along[second] };
}

/**
 * Boards for the frames of a piece of which there are several alike; one that is the reflection of another lies on it turned over.
 * @example assemblyBoards(SOLVED, { unit: 'mm', step: mm(0.5) }) // []
 */
export function assemblyBoards(solution: Solution, precision: Precision): readonly AssemblyBoard[] {
  const letterOf = new Map(solution.parts.map((p) => [p.id, p.letter]));
  const frames = groupsOf(solution, 'bottom up').filter((g) => g.stage === 'frames' && g.each.length >= ALIKE);
  return frames.flatMap(({ each }): AssemblyBoard[] => {
    const [first] = each;
    if (!first) return [];
    const { right, up } = viewOf(first);
    const seen = first.map((m) => ({ letter: letterOf.get(m.id) ?? '', loops: silhouetteOf(solidOfMember(m), right, up) }));
    const points = seen.flatMap((p) => p.loops.flat());
    const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
    const [left, bottom] = [Math.min(...xs), Math.min(...ys)];
    const [long, wide] = [Math.max(...xs) - left, Math.max(...ys) - bottom];
    if (!(long > 0 && wide > 0 && long <= LONGEST)) return [];
    const letters = lettersText(each.flat().flatMap((m) => letterOf.get(m.id) ?? []));
    const across = formatLength(mm(Math.hypot(long, wide)), precision);
    const size = (frame: number) => fromUnits(mm(frame) + 2 * MARGIN);
    return [
      {
        kind: 'board',
        name: `Board for ${each.length} frames: ${letters}`,
        length: size(long),
        width: size(wide),
        margin: MARGIN,
        parts: seen.map(({ letter, loops }) => ({ letter, loops: loops.map((l) => l.map(([x, y]): Flat => [x - left, y - bottom])) })),
        why: `${each.length} frames alike, one after the other: draw the parts on it, screw blocks along their outsides, wax it where glue comes; corner to corner ${across} both ways`,
      },
    ];
  });
}
