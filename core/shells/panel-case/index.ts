import { Figure, say } from '../../figure/index.js';
import { ZERO, hypot } from '../../length/index.js';
import { divide } from '../../interiors/divide.js';
import { dividingMembers } from '../../interiors/dividing.js';
import type { Feature, Joint, Member, Piece, Shape, ShapeProblem } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { CASE, bearers, caseMembers } from './case.js';
import { envelopeOf, woodsOf } from './envelope.js';

export { CASE } from './case.js';

/** Members with everything that others cut into them. */
function withCuts(members: readonly Member[], cuts: ReadonlyMap<string, readonly ((mate: Member) => readonly Feature[])[]>): Member[] {
  return members.map((member) => {
    const own = cuts.get(member.id);
    return own ? { ...member, features: [...member.features, ...own.flatMap((cut) => cut(member))] } : member;
  });
}

/** The diagonal of a case seen from the side (Pythagoras). */
function diagonalOf(height: Figure, depth: Figure): Figure {
  return Figure.formula('length', 'across the corners, √(height² + depth²)', [height, depth], hypot(height.value, depth.value));
}

function bottomOverToe(piece: Piece): ShapeProblem[] {
  if (piece.bottom !== 'over' || piece.base.kind !== 'toe') return [];
  const { height, setback, bearers: kept } = piece.base;
  return [
    {
      id: 'bottom-over-toe',
      about: 'bottom',
      stops: true,
      sentence: say`The bottom goes under the sides, so nothing reaches the floor beside the toe board.`,
      fixes: [
        { label: say`Put the bottom between the sides`, edit: { kind: 'piece', patch: { bottom: 'between' } } },
        {
          label: say`Stand the case on a loose plinth`,
          edit: { kind: 'piece', patch: { base: { kind: 'plinth', height, setback, bearers: kept } } },
        },
      ],
    },
  ];
}

/** The geometry of a panel case: its envelope, its spaces and runs, and every member with its joints. */
export function shapePanelCase(piece: Piece, workshop: Workshop): Shape {
  const { woods, problems } = woodsOf(piece, workshop);
  const envelope = envelopeOf(piece, workshop, woods);
  const overall = { width: envelope.width, height: envelope.height, depth: envelope.depth };
  const caseHeight =
    piece.base.kind === 'plinth' ? envelope.height.minus(envelope.baseHeight).named('height of the case') : envelope.height;
  const diagonal = diagonalOf(caseHeight, envelope.depth);
  const { inside, start } = envelope;
  if (inside.width.value <= ZERO || inside.height.value <= ZERO || inside.depth.value <= piece.shelves.setback) {
    const shallow: ShapeProblem[] =
      inside.depth.value > ZERO && inside.depth.value <= piece.shelves.setback
        ? [
            {
              id: 'setback',
              about: 'shelves',
              stops: true,
              sentence: say`The shelves stand back further than the case is deep.`,
              fixes: [],
            },
          ]
        : [];
    return {
      overall,
      caseHeight,
      diagonal,
      spaces: new Map(),
      runs: new Map(),
      members: [],
      joints: [],
      problems: [...problems, ...envelope.problems, ...shallow],
    };
  }
  const context = { workshop, stock: piece.stock, rounding: piece.rounding ?? workshop.settings.rounding };
  const neighbours = { left: CASE.left, right: CASE.right, below: CASE.bottom, above: CASE.top };
  const divided = divide(piece, context, { start, clear: inside, neighbours });
  const dividing = dividingMembers(piece, workshop, divided, woods.shelves.stock);
  const shell = caseMembers(piece, envelope, woods);

  const standing = dividing.filter((d) => d.joints.some((j) => j.carried === d.member.id && j.carrier === CASE.bottom));
  const carried = bearers(
    piece,
    envelope,
    woods,
    standing.map((d) => d.member),
  );

  const cuts = new Map<string, ((mate: Member) => readonly Feature[])[]>();
  for (const { into, cut } of dividing.flatMap((d) => d.cuts)) {
    const others = cuts.get(into);
    if (others) others.push(cut);
    else cuts.set(into, [cut]);
  }
  const joints: Joint[] = [...shell.joints, ...carried.joints, ...dividing.flatMap((d) => d.joints)];
  return {
    overall,
    caseHeight,
    diagonal,
    spaces: divided.spaces,
    runs: divided.runs,
    members: withCuts([...shell.members, ...dividing.map((d) => d.member), ...carried.members], cuts),
    joints,
    problems: [...problems, ...envelope.problems, ...bottomOverToe(piece), ...divided.problems],
  };
}
