import { len, say, type Figure } from '../../figure/index.js';
import { ZERO, add, mm, negative, scale, sub, type Length } from '../../length/index.js';
import type { LevelAt, SlatsLaid } from '../../interiors/levels/index.js';
import type { ShapeProblem } from '../../piece/index.js';
import { woodOf } from '../../project/index.js';
import { PULL_OUT } from './ids.js';
import type { Frame, PullOut } from './spec.js';

/** A block that stops a slat at full reach is so long. */
export const STOP = mm(45);

/** What is drawn out, as its problems are told by. */
interface PulledOut {
  readonly spec: PullOut;
  readonly level: LevelAt;
  readonly laid: SlatsLaid;
  readonly stroke: Figure;
}

/** What is wrong with a pull-out that has slats. @param room what is left behind its stops; below zero there is none, null for no stops */
export function pullOutProblems({ spec, laid, stroke, level }: PulledOut, room: Length | null): ShapeProblem[] {
  const problem = (id: string, sentence: ShapeProblem['sentence'], fixes: ShapeProblem['fixes'] = []): ShapeProblem => ({
    id: `pull-out-${id}`,
    about: PULL_OUT,
    stops: true,
    sentence,
    fixes,
  });
  const long = sub(laid.long.value, spec.behind);
  const slat = woodOf(level.workshop, level.level.deck?.stock ?? '').thickness.value;
  if (spec.board.wide <= slat) {
    const wide = add(slat, STOP);
    return [
      problem(
        'board',
        say`The board of the pull-out is ${len(spec.board.wide)} wide and its slats ${len(slat)} thick: no rail for them goes behind it.`,
        [
          {
            label: say`A board ${len(wide)} wide`,
            edit: { kind: 'piece', patch: { pullOut: { ...spec, board: { ...spec.board, wide } } } },
          },
        ],
      ),
    ];
  }
  if (stroke.value <= ZERO) {
    const half = scale(long, 0.5);
    return [
      problem(
        'stroke',
        say`The pull-out overlaps by ${len(spec.overlap)} at full reach and its slats are ${len(long)}: it cannot be drawn out.`,
        [{ label: say`Overlap by half of them`, edit: { kind: 'piece', patch: { pullOut: { ...spec, overlap: half } } } }],
      ),
    ];
  }
  if (stroke.value > long)
    return [problem('reach', say`The pull-out would be drawn out by ${len(stroke.value)}, further than its slats are long, ${len(long)}.`)];
  const { rails } = level.level;
  if (!rails.front) return [problem('no-rail', say`The pull-out slides over the front rail of the frame, and that is left out.`)];
  if (room !== null && room < ZERO)
    return [
      problem(
        'stops',
        say`There is no room under its slats for stops between the rear and the front rail: ${len(negative(room))} are missing. Let it overlap more.`,
        [
          {
            label: say`Overlap by ${len(sub(spec.overlap, room))}`,
            edit: { kind: 'piece', patch: { pullOut: { ...spec, overlap: sub(spec.overlap, room) } } },
          },
        ],
      ),
    ];
  return [];
}

/** What is said of a pull-out that has no slats to take along. */
export function withoutSlats(piece: Frame): ShapeProblem {
  const { level } = piece.top;
  const { deck } = level;
  const slats = { wide: mm(95), count: 9 };
  return {
    id: 'pull-out-slats',
    about: PULL_OUT,
    stops: true,
    sentence: say`A pull-out takes every other slat of the top with it, and the top is of ${deck ? 'a sheet' : 'rails alone'}.`,
    fixes: [
      {
        label: say`A top of slats`,
        edit: {
          kind: 'piece',
          patch: {
            top: {
              ...piece.top,
              level: { ...level, deck: { stock: deck?.stock ?? level.rails.stock, gap: deck?.gap ?? ZERO, goes: 'over', slats } },
            },
          },
        },
      },
    ],
  };
}

/** Posts that only tie stand before the front rail, where what is drawn out has its legs. */
export const pastOuterPosts = (): ShapeProblem => ({
  id: 'pull-out-posts',
  about: PULL_OUT,
  stops: true,
  sentence: say`A pull-out has its legs where the outer posts stand that only tie: put the rails between posts, or outside them.`,
  fixes: [{ label: say`Rails between posts`, edit: { kind: 'piece', patch: { joined: 'between' } } }],
});
