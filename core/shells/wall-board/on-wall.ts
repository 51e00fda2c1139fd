import { len, say, size, type Figure } from '../../figure/index.js';
import { studsBehind } from '../../interiors/panels/to-back.js';
import { ZERO, add, sub, type Length } from '../../length/index.js';
import type { Fact, ShapeProblem } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { roomFor, type Opening } from '../../survey/index.js';
import type { Inside } from './inside.js';
import type { WallBoard } from './spec.js';

const wallOf = ({ opening }: WallBoard, workshop: Workshop): Opening | undefined =>
  opening === undefined ? undefined : workshop.openings.get(opening);

/** Where studs were found behind the board, from its left end. */
export function studsOf(piece: WallBoard, wide: Length, workshop: Workshop): readonly Length[] {
  const { left } = piece.board;
  const slack = wallOf(piece, workshop)?.slack.side ?? ZERO;
  const further = left === undefined ? ZERO : sub(left, slack);
  return studsBehind(piece, workshop)
    .map((s) => sub(s, further))
    .filter((s) => s > ZERO && s < wide)
    .sort((a, b) => a - b);
}

const markOf = (what: string, from: string, figure: Figure): Fact => ({
  name: `mark on the wall: ${what}`,
  figure,
  onWall: { what, from },
});

/** Where to mark on the wall, and where the studs are that the board is screwed to. */
export function onWallFacts(piece: WallBoard, { overall }: Inside, workshop: Workshop): readonly Fact[] {
  const { above, left } = piece.board;
  const lower = above === undefined ? null : size('lower edge of the board, over the floor', above, { in: 'piece', field: 'board.above' });
  const from = left === undefined ? null : size('from the left of the wall', left, { in: 'piece', field: 'board.left' });
  return [
    ...(lower ? [markOf('upper edge of the board', 'the floor', lower.plus(overall.height.named('the board')))] : []),
    ...(from ? [markOf('right end of the board', 'the left of the wall', from.plus(overall.width.named('the board')))] : []),
    ...studsOf(piece, overall.width.value, workshop).map((s, i) => ({
      name: `stud ${i + 1} behind it`,
      figure: size('from the left end of the board', s),
    })),
  ];
}

/** A board that is set so far along its wall that it goes past the end of that. */
export function pastTheWall(piece: WallBoard, { overall }: Inside, workshop: Workshop): readonly ShapeProblem[] {
  const wall = wallOf(piece, workshop);
  const { left, ...nearest } = piece.board;
  if (!wall || left === undefined) return [];
  const end = add(left, overall.width.value);
  // As far as the slack at its right end.
  const wide = add(wall.slack.side, roomFor(piece.opening as string, wall, 'width').value);
  if (end <= wide) return [];
  const most = sub(wide, overall.width.value);
  return [
    {
      id: 'past-the-wall',
      about: 'board',
      stops: true,
      sentence: say`The board, ${len(left)} from the left of ${wall.name}, goes ${len(sub(end, wide))} past the end of it.`,
      fixes: [
        most >= ZERO
          ? { label: say`${len(most)} from the left`, edit: { kind: 'piece', patch: { board: { ...piece.board, left: most } } } }
          : { label: say`As far left as it goes`, edit: { kind: 'piece', patch: { board: nearest } } },
      ],
    },
  ];
}
