import { say } from '../../figure/index.js';
import { divide, interiorMembers, type Divided } from '../../interiors/index.js';
import type { NeedContext } from '../../interiors/kind.js';
import { ZERO, type Length } from '../../length/index.js';
import {
  OPEN,
  PLACE,
  rectangular,
  stockUses,
  type Joint,
  type Member,
  type Shape,
  type ShapeProblem,
  type TapeEnd,
} from '../../piece/index.js';
import { woodOf, type Wood, type Workshop } from '../../project/index.js';
import { otherStock } from '../../remedies/index.js';
import { NO_SHAPE, assembled, diagonalOf } from '../assemble.js';
import { inItsSheet } from '../in-its-sheet.js';
import type { ShellKind } from '../kind.js';
import { heldToBack } from '../to-back.js';
import { wallBoardChecks } from './checks.js';
import { asFins, finsFollowing, innerFins, outOf, outerFins } from './fins.js';
import { WALL_BOARD } from './ids.js';
import { BARE, bareAt, insideOf, type BareAt, type Inside } from './inside.js';
import { onWallFacts, pastTheWall, studsOf } from './on-wall.js';
import { wallBoardFields, type WallBoard } from './spec.js';

function boardOf({ overall: { height, width } }: Inside, wood: Wood): Member {
  return rectangular({
    id: WALL_BOARD.board,
    node: WALL_BOARD.node,
    role: 'wall board',
    label: 'wall board',
    wood,
    ...inItsSheet(height, width, { x: ZERO, y: ZERO, z: ZERO }, wood.stock),
  });
}

/** What stands where nothing is under it. */
function onNothing({ spaces }: Divided): readonly ShapeProblem[] {
  return [...spaces.values()]
    .filter((s) => s.neighbours.below === OPEN && s.blocks.length > 0)
    .map((s) => ({
      id: `on-nothing-${s.id}`,
      about: s.id,
      stops: true,
      sentence: say`Nothing is under ${s.label}, and things are to stand there: put them on a shelf, or a shelf under them.`,
      fixes: [{ label: say`Leave ${s.label} empty`, edit: { kind: 'things', space: s.id, things: [] } }],
    }));
}

function outsideOf(piece: WallBoard, members: readonly Member[], studs: readonly Length[]): Shape['outside'] {
  const wood = (id: string, label: string): TapeEnd[] => {
    const member = members.find((m) => m.id === id);
    return member ? [{ id, kind: 'wood', label, selects: id, size: member.thickness }] : [];
  };
  const bare = (at: BareAt, side: string = at): TapeEnd[] =>
    bareAt(piece, at).map((f) => ({ id: `bare-${side}`, kind: 'gap', label: BARE[at], selects: WALL_BOARD.board, size: f }));
  return {
    is: 'built',
    foot: null,
    ends: {
      up: { before: bare('below'), after: bare('above') },
      across: {
        before: [...bare('ends', 'left'), ...wood(WALL_BOARD.left, 'left fin')],
        after: [...wood(WALL_BOARD.right, 'right fin'), ...bare('ends', 'right')],
      },
      deep: { before: wood(WALL_BOARD.board, 'wall board'), after: [] },
    },
    members: new Set(members.map((m) => m.id)),
    behind: new Set<string>([WALL_BOARD.board]),
    studs,
    ...(piece.board.above === undefined ? {} : { above: piece.board.above }),
  };
}

/** The geometry of fins and shelves on a wall board. */
function shape(piece: WallBoard, workshop: Workshop): Shape {
  const context: NeedContext = { workshop, panels: piece.panels, rounding: piece.rounding ?? workshop.settings.rounding };
  const [boardWood, finWood] = [woodOf(workshop, piece.board.stock), woodOf(workshop, piece.fins.stock)];
  const inside = insideOf(piece, context, boardWood, finWood);
  const { overall, clear, start } = inside;
  const round = {
    overall,
    assumed: inside.assumed,
    caseHeight: overall.height,
    diagonal: diagonalOf(overall.height, overall.depth),
  };
  const studs = studsOf(piece, overall.width.value, workshop);
  if ([clear.width, clear.height, clear.depth].some((f) => f.value <= ZERO))
    return { ...NO_SHAPE, ...round, outside: outsideOf(piece, [], studs), problems: inside.problems };
  const { setback } = piece.panels.shelves;
  const neighbours = { left: WALL_BOARD.left, right: WALL_BOARD.right, below: OPEN, above: OPEN };
  const divided = divide(piece, context, { start, clear, neighbours, setback });
  const made = interiorMembers(piece, workshop, divided);
  const inner = innerFins(made.members, made.joints);
  const isFin = (id: string) => id === WALL_BOARD.left || id === WALL_BOARD.right || inner.has(id);
  const board = boardOf(inside, boardWood);
  const members = finsFollowing(piece, [board, ...outerFins(piece, inside, finWood), ...asFins(made.members, inner)], isFin);
  const own = members.filter((m) => m.node === WALL_BOARD.node);
  const fins = members.filter((m) => isFin(m.id));
  const held = heldToBack({ ...piece, fixedToWall: true }, members, board, start.z.value, studs);
  const joints: Joint[] = [
    { carried: board.id, carrier: PLACE, how: 'hung' },
    ...fins.map((fin): Joint => {
      const out = outOf(fin, start.z.value, members, made.joints, divided.spaces.values());
      return { carried: fin.id, carrier: board.id, how: 'screws', out };
    }),
    ...made.joints,
    ...held.joints,
  ];
  const facts = onWallFacts(piece, inside, workshop);
  return assembled(
    divided,
    { ...made, members, joints, facts: facts.length > 0 ? [...made.facts, { space: piece.interior.id, facts }] : made.facts },
    { ...round, outside: outsideOf(piece, own, studs) },
    [...inside.problems, ...pastTheWall(piece, inside, workshop), ...onNothing(divided), ...held.problems],
  );
}

/** The edit that makes the board, or its fins, of another stock. */
const ofStock = (piece: WallBoard, member: Member, stock: string) => {
  const patch = member.id === WALL_BOARD.board ? { board: { ...piece.board, stock } } : { fins: { ...piece.fins, stock } };
  return { kind: 'piece' as const, patch };
};

export const wallBoard: ShellKind<WallBoard> = {
  kind: 'wall-board',
  inside: 'On the board',
  fields: wallBoardFields,
  uses: ({ board, fins }) => [
    ...stockUses('board', { stock: board.stock }, ({ stock }) => ({ board: { ...board, stock } })),
    ...stockUses('fins', { stock: fins.stock }, ({ stock }) => ({ fins: { ...fins, stock } })),
  ],
  names: () => [],
  placed: () => [],
  shape,
  racking: wallBoardChecks,
  withStock: (piece, member, stock) => (member.node === WALL_BOARD.node ? ofStock(piece, member, stock) : null),
  remedies: (piece, asked) => otherStock(asked, asked.member.stockId, (id) => ofStock(piece, asked.member, id)),
};
