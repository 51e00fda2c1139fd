import { Type, type Static, type TObject } from '@sinclair/typebox';
import { say, size } from '../figure/index.js';
import { leanCheck } from '../finding/index.js';
import { DIVIDING, divide, dividingMemberId, interiorMembers, type DividedIn, type DividingKind, type Made } from '../interiors/index.js';
import { NOTHING } from '../interiors/kind.js';
import { SizeSchema, ZERO, add, mm, type Length } from '../length/index.js';
import {
  atX,
  flatFrame,
  FLOOR,
  rectangular,
  stockNames,
  stockUses,
  uprightFrame,
  type Piece,
  type PieceCommon,
  type Shape,
} from '../piece/index.js';
import { IdSchema } from '../ids/index.js';
import { woodOf, type Workshop } from '../project/index.js';
import { SHELLS, type ShellKind } from '../shells/index.js';
import { NO_SHAPE, assembled, diagonalOf } from '../shells/assemble.js';
import { axisSize } from '../shells/overall.js';
import { space } from './samples.js';

const closed = { additionalProperties: false } as const;

const RodsSchema = Type.Object({ kind: Type.Literal('rods'), stock: IdSchema, thick: SizeSchema }, closed);
type Rods = Static<typeof RodsSchema>;

const trestleFields = {
  /** How far its floor is off the ground. */
  lift: SizeSchema,
  stock: Type.Object({ ends: IdSchema }, closed),
};
type Trestle = PieceCommon & { shell: 'trestle' } & Static<TObject<typeof trestleFields>>;

const END = { left: 'trestle/end/left', right: 'trestle/end/right', floor: 'trestle/floor/1' } as const;

function shape(piece: Trestle, workshop: Workshop): Shape {
  const context = { workshop, panels: piece.panels, rounding: workshop.settings.rounding };
  const ends = woodOf(workshop, piece.stock.ends);
  const floor = woodOf(workshop, piece.panels.stock.shelves);
  const under = [size('lift', piece.lift), floor.thickness.named('floor')];
  const sides = ends.thickness.times(2).named('two ends');
  const [depth, width, height] = [
    axisSize(piece as unknown as Piece, 'depth', context, [], []).overall,
    axisSize(piece as unknown as Piece, 'width', context, [sides], []).overall,
    axisSize(piece as unknown as Piece, 'height', context, under, []).overall,
  ];
  const inside = width.minus(sides);
  const standing = add(...(under.map((f) => f.value) as [Length, Length]));
  const end = (id: string, x: Length) =>
    rectangular({
      id,
      node: 'trestle',
      role: 'side',
      label: 'end',
      wood: ends,
      length: height,
      width: depth,
      frame: uprightFrame({ x, y: ZERO, z: ZERO }),
    });
  const members = [
    end(END.left, ZERO),
    end(END.right, (width.value - ends.thickness.value) as Length),
    rectangular({
      id: END.floor,
      node: 'trestle',
      role: 'bottom',
      label: 'floor',
      wood: floor,
      length: inside,
      width: depth,
      frame: flatFrame({ x: ends.thickness.value, y: piece.lift, z: depth.value }),
    }),
  ];
  const wood = (id: string, label: string, figure = ends.thickness) => ({ id, kind: 'wood' as const, label, selects: id, size: figure });
  const outside = {
    overall: { width, height, depth },
    assumed: [],
    caseHeight: height,
    diagonal: diagonalOf(height, depth),
    outside: {
      is: 'built' as const,
      foot: depth.value,
      ends: {
        up: { before: [{ ...wood('lift', 'lift', under[0]), kind: 'gap' as const }, wood(END.floor, 'floor', floor.thickness)], after: [] },
        across: { before: [wood(END.left, 'left end')], after: [wood(END.right, 'right end')] },
        deep: { before: [], after: [] },
      },
      members: new Set(members.map((m) => m.id)),
      behind: new Set<string>(),
    },
  };
  if (inside.value <= ZERO || height.value <= standing) return { ...NO_SHAPE, ...outside, problems: [] };
  const divided = divide(piece as unknown as Piece, context, {
    start: { x: ends.thickness, y: under.reduce((sum, f) => sum.plus(f), size('floor', ZERO)), z: size('rear', ZERO) },
    clear: { width: inside, height: under.reduce((rest, f) => rest.minus(f), height), depth },
    neighbours: { left: END.left, right: END.right, below: END.floor, above: 'open' },
    setback: ZERO,
  });
  const made = interiorMembers(piece as unknown as Piece, workshop, divided);
  const joints = [
    ...[END.left, END.right].map((carried) => ({ carried, carrier: FLOOR, how: 'bearing' as const })),
    { carried: END.floor, carrier: END.left, how: 'screws' as const, on: atX(ends.thickness.value) },
    { carried: END.floor, carrier: END.right, how: 'screws' as const, on: atX((width.value - ends.thickness.value) as Length) },
  ];
  return assembled(divided, { ...made, members: [...members, ...made.members], joints: [...joints, ...made.joints] }, outside, []);
}

const trestle = {
  kind: 'trestle',
  inside: 'Between the ends',
  fields: trestleFields,
  uses: (piece: Trestle) => stockUses('stock', piece.stock, (stock) => ({ stock }) as never),
  names: () => [],
  placed: () => [],
  shape,
  racking: () => [leanCheck('look', 'fails', say`Nothing keeps the ends of the trestle from leaning over.`, [])],
  withStock: (piece: Trestle, _: unknown, stock: string) => ({ kind: 'piece', patch: { stock: { ...piece.stock, ends: stock } } }),
  remedies: () => [],
} as unknown as ShellKind;

function rodsMade(making: Rods, { split, run, space: owner, workshop }: DividedIn): Made {
  const wood = woodOf(workshop, making.stock);
  const lines = run.run.lines.filter((l) => split.members.some((m) => m.id === l.line.id));
  const rods = lines.map((line) =>
    rectangular({
      id: dividingMemberId(line.line.id, 'slat'),
      node: line.line.id,
      role: 'slat',
      label: line.line.label,
      wood,
      length: owner.clear.width,
      width: size('rod', making.thick),
      frame: flatFrame({ x: owner.box.x0, y: add(run.datum.value, line.near.value), z: owner.box.z1 }),
    }),
  );
  const { left, right } = owner.neighbours;
  const joints = rods.flatMap(({ id: carried }) => [
    { carried, carrier: left, how: 'screws' as const, on: atX(owner.box.x0) },
    { carried, carrier: right, how: 'screws' as const, on: atX(owner.box.x1) },
  ]);
  return { ...NOTHING, members: rods, joints, facts: [{ space: owner.id, facts: [{ name: 'rods', remark: say`${rods.length} rods.` }] }] };
}

const rods = {
  kind: 'rods',
  schema: RodsSchema,
  names: ({ stock }: Rods) => stockNames([stock]),
  onPiece: null,
  seenFrom: 'front',
  filled: () => 'rods',
  split: (making: Rods) => ({
    names: { one: 'rod', many: 'rods', part: 'gap' },
    set: true,
    roleOf: () => 'slat',
    extent: (_: unknown, { workshop }: { workshop: Workshop }) => woodOf(workshop, making.stock).thickness,
    ends: () => ({ before: null, after: null }),
    endShare: 1,
    endIds: () => null,
    over: { before: null, after: null },
    insets: () => null,
  }),
  made: rodsMade,
  holdsAt: null,
  withStock: (making: Rods, _: unknown, stock: string) => ({ ...making, stock }),
  remedies: () => [],
  memberRemedies: null,
} as unknown as DividingKind;

/** A piece of kinds that no program has: two ends with a floor between them, and rods across. */
export const throwAway = {
  name: 'Throw-away',
  shell: 'trestle',
  lift: mm(100),
  width: { from: 'given', size: mm(1000), of: 'overall' },
  height: { from: 'given', size: mm(900), of: 'overall' },
  depth: { from: 'given', size: mm(300), of: 'overall' },
  stock: { ends: 'ply' },
  panels: {
    stock: { shelves: 'ply', dividers: 'ply' },
    shelves: { fix: 'butted', housing: mm(5), looseEnd: ZERO, setback: ZERO },
    dividers: { fix: 'butted', housing: mm(5) },
  },
  edges: { front: 'square', banding: ZERO },
  fixedToWall: false,
  interior: space('in', {
    split: {
      axis: 'up',
      making: { kind: 'rods', stock: 'ply', thick: mm(40) } as never,
      members: [{ id: 'r1' }, { id: 'r2' }],
      spaces: [space('g1', { things: [{ thing: 'tin', count: 3 }] }), space('g2'), space('g3')],
    },
  }),
} as unknown as Piece;

/** Adds the kinds of the throw-away piece. @returns what takes them out again */
export function addThrowAway(): () => void {
  const out = [SHELLS.add(trestle), DIVIDING.add(rods)];
  return () => out.reverse().forEach((take) => take());
}
