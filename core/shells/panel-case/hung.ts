import { cleatFaces } from '../../carry/index.js';
import { Figure, len, say, size } from '../../figure/index.js';
import { ZERO, add, mm, scale, sub, toMm, type Length } from '../../length/index.js';
import { USUAL_KERF } from '../../joints/index.js';
import {
  PLACE,
  atX,
  boxOf,
  facingFrame,
  rectangular,
  type Bought,
  type End,
  type Fact,
  type Joint,
  type Member,
  type ShapeProblem,
} from '../../piece/index.js';
import { woodOf, type Wood, type Workshop } from '../../project/index.js';
import type { Envelope } from './envelope.js';
import { notchProblems } from './cleat-notch.js';
import { hungProblem, patch } from './hung-problem.js';
import { CASE, HUNG } from './ids.js';
import type { Hung, HungByCleat, PanelCase } from './spec.js';

const HALF = Math.SQRT1_2;

/** How wide the two faces of each half are, ripped down the middle of a board at 45°. */
function facesOf({ cleat }: HungByCleat, wood: Wood, workshop: Workshop) {
  const kerf = workshop.settings.kerf ?? USUAL_KERF;
  const { wide, narrow } = cleatFaces(toMm(cleat.wide), toMm(wood.thickness.value), toMm(kerf));
  const board = size('board', cleat.wide, { in: 'piece', field: 'hung.cleat.wide' });
  const from = [board, wood.thickness, size('kerf', kerf)];
  return {
    wide: Figure.formula('length', 'half of: the board, and its thickness, less the kerf aslant (√2)', from, mm(wide)),
    narrow: Figure.formula('length', 'half of: the board, less its thickness and the kerf aslant (√2)', from, mm(narrow)),
  };
}

/** Half of a board that was ripped at 45°: its face at the wall, or away from it, is the wide one. */
function half(id: string, label: string, wood: Wood, length: Figure, width: Figure, at: { x: Length; y: Length }, bevel: End): Member {
  const plain = rectangular({
    id,
    node: HUNG.node,
    role: 'cleat',
    label,
    wood,
    length,
    width,
    frame: facingFrame({ x: at.x, y: at.y, z: ZERO }),
  });
  return { ...plain, ends: [bevel] };
}

/** What a hung case has besides others, in place of a floor. */
export interface Hanging {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  readonly facts: readonly Fact[];
  readonly bought: readonly Bought[];
  readonly problems: readonly ShapeProblem[];
}

/** The stock of what a case hangs by. @example boardsOf({ rail: { stock: 'ply', wide: mm(90) } }) // ['ply'] */
export function boardsOf(hung: Hung | undefined): readonly string[] {
  if (!hung || 'keyholes' in hung) return [];
  return ['cleat' in hung ? hung.cleat.stock : hung.rail.stock];
}

const NOTHING: Hanging = { members: [], joints: [], facts: [], bought: [], problems: [] };

/** What a case hangs by: a cleat, a rail behind its back, or keyholes in its sides. */
export function hangingOf(piece: PanelCase, envelope: Envelope, workshop: Workshop): Hanging {
  const { hung } = piece;
  if (!hung) return NOTHING;
  const problems = underneath(piece);
  if (problems.length > 0) return { ...NOTHING, problems };
  if ('cleat' in hung) return byCleat(piece, hung, envelope, workshop);
  return 'rail' in hung ? byRail(piece, hung, envelope, workshop) : byKeyholes(hung, envelope);
}

/** Where something on the wall is to be marked, where it is known how high the case hangs. */
function markAt({ above }: Hung, what: string, y: Length): readonly Fact[] {
  if (above === undefined) return [];
  const over = size('lower edge over the floor', above, { in: 'piece', field: 'hung.above' });
  const onWall = { what, from: 'the floor' };
  return [{ name: `mark on the wall: ${what}`, figure: over.plus(size('up from there', y)).named(what), onWall }];
}

/** What lies under a case that hangs, or goes under its sides. */
function underneath({ base, bottom }: PanelCase): ShapeProblem[] {
  if (base.kind !== 'none')
    return hungProblem('base', say`A case that hangs has nothing under it, and this one has a base.`, [
      { label: say`Leave the base out`, edit: patch({ base: { kind: 'none' } }) },
    ]);
  if (bottom === 'over')
    return hungProblem('bottom', say`The sides stand on the bottom, and hang on nothing that holds that: put it between them.`, [
      { label: say`Put the bottom between the sides`, edit: patch({ bottom: 'between' }) },
    ]);
  return [];
}

/** A rail between the sides, flush with their rear edges and under the top, that is screwed through into studs. */
function byRail(piece: PanelCase, hung: Extract<Hung, { rail: unknown }>, envelope: Envelope, workshop: Workshop): Hanging {
  const { back } = piece;
  const { inside, start, depth, sidesDepth } = envelope;
  const wood = woodOf(workshop, hung.rail.stock);
  const thick = wood.thickness.value;
  if (piece.lid)
    return {
      ...NOTHING,
      problems: hungProblem(
        'rail-lid',
        say`A hanging rail goes under a top that stays, and this one opens: hang it by keyholes in its sides.`,
        [{ label: say`By keyholes`, edit: patch({ hung: { keyholes: { under: hung.rail.wide } } }) }],
      ),
    };
  if (back.kind === 'applied' || back.kind === 'rebate')
    return {
      ...NOTHING,
      problems: hungProblem(
        'rail-back',
        say`The back lies where the hanging rail goes, flush with the rear edges: put it into grooves in front of that.`,
        [
          {
            label: say`A back in grooves, ${len(thick)} in`,
            edit: patch({ back: { kind: 'groove', depth: mm(6), inset: thick, slack: mm(1) } }),
          },
          { label: say`Leave it out`, edit: patch({ back: { kind: 'none' } }) },
        ],
      ),
    };
  if (back.kind === 'groove' && back.inset < thick)
    return {
      ...NOTHING,
      problems: hungProblem(
        'rail-inset',
        say`The back is ${len(back.inset)} in from the rear edges, and the hanging rail behind it ${len(thick)} thick.`,
        [{ label: say`The back ${len(thick)} in`, edit: patch({ back: { ...back, inset: thick } }) }],
      ),
    };
  const top = add(start.y.value, inside.height.value);
  if (hung.rail.wide > inside.height.value)
    return {
      ...NOTHING,
      problems: hungProblem(
        'rail-high',
        say`A hanging rail ${len(hung.rail.wide)} high has no room in the case, which is ${len(inside.height.value)} high inside.`,
      ),
    };
  const member = rectangular({
    id: HUNG.rail,
    node: HUNG.node,
    role: 'rail',
    label: 'hanging rail',
    wood,
    length: inside.width,
    width: size('hanging rail', hung.rail.wide, { in: 'piece', field: 'hung.rail.wide' }),
    frame: facingFrame({ x: start.x.value, y: sub(top, hung.rail.wide), z: sub(depth.value, sidesDepth.value) }),
  });
  return {
    ...NOTHING,
    members: [member],
    joints: [
      ...[CASE.left, CASE.right].map((carried): Joint => ({ carried, carrier: HUNG.rail, how: 'screws' })),
      { carried: HUNG.rail, carrier: PLACE, how: 'hung' },
    ],
    facts: markAt(hung, 'upper edge of the hanging rail', top),
  };
}

/** Keyholes in the rear edges of the sides, over the heads of screws in studs. */
function byKeyholes(hung: Extract<Hung, { keyholes: unknown }>, { height }: Envelope): Hanging {
  const y = sub(height.value, hung.keyholes.under);
  if (hung.keyholes.under * 2 > height.value) {
    const under = scale(height.value, 0.1);
    return {
      ...NOTHING,
      problems: hungProblem(
        'keyholes',
        say`Keyholes ${len(hung.keyholes.under)} under the upper ends of sides ${len(height.value)} high are in their lower half: the case would turn over on them.`,
        [{ label: say`${len(under)} under them`, edit: patch({ hung: { ...hung, keyholes: { ...hung.keyholes, under } } }) }],
      ),
    };
  }
  return {
    ...NOTHING,
    joints: [CASE.left, CASE.right].map((carried): Joint => ({ carried, carrier: PLACE, how: 'hung' })),
    facts: markAt(hung, 'screws for the keyholes', y),
    bought: [{ what: 'keyhole plates', count: 2, each: 'piece' }],
  };
}

/**
 * What a case hangs by: the half of the cleat that is screwed to the rear edges of its sides, the one on the wall that it
 * hooks over, and a bumper as thick below, so that it hangs plumb.
 */
function byCleat(piece: PanelCase, hung: HungByCleat, envelope: Envelope, workshop: Workshop): Hanging {
  const { width, height, left, inside, start } = envelope;
  const problems = [...cleatProblems(piece, hung, height.value, workshop), ...notchProblems(piece, hung, workshop)];
  if (problems.length > 0) return { ...NOTHING, problems };
  const wood = woodOf(workshop, hung.cleat.stock);
  const { wide, narrow } = facesOf(hung, wood, workshop);
  const t = toMm(wood.thickness.value);
  // The upper edge of the case's half is that of the case, or under its top where it goes through the sides.
  const top = hung.cleat.notched ? add(start.y.value, inside.height.value) : height.value;
  const y = sub(top, wide.value);
  const below = sub(y, narrow.value);
  // Hooked over: the case's half is cut off under what rises from the wall, the wall's over what rises to the case.
  const upper = half(HUNG.case, 'cleat on the case', wood, width, wide, { x: left, y }, { normal: [0, -HALF, HALF], at: ZERO });
  const lower = half(
    HUNG.wall,
    'cleat on the wall',
    wood,
    width,
    wide,
    { x: left, y: below },
    { normal: [0, HALF, -HALF], at: mm(toMm(narrow.value) * HALF) },
  );
  const bumper = rectangular({
    id: HUNG.bumper,
    node: HUNG.node,
    role: 'bumper',
    label: 'bumper',
    wood,
    length: width,
    width: size('bumper', BUMPER),
    frame: facingFrame({ x: left, y: ZERO, z: ZERO }),
  });
  const sides = [CASE.left, CASE.right];
  const bumpers = hung.cleat.notched ? [] : [bumper];
  return {
    ...NOTHING,
    members: [upper, lower, ...bumpers],
    joints: [
      ...sides.map((carried): Joint => ({ carried, carrier: HUNG.case, how: 'screws' })),
      { carried: HUNG.case, carrier: HUNG.wall, how: 'hung' },
      { carried: HUNG.wall, carrier: PLACE, how: 'hung' },
      ...sides.flatMap((carrier, i): Joint[] =>
        bumpers.map(() => ({ carried: HUNG.bumper, carrier, how: 'glued', on: atX(i === 0 ? left : add(left, width.value)) })),
      ),
    ],
    facts: [
      { name: 'cleat, wide faces', figure: wide },
      { name: 'cleat, narrow faces', figure: narrow },
      {
        name: 'cutting it',
        remark: say`One cut at 45° down the middle of a board ${len(hung.cleat.wide)} wide and ${len(mm(t))} thick gives both halves: the wide face of one goes to the wall, that of the other away from it.`,
      },
      ...markAt(hung, 'lower edge of the cleat', below),
    ],
  };
}

/** How high the bumper is. */
const BUMPER = mm(60);

/**
 * How far what holds a case to the wall is over what it is pressed against below, mm: the bumper under a cleat, else its lower rear edges.
 * @example dropOf(CASE, []) // null
 */
export function dropOf(piece: PanelCase, members: readonly Member[]): number | null {
  const rail = members.find((m) => m.id === HUNG.rail);
  const side = members.find((m) => m.id === CASE.left);
  if (rail && side) return (toMm(boxOf(rail).y0) + toMm(boxOf(rail).y1)) / 2 - toMm(boxOf(side).y0);
  if (piece.hung && 'keyholes' in piece.hung && side) return toMm(sub(side.length.value, piece.hung.keyholes.under));
  const [upper, bumper] = [HUNG.case, HUNG.bumper].map((id) => members.find((m) => m.id === id));
  if (upper && side && !bumper) return toMm(boxOf(upper).y0) + toMm(upper.thickness.value) / 2 - toMm(boxOf(side).y0);
  if (!upper || !bumper) return null;
  const [a, b] = [boxOf(upper), boxOf(bumper)];
  return toMm(a.y0) + toMm(upper.thickness.value) / 2 - (toMm(b.y0) + toMm(b.y1)) / 2;
}

/** What keeps a case from being hung by a cleat. */
function cleatProblems(piece: PanelCase, hung: HungByCleat, high: Length, workshop: Workshop): ShapeProblem[] {
  const { back } = piece;
  const wood = woodOf(workshop, hung.cleat.stock);
  if (back.kind === 'applied' && !hung.cleat.notched)
    return hungProblem('back', say`The back lies over the rear edges of the sides, where the cleat is screwed to them.`, [
      {
        label: say`Put the back into rebates`,
        edit: patch({ back: { kind: 'rebate', depth: scale(woodOf(workshop, piece.stock.sides).thickness.value, 0.5), slack: mm(1) } }),
      },
      { label: say`Leave it out`, edit: patch({ back: { kind: 'none' } }) },
    ]);
  const { wide, narrow } = facesOf(hung, wood, workshop);
  const takes = add(wide.value, narrow.value, hung.cleat.notched ? wood.thickness.value : BUMPER);
  if (takes > high)
    return hungProblem(
      'high',
      say`A case ${len(high)} high has no room behind it for a cleat and a bumper, ${len(takes)} in all: take a narrower board for the cleat.`,
    );
  if (narrow.value < wood.thickness.value)
    return hungProblem(
      'cleat',
      say`A board ${len(hung.cleat.wide)} wide and ${len(wood.thickness.value)} thick leaves narrow faces of ${len(narrow.value)}: take one at least ${len(scale(wood.thickness.value, 4))} wide.`,
      [
        {
          label: say`${len(scale(wood.thickness.value, 4))} wide`,
          edit: patch({ hung: { ...hung, cleat: { ...hung.cleat, wide: scale(wood.thickness.value, 4) } } }),
        },
      ],
    );
  return [];
}
