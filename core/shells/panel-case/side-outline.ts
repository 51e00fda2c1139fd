import { Figure, fine, len, say, size } from '../../figure/index.js';
import { ZERO, add, fromUnits, scale, sub, toMm, type Length } from '../../length/index.js';
import {
  boxOf,
  corneredOutline,
  isPlain,
  type Box,
  type CornerAt,
  type CornerCut,
  type Corners,
  type Fact,
  type Member,
  type PieceEdit,
  type ShapeProblem,
} from '../../piece/index.js';
import { EDGING_SPARE, edgedAlong } from '../../parts/index.js';
import { ENDS, followed } from '../followed.js';
import type { Envelope } from './envelope.js';
import { CASE } from './ids.js';
import type { Inset, PanelCase, SideOutline } from './spec.js';

export const NO_INSET: Inset = { front: ZERO, rear: ZERO, top: ZERO, bottom: ZERO };

type SideCorner = keyof NonNullable<SideOutline['corners']>;

/** Sides lie with u up and v to the front. */
const AT: Readonly<Record<SideCorner, CornerAt>> = { frontTop: 'u1v1', rearTop: 'u1v0', frontBottom: 'u0v1', rearBottom: 'u0v0' };
const NAMES: Readonly<Record<SideCorner, string>> = {
  frontTop: 'upper front corners',
  rearTop: 'upper rear corners',
  frontBottom: 'lower front corners',
  rearBottom: 'lower rear corners',
};

/** The corners that are cut; a front that follows the shelves has none of its own. */
const cutsOf = ({ outline }: PanelCase) =>
  (Object.keys(AT) as SideCorner[]).flatMap((at) => {
    const cut = outline?.front && at.startsWith('front') ? undefined : outline?.corners?.[at];
    return cut ? [{ at, cut }] : [];
  });

/** How far in from the front the sides stand on the floor. */
export const footIn = (piece: PanelCase): Length => cutsOf(piece).find((c) => c.at === 'frontBottom')?.cut.by ?? ZERO;

const cornersOf = (piece: PanelCase): Corners => Object.fromEntries(cutsOf(piece).map(({ at, cut }) => [AT[at], cut]));

/**
 * A side with its corners as they are cut, edged all round where its front is; one that follows the shelves is cut once these are known.
 * @example outlined(CASE, SHELF) // SHELF
 */
export function outlined(piece: PanelCase, side: Member): Member {
  if (cutsOf(piece).length === 0) return side;
  const outline = corneredOutline(side.length.value, side.width.value, cornersOf(piece));
  const { v1 } = side.edges;
  return { ...side, outline, edges: v1 === 'banded' ? { u0: v1, u1: v1, v0: v1, v1 } : side.edges };
}

/**
 * Sides whose front edges follow the shelves that end at them, and top and bottom. @param made what is between them
 * @example following(CASE, [SHELF], []) // [SHELF]
 */
export function following(piece: PanelCase, members: readonly Member[], made: readonly Member[]): readonly Member[] {
  const front = piece.outline?.front;
  if (!front) return members;
  const own = members.filter((m) => m.id === CASE.bottom || m.id === CASE.top);
  const levels = [...own, ...made.filter((m) => m.role === 'shelf')];
  // They stand as far past the shelves as these stand in.
  const follow = { front, proud: piece.inset?.front ?? ZERO, corners: cornersOf(piece) };
  return members.map((side) => (side.id === CASE.left || side.id === CASE.right ? followed(side, levels, follow) : side));
}

/**
 * How long the edges of sides are that are cut to an outline, and what of edging both take with some to spare.
 * @example outlineFacts([SHELF]) // []
 */
export function outlineFacts(members: readonly Member[]): readonly Fact[] {
  const side = members.find((m) => m.id === CASE.left);
  const along = side && !isPlain(side) ? edgedAlong(side) : ZERO;
  if (along === ZERO) return [];
  const one = size('one side', along);
  const both = one.times(2).named('both sides');
  const spare = Figure.formula('length', `both, and ${Math.round(EDGING_SPARE * 100)} %`, [both], scale(both.value, 1 + EDGING_SPARE));
  return [
    { name: 'along the edges of a side', figure: one },
    { name: 'edging of both sides, to buy', figure: spare },
  ];
}

/** How far a place is past a corner that is cut, mm, by how far it is in from both edges there; nothing where it is within. */
function past({ is, by }: CornerCut, a: number, b: number): number {
  const r = toMm(by);
  if (a >= r || b >= r) return 0;
  return is === 'round' ? Math.hypot(r - a, r - b) - r : (r - a - b) / Math.SQRT2;
}

/** The largest cut of a corner that leaves a place in it that is so far in from both edges: of a circle r = a + b + √(2ab). */
function largestCut(is: CornerCut['is'], a: number, b: number): number {
  const [p, q] = [Math.max(0, a), Math.max(0, b)];
  return is === 'round' ? p + q + Math.sqrt(2 * p * q) : p + q;
}

/** How far the corner of what ends at a side is in from both edges there, mm. */
function inFrom(at: SideCorner, box: Box, side: Box): readonly [number, number] {
  const top = at.endsWith('Top');
  const front = at.startsWith('front');
  const up = top ? sub(side.y1, box.y1) : sub(box.y0, side.y0);
  const out = front ? sub(side.z1, box.z1) : sub(box.z0, side.z0);
  return [toMm(up), toMm(out)];
}

const edit = (patch: Partial<PanelCase>): PieceEdit => ({ kind: 'piece', patch });

/** Corners that run into each other along an edge. */
function crossing(piece: PanelCase, side: Member): ShapeProblem[] {
  const corners = new Map(cutsOf(piece).map(({ at, cut }) => [at, cut.by]));
  const along = (a: SideCorner, b: SideCorner, long: Length) => add(corners.get(a) ?? ZERO, corners.get(b) ?? ZERO) > long;
  const [high, deep] = [side.length.value, side.width.value];
  const cross =
    along('frontTop', 'frontBottom', high) ||
    along('rearTop', 'rearBottom', high) ||
    along('frontTop', 'rearTop', deep) ||
    along('frontBottom', 'rearBottom', deep);
  if (!cross) return [];
  const most = fromUnits(Math.floor(Math.min(high, deep) / 2));
  const smaller = Object.fromEntries(cutsOf(piece).map(({ at, cut }) => [at, { ...cut, by: Math.min(cut.by, most) as Length }]));
  return [
    {
      id: 'outline-crosses',
      about: 'sides',
      stops: true,
      sentence: say`The corners of the sides are cut so far that they run into each other: sides of ${len(high)} by ${len(deep)} take ${len(most)} at each corner.`,
      fixes: [{ label: say`${len(most)} at most`, edit: edit({ outline: { ...piece.outline, corners: smaller } }) }],
    },
  ];
}

/** What ends at the sides and stands out past their cut corners. */
function pastCorners(piece: PanelCase, side: Member, ending: readonly Member[]): ShapeProblem[] {
  const own = boxOf(side);
  return cutsOf(piece).flatMap(({ at, cut }): ShapeProblem[] => {
    const out = ending
      .map((member) => {
        const [a, b] = inFrom(at, boxOf(member), own);
        return { member, by: past(cut, a, b), most: largestCut(cut.is, a, b) };
      })
      .filter((o) => o.by > 0.05)
      .sort((p, q) => p.most - q.most);
    const [first] = out;
    if (!first) return [];
    const most = fromUnits(Math.floor(first.most * 2) * 40_000);
    const { corners, ...rest } = piece.outline ?? {};
    const { [at]: _gone, ...others } = corners ?? {};
    void _gone;
    const smaller = most > 0 ? { ...others, [at]: { ...cut, by: most } } : others;
    return [
      {
        id: `outline-${at}`,
        about: first.member.id,
        stops: true,
        sentence: say`The ${first.member.label} stands ${fine(first.by, 1)} out past the ${NAMES[at]} of the sides, which are ${cut.is === 'round' ? 'rounded' : 'cut off'} by ${len(cut.by)}: set it in from their edges, or cut them less.`,
        fixes: [
          {
            label: most > 0 ? say`By ${len(most)} there` : say`Square corners there`,
            edit: edit({ outline: { ...rest, corners: smaller } }),
          },
        ],
      },
    ];
  });
}

/** What stands in from an edge where something else goes over it. */
function insetOver(piece: PanelCase): ShapeProblem[] {
  const inset = piece.inset ?? NO_INSET;
  const problem = (side: keyof Inset, sentence: ShapeProblem['sentence']): ShapeProblem => ({
    id: `inset-${side}`,
    about: 'sides',
    stops: true,
    sentence,
    fixes: [{ label: say`Flush there`, edit: edit({ inset: { ...inset, [side]: ZERO } }) }],
  });
  return [
    ...(inset.top > ZERO && piece.top === 'over'
      ? [problem('top', say`The top goes over the ends of the sides, and cannot stand in from them.`)]
      : []),
    ...(inset.bottom > ZERO && piece.bottom === 'over'
      ? [problem('bottom', say`The bottom goes under the ends of the sides, and cannot stand in from them.`)]
      : []),
    ...(inset.rear > ZERO && piece.back.kind === 'applied'
      ? [
          problem(
            'rear',
            say`The back goes over the rear edges of the sides, and what is between them cannot stand in from these: put the back in grooves.`,
          ),
        ]
      : []),
  ];
}

/** What is wrong with how the sides are cut, and with what ends at them. @param members of the whole case, as they are cut */
export function outlineProblems(piece: PanelCase, members: readonly Member[], { width, left }: Envelope): ShapeProblem[] {
  const side = members.find((m) => m.id === CASE.left);
  if (!side) return insetOver(piece);
  const crosses = crossing(piece, side);
  const thick = side.thickness.value;
  // Whatever reaches both sides, or lies over their ends.
  const ending = members.filter((m) => {
    const box = boxOf(m);
    return (
      m.id !== CASE.left &&
      m.id !== CASE.right &&
      m.node !== 'base' &&
      box.x0 <= add(left, thick, ENDS) &&
      box.x1 >= sub(add(left, width.value), add(thick, ENDS))
    );
  });
  return [...insetOver(piece), ...crosses, ...(crosses.length > 0 ? [] : pastCorners(piece, side, ending))];
}
