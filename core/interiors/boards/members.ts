import { fine, len, say, size, type Figure, type Sentence } from '../../figure/index.js';
import { ZERO, add, sub, toMm, type Length } from '../../length/index.js';
import { USUAL_KERF, bladePasses, recess, ripYield, slipsOut, usualSlack } from '../../joints/index.js';
import {
  atX,
  boxOf,
  facingFrame,
  onEdgeFrame,
  rectangular,
  type DividingMember,
  type EdgeTreatment,
  type Face,
  type Fact,
  type Member,
  type PlacedRun,
  type PlacedSpace,
  type ShapeProblem,
} from '../../piece/index.js';
import { type Boards } from './spec.js';
import { woodOf, type Workshop } from '../../project/index.js';
import type { PlacedLine } from '../../run/index.js';
import { dividingMemberId } from '../ids.js';
import { NOTHING, together, type DividedIn, type Made } from '../kind.js';
import { boardsOf, endBoardIds } from './ids.js';

interface Board {
  readonly making: Boards;
  readonly workshop: Workshop;
  readonly run: PlacedRun;
  readonly space: PlacedSpace;
  readonly line: PlacedLine;
  readonly spec: DividingMember | null;
  readonly id: string;
  /** Every board that a channel can be cut into. */
  readonly boards: ReadonlySet<string>;
  /** What becomes of the front edges of the piece. */
  readonly front: EdgeTreatment;
}

/** The boards that one goes into at its two ends: a channel needs a board to be cut into, so that at a wall it only butts. */
function channelled({ making, run, space, boards }: Board): { readonly before: string | null; readonly after: string | null } {
  const { rear, front, left, right } = space.neighbours;
  const into = (id: string | undefined) => (id !== undefined && making.channel > ZERO && boards.has(id) ? id : null);
  return run.axis === 'deep' ? { before: into(left), after: into(right) } : { before: into(rear), after: into(front) };
}

/** The length between two walls, less the fit, more what goes into the channels at its ends. */
function lengthOf({ making }: Board, between: Figure, channels: number): Figure {
  const fitted = making.fit === ZERO ? between : between.minus(size('press fit', making.fit, { in: 'making', field: 'fit' }));
  if (channels === 0) return fitted;
  const channel = size('channel', making.channel, { in: 'making', field: 'channel' });
  return fitted.plus(channels === 1 ? channel.named('into one channel') : channel.times(2).named('into both channels'));
}

function oneBoard(board: Board): Made {
  const { making, workshop, run, space, line, spec, id, front } = board;
  const deep = run.axis === 'deep';
  const wood = woodOf(workshop, spec?.stock ?? making.stock);
  const at = add(run.datum.value, line.near.value);
  const { before, after } = channelled(board);
  const length = lengthOf(board, deep ? space.clear.width : space.clear.depth, [before, after].filter((id) => id !== null).length);
  const start = (from: Length) => add(before ? sub(from, making.channel) : from, Math.round(making.fit / 2) as Length);
  const { box } = space;
  const member = rectangular({
    id,
    node: spec?.id ?? space.id,
    role: 'board',
    label: spec ? line.line.label : id.endsWith('first') ? 'first board' : 'last board',
    wood,
    length,
    width: size('high', making.high, { in: 'making', field: 'high' }),
    frame: deep
      ? facingFrame({ x: start(box.x0), y: box.y0, z: at })
      : onEdgeFrame({ x: add(at, wood.thickness.value), y: box.y0, z: start(box.z0) }),
    // What a hand reaches over is eased at least.
    edges: { v1: front === 'banded' ? 'banded' : 'eased' },
  });
  const own = boxOf(member);
  const channel = (face: Face) => (mate: Member) => [recess('housing', mate, face, id, own, making.channel)];
  // A board that runs front to back meets the faces that look at each other of the boards behind and before it.
  const faces: readonly [Face, Face] = deep ? ['down', 'up'] : ['up', 'down'];
  const cuts = [...(before ? [{ into: before, cut: channel(faces[0]) }] : []), ...(after ? [{ into: after, cut: channel(faces[1]) }] : [])];
  const middle = Math.round((own.x0 + own.x1) / 2) as Length;
  return {
    ...NOTHING,
    members: [member],
    cuts,
    joints: [{ carried: id, carrier: space.neighbours.below, how: 'bearing', on: atX(middle) }],
  };
}

const NOT_FLAT = 960_000 as Length;

function factsOf(making: Boards, workshop: Workshop, run: PlacedRun, intoBoards: boolean): readonly Fact[] {
  const kerf = workshop.settings.kerf ?? USUAL_KERF;
  const wood = woodOf(workshop, making.stock);
  const { strips, left } = ripYield(wood.stock.width, making.high, kerf);
  const boards = run.run.lines.filter((l) => l.line.kind === 'member');
  const passes: Fact[] =
    making.channel === ZERO || !intoBoards
      ? []
      : boards.map((l): Fact => {
          const fences = bladePasses(l.near.value, l.size.value, kerf);
          const settings = fences.map((f) => fine(toMm(f), 3)).flatMap((f, k): Sentence => (k === 0 ? [f] : [', ', f]));
          return {
            name: `channel for ${l.line.label}`,
            figure: l.near,
            remark: say`${fences.length === 1 ? 'One pass' : `${fences.length} passes`} of the blade, fence at ${settings}.`,
          };
        });
  return [
    ...passes,
    {
      name: 'strips',
      remark: say`${strips} strips of ${len(making.high)} come from one ${wood.stock.name} ${len(wood.stock.width)} wide, ${len(left)} left over.`,
    },
    ...(making.glued ? [] : [{ name: 'fit', remark: say`Pressed in, not glued: keep the boards some days in the room before cutting.` }]),
  ];
}

/** Boards that are cut so small that they come out of their channels. */
function outOfChannels(making: Boards, space: string, intoBoards: boolean): ShapeProblem[] {
  const sentence = intoBoards ? slipsOut('A board', 'channels', making.channel, making.fit) : null;
  if (!sentence) return [];
  const fit = usualSlack(making.channel);
  const fix = { label: say`Cut it ${len(fit)} small`, edit: { kind: 'making', space, making: { ...making, fit } } } as const;
  return [{ id: `board-slips-${space}`, about: space, stops: true, sentence, fixes: [fix] }];
}

/** The boards of a layout, the channels they go into, and how those are cut. */
export function boardMembers(making: Boards, { workshop, run, runs, space, piece }: DividedIn): Made {
  const boards = boardsOf(runs.values());
  const { front } = piece.edges;
  const specs = new Map((space.space.split?.members ?? []).map((m) => [m.id, m]));
  const made = run.run.lines.flatMap((line): Made[] => {
    if (line.line.kind === 'gap') return [];
    const spec = specs.get(line.line.id) ?? null;
    if (spec && spec.room !== undefined) return [];
    const id = spec ? dividingMemberId(spec.id, 'board') : endBoardIds(space.id)[line.line.id.endsWith('-start') ? 'before' : 'after'];
    return [oneBoard({ making, workshop, run, space, line, spec, id, boards, front })];
  });
  const intoBoards = made.some((m) => m.cuts.length > 0);
  const wood = woodOf(workshop, making.stock);
  const thin = wood.thickness.value < NOT_FLAT;
  return together([
    ...made,
    {
      ...NOTHING,
      facts: [{ space: space.id, facts: factsOf(making, workshop, run, intoBoards) }],
      problems: [
        ...(thin
          ? [
              {
                id: `boards-thin-${space.id}`,
                about: space.id,
                stops: false,
                sentence: say`Boards of ${len(wood.thickness.value)} may warp out of their places: 12 mm is the least that stays flat.`,
                fixes: [],
              },
            ]
          : []),
        ...outOfChannels(making, space.id, intoBoards),
        ...(making.high > space.clear.height.value
          ? [
              {
                id: `boards-high-${space.id}`,
                about: space.id,
                stops: true,
                sentence: say`The boards are ${len(making.high)} high where ${len(space.clear.height.value)} is clear.`,
                fixes: [
                  {
                    label: say`Make them ${len(space.clear.height.value)} high`,
                    edit: { kind: 'making', space: space.id, making: { ...making, high: space.clear.height.value } } as const,
                  },
                ],
              },
            ]
          : []),
      ],
    },
  ]);
}
