import { len, say } from '../../figure/index.js';
import { fillingKind } from '../../interiors/index.js';
import { add, fromUnits, mm, negative, scale, sub, type Length } from '../../length/index.js';
import { boxOf, type Box, type Member, type Outline, type PlacedSpace, type Point, type ShapeProblem } from '../../piece/index.js';
import { CASE } from './ids.js';
import type { PanelCase } from './spec.js';

/** The lower edge of a hole for cables is so far over what stands there. */
const OVER = mm(15);
/** A hole that lets a plug through, typical. */
const PLUG = mm(60);

/** The spaces whose devices have cables behind them. */
const wired = (spaces: Iterable<PlacedSpace>) =>
  [...spaces].filter(({ space }) => space.filling !== undefined && fillingKind(space.filling).cablesBehind?.(space.filling) === true);

/** Whether the back leaves something of the rear of a space open. */
const isOpen = ({ box }: PlacedSpace, back: Box) => box.y0 < back.y0 || box.y1 > back.y1;

/** A circle so far across round a place of the piece, in the directions of a member that looks to the front. */
function holeAt({ frame }: Member, x: Length, y: Length, across: Length): Outline {
  const { origin, u, v } = frame;
  const [dx, dy] = [sub(x, origin.x), sub(y, origin.y)];
  const along = (d: readonly number[]) => fromUnits(dx * (d[0] as number) + dy * (d[1] as number));
  const middle: Point = { u: along(u), v: along(v) };
  const half = scale(across, 0.5);
  const at = (by: Length): Point => ({ u: add(middle.u, by), v: middle.v });
  return { start: at(negative(half)), sides: [half, negative(half)].map((by) => ({ kind: 'arc', to: at(by), bulge: 1 })) };
}

/**
 * A back with a hole for cables low behind each space whose devices have some, where it leaves nothing open there.
 * @example withCableHoles(CASE, [SHELF], []) // [SHELF]
 */
export function withCableHoles(piece: PanelCase, members: readonly Member[], spaces: Iterable<PlacedSpace>): readonly Member[] {
  const across = piece.cables;
  if (across === undefined) return members;
  const behind = wired(spaces);
  return members.map((back) => {
    if (back.id !== CASE.back) return back;
    const box = boxOf(back);
    const holes = behind
      .filter((s) => !isOpen(s, box) && s.box.y1 - s.box.y0 > across + OVER)
      .map((s) => holeAt(back, fromUnits((s.box.x0 + s.box.x1) / 2), add(s.box.y0, OVER, scale(across, 0.5)), across));
    return holes.length > 0 ? { ...back, holes } : back;
  });
}

/** Devices with cables behind them, and a back that lets none through. */
export function cableProblems(piece: PanelCase, members: readonly Member[], spaces: Iterable<PlacedSpace>): ShapeProblem[] {
  const back = members.find((m) => m.id === CASE.back);
  const shut = back ? wired(spaces).filter((s) => !isOpen(s, boxOf(back))) : [];
  const [first] = shut;
  if (!first || !back) return [];
  const { cables } = piece;
  const room = Math.min(...shut.map((s) => s.box.y1 - s.box.y0)) as Length;
  if (cables !== undefined && room > cables + OVER) return [];
  const problem = (sentence: ShapeProblem['sentence'], fixes: ShapeProblem['fixes']): ShapeProblem[] => [
    { id: 'cables', about: CASE.back, stops: false, sentence, fixes },
  ];
  if (cables !== undefined)
    return problem(say`A hole ${len(cables)} across has no room in the back behind ${first.label}, ${len(room)} high.`, []);
  return problem(say`The cables of ${first.label} have no way out: the back is closed behind it.`, [
    { label: say`Holes of ${len(PLUG)} in the back`, edit: { kind: 'piece', patch: { cables: PLUG } } },
  ]);
}
