import { fine, len, say, size, type Figure, type Sentence } from '../../figure/index.js';
import { ZERO, add, sub, toMm, type Length } from '../../length/index.js';
import { USUAL_KERF, bladePasses, recess, ripYield } from '../../joints/index.js';
import {
  boxOf,
  facingFrame,
  onEdgeFrame,
  rectangular,
  type Boards,
  type DividingMember,
  type Face,
  type Fact,
  type Member,
  type PlacedRun,
  type PlacedSpace,
} from '../../piece/index.js';
import { woodOf, type Workshop } from '../../project/index.js';
import type { PlacedLine } from '../../run/index.js';
import { dividingMemberId } from '../ids.js';
import { NOTHING, together, type Made } from '../kind.js';

interface Board {
  readonly making: Boards;
  readonly workshop: Workshop;
  readonly run: PlacedRun;
  readonly space: PlacedSpace;
  readonly line: PlacedLine;
  readonly spec: DividingMember | null;
  readonly id: string;
}

/** The length between two walls, less the fit, more what goes into channels at both ends. */
function lengthOf({ making }: Board, between: Figure): Figure {
  const fitted = making.fit === ZERO ? between : between.minus(size('press fit', making.fit, { kind: 'choice', ref: 'boards:fit' }));
  if (making.channel === ZERO) return fitted;
  return fitted.plus(size('channel', making.channel, { kind: 'choice', ref: 'boards:channel' }).times(2).named('into both channels'));
}

function oneBoard(board: Board): Made {
  const { making, workshop, run, space, line, spec, id } = board;
  const deep = run.axis === 'deep';
  const wood = woodOf(workshop, spec?.stock ?? making.stock);
  const at = add(run.datum.value, line.near.value);
  const length = lengthOf(board, deep ? space.clear.width : space.clear.depth);
  const start = (from: Length) => add(sub(from, making.channel), Math.round(making.fit / 2) as Length);
  const { box } = space;
  const member = rectangular({
    id,
    ...(spec ? {} : { node: space.id }),
    role: 'board',
    label: spec ? line.line.label : id.endsWith('first') ? 'first board' : 'last board',
    wood,
    length,
    width: size('high', making.high, { kind: 'choice', ref: 'boards:high' }),
    frame: deep
      ? facingFrame({ x: start(box.x0), y: box.y0, z: at })
      : onEdgeFrame({ x: add(at, wood.thickness.value), y: box.y0, z: start(box.z0) }),
    edges: { v1: 'eased' },
  });
  const own = boxOf(member);
  const { rear, front, left, right } = space.neighbours;
  const channel = (face: Face) => (mate: Member) => (mate.role === 'board' ? [recess('housing', mate, face, id, own, making.channel)] : []);
  const [before, after] = deep ? [left, right] : [rear, front];
  // A board that runs front to back meets the faces that look at each other of the boards behind and before it.
  const faces: readonly [Face, Face] = deep ? ['down', 'up'] : ['up', 'down'];
  const cuts =
    making.channel === ZERO
      ? []
      : [...(before ? [{ into: before, cut: channel(faces[0]) }] : []), ...(after ? [{ into: after, cut: channel(faces[1]) }] : [])];
  const middle = Math.round((own.x0 + own.x1) / 2) as Length;
  return { ...NOTHING, members: [member], cuts, joints: [{ carried: id, carrier: space.neighbours.below, how: 'bearing', x: middle }] };
}

const NOT_FLAT = 960_000 as Length;

function factsOf(making: Boards, workshop: Workshop, run: PlacedRun): readonly Fact[] {
  const kerf = workshop.settings.kerf ?? USUAL_KERF;
  const wood = woodOf(workshop, making.stock);
  const { strips, left } = ripYield(wood.stock.width, making.high, kerf);
  const boards = run.run.lines.filter((l) => l.line.kind === 'member');
  const passes: Fact[] =
    making.channel === ZERO
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

/** The boards of a layout, the channels they go into, and how those are cut. */
export function boardMembers(making: Boards, workshop: Workshop, run: PlacedRun, space: PlacedSpace): Made {
  const specs = new Map((space.space.split?.members ?? []).map((m) => [m.id, m]));
  const made = run.run.lines.flatMap((line): Made[] => {
    if (line.line.kind === 'gap') return [];
    const spec = specs.get(line.line.id) ?? null;
    if (spec && spec.room !== undefined) return [];
    const id = spec ? dividingMemberId(spec.id, 'board') : `${space.id}/board/${line.line.id.endsWith('-start') ? 'first' : 'last'}`;
    return [oneBoard({ making, workshop, run, space, line, spec, id })];
  });
  const wood = woodOf(workshop, making.stock);
  const thin = wood.thickness.value < NOT_FLAT;
  return together([
    ...made,
    {
      ...NOTHING,
      facts: [{ space: space.id, facts: factsOf(making, workshop, run) }],
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
