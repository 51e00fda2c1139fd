import { Figure, size } from '../../figure/index.js';
import { divide, interiorMembers, type Divided } from '../../interiors/index.js';
import type { NeedContext } from '../../interiors/kind.js';
import { ZERO, mm, negative, type Length } from '../../length/index.js';
import {
  FLOOR,
  OPEN,
  stockNames,
  stockUses,
  type Joint,
  type Lean,
  type Member,
  type PieceEdit,
  type Shape,
  type TapeEnd,
} from '../../piece/index.js';
import { woodOf, type Wood, type Workshop } from '../../project/index.js';
import { otherStock } from '../../remedies/index.js';
import { NO_SHAPE, assembled, diagonalOf } from '../assemble.js';
import type { ShellKind } from '../kind.js';
import { assumedOf, axisSize, nothingClear } from '../overall.js';
import { braceOf } from './brace.js';
import { leaningChecks } from './checks.js';
import { leaningFacts } from './facts.js';
import { LEANING, LEANING_NODE } from './ids.js';
import { legsOf } from './legs.js';
import { leaningProblems } from './problems.js';
import { frontWhereTheyTouch, plugHoles, sidesOf } from './sides.js';
import { leaningFields, type Leaning } from './spec.js';
import { LEANS, stanceOf, type Stance } from './stance.js';
import { braced, widerSides } from './ways.js';

/** The clear inside of a leaning piece: as wide as between its sides, as high as they reach, as deep as its shelves. */
interface Inside {
  readonly width: Figure;
  readonly height: Figure;
  readonly depth: Figure;
}

function divided(piece: Leaning, context: NeedContext, inside: Inside, side: Figure, lean: Lean): Divided {
  return divide(piece, context, {
    start: { x: side, y: size('floor', ZERO), z: lean.front.minus(inside.depth) },
    clear: inside,
    neighbours: { left: LEANING.left, right: LEANING.right, below: FLOOR, above: OPEN },
    setback: piece.panels.shelves.setback,
    lean,
  });
}

/** How far the rearmost shelf reaches into the wall where the sides touch that. */
function reachesPast(piece: Leaning, { spaces }: Divided): Length {
  const rears = (piece.interior.split?.spaces ?? []).slice(1).flatMap((s) => spaces.get(s.id)?.box.z0 ?? []);
  return negative(Math.min(ZERO, ...rears) as Length);
}

/** Where the sides stand: touching the wall, or so far off it that the deepest of its shelves does. */
function placed(piece: Leaning, context: NeedContext, inside: Inside, side: Figure, stance: Stance) {
  const touching: Lean = { front: frontWhereTheyTouch(piece, stance), degrees: stance.degrees };
  const first = divided(piece, context, inside, side, touching);
  const off = reachesPast(piece, first);
  if (off === ZERO) return { lean: touching, off, made: first };
  const lean: Lean = { ...touching, front: touching.front.plus(size('off the wall, for the deepest shelf', off)) };
  return { lean, off, made: divided(piece, context, inside, side, lean) };
}

/** Sides that stand on the floor alone. */
const onFloor = (sides: readonly Member[]): readonly Joint[] => sides.map((s) => ({ carried: s.id, carrier: FLOOR, how: 'bearing' }));

const woodEnd = (id: string, label: string, size: Figure): TapeEnd => ({ id, kind: 'wood', label, selects: id, size });

/** The geometry of level shelves between two sides that lean. */
function shape(piece: Leaning, workshop: Workshop): Shape {
  const context: NeedContext = { workshop, panels: piece.panels, rounding: piece.rounding ?? workshop.settings.rounding };
  const wood = woodOf(workshop, piece.sides.stock);
  const depth = axisSize(piece, 'depth', context, [], []);
  const legWood: Wood | null = piece.legs ? woodOf(workshop, piece.legs.stock) : null;
  const beside = legWood ? [legWood.thickness.named('rear leg')] : [];
  const twoLegs = beside.map((leg) => leg.times(2).named('two rear legs'));
  const across = [wood.thickness.times(2).named('two sides'), ...twoLegs];
  const less = (width: Figure, off: readonly Figure[]) => off.reduce((rest, f) => rest.minus(f), width);
  const width = axisSize(piece, 'width', { ...context, depth: depth.overall.value }, across, []);
  const stance = stanceOf(piece, { ...context, depth: depth.overall.value, width: less(width.overall, across).value });
  const { height, degrees } = stance;
  const inside: Inside = { width: less(width.overall, across), height, depth: depth.overall.named('shelves, deep') };
  const problems = [
    ...stance.problems,
    ...width.problems,
    ...depth.problems,
    ...nothingClear('width', inside.width),
    ...nothingClear('depth', inside.depth),
  ];
  const ofAll = (deep: Figure) => ({
    overall: { width: width.overall, height, depth: deep.named('overall depth') },
    assumed: assumedOf({ width, depth, height: { overall: height, problems: [], assumed: stance.assumed } }),
    caseHeight: height,
    diagonal: diagonalOf(height, deep),
  });
  const outside = (deep: Figure, members: readonly Member[]): Shape['outside'] => ({
    is: 'built',
    foot: deep.value,
    leans: true,
    ends: {
      up: { before: [], after: [] },
      across: {
        before: [
          ...beside.map((leg) => woodEnd(LEANING.leg('left'), 'left rear leg', leg)),
          woodEnd(LEANING.left, 'left side', wood.thickness),
        ],
        after: [
          woodEnd(LEANING.right, 'right side', wood.thickness),
          ...beside.map((leg) => woodEnd(LEANING.leg('right'), 'right rear leg', leg)),
        ],
      },
      deep: { before: [], after: [] },
    },
    members: new Set(members.map((m) => m.id)),
    behind: new Set<string>([LEANING.brace, ...beside.flatMap(() => [LEANING.leg('left'), LEANING.leg('right')])]),
  });
  const stands = degrees >= LEANS.least && degrees <= LEANS.most;
  if (!stands || inside.width.value <= ZERO || inside.depth.value <= ZERO || height.value <= ZERO) {
    return { ...NO_SHAPE, ...ofAll(inside.depth), outside: outside(inside.depth, []), problems };
  }
  const { lean, off, made } = placed(piece, context, inside, Figure.sum([...beside, wood.thickness.named('side')]), stance);
  const inner = interiorMembers(piece, workshop, made);
  const outermost = legWood?.thickness.value ?? ZERO;
  const sides = sidesOf(piece, stance, lean, width.overall, wood, outermost);
  const legs = legsOf(piece, lean, { width: width.overall, height }, off, legWood);
  const braceWood: Wood | null = piece.brace ? woodOf(workshop, piece.brace.stock) : null;
  const open = (piece.interior.split?.spaces ?? []).flatMap((s) => made.spaces.get(s.id) ?? []);
  const braced = braceOf(piece, lean, { width: less(width.overall, twoLegs), height, outside: outermost }, open, braceWood);
  const own = [...sides, ...legs.members, ...braced.members];
  const onSides = new Set(inner.joints.flatMap((j) => (j.carrier === LEANING.left ? [j.carried] : [])));
  const shelves = inner.members.filter((m) => onSides.has(m.id) && m.role === 'shelf');
  const plugged = shelves.flatMap((s) => [LEANING.left, LEANING.right].map((into) => ({ into, cut: plugHoles(piece, s) })));
  const facts = leaningFacts(piece, stance, lean, wood.thickness.named('side'), shelves, off);
  return assembled(
    made,
    {
      ...inner,
      members: [...sides, ...inner.members, ...legs.members, ...braced.members],
      cuts: [...inner.cuts, ...plugged],
      joints: [...(legs.joints.length > 0 ? legs.joints : onFloor(sides)), ...inner.joints, ...braced.joints],
      facts: [...inner.facts, { space: piece.interior.id, facts: [...facts, ...legs.facts, ...braced.facts] }],
    },
    { ...ofAll(lean.front), outside: outside(lean.front, own) },
    [...problems, ...leaningProblems(piece, stance, wood.thickness.value / mm(1)), ...legs.problems, ...braced.problems],
  );
}

/** The edit that makes a member of another stock: the brace, the legs with their feet, or both sides. */
function ofStock({ sides, legs, brace }: Leaning, { role }: Member, stock: string): PieceEdit {
  const patch: Partial<Leaning> =
    role === 'brace' && brace
      ? { brace: { ...brace, stock } }
      : role !== 'side' && legs
        ? { legs: { ...legs, stock } }
        : { sides: { ...sides, stock } };
  return { kind: 'piece', patch };
}

export const leaning: ShellKind<Leaning> = {
  kind: 'leaning',
  inside: 'Between the sides',
  fields: leaningFields,
  uses: (piece) => stockUses('sides', { stock: piece.sides.stock }, ({ stock }) => ({ sides: { ...piece.sides, stock } })),
  names: ({ brace, legs }) => [
    ...stockNames(brace ? [brace.stock] : []).map((n) => ({ ...n, where: 'brace' })),
    ...stockNames(legs ? [legs.stock] : []).map((n) => ({ ...n, where: 'rear legs' })),
  ],
  placed: () => [],
  shape,
  racking: leaningChecks,
  withStock: (piece, member, stock) => (member.node === LEANING_NODE ? ofStock(piece, member, stock) : null),
  remedies: (piece, asked) => {
    const { member } = asked;
    const others = otherStock(asked, member.stockId, (id) => ofStock(piece, member, id));
    return member.role === 'side' ? [...others, widerSides(piece), ...braced(piece)] : others;
  },
};
