import { len, say } from '../../figure/index.js';
import { ZERO, add, mm, sub } from '../../length/index.js';
import { boxOf, notched, type Feature, type Member, type ShapeProblem } from '../../piece/index.js';
import { woodOf, type Workshop } from '../../project/index.js';
import { hungProblem, patch } from './hung-problem.js';
import { CASE, HUNG } from './ids.js';
import type { HungByCleat, PanelCase } from './spec.js';

/** What keeps a cleat from being let into the sides. */
export function notchProblems(piece: PanelCase, hung: HungByCleat, workshop: Workshop): ShapeProblem[] {
  if (!hung.cleat.notched) return [];
  const { back } = piece;
  const thick = woodOf(workshop, hung.cleat.stock).thickness.value;
  const { notched: _on, ...plain } = hung.cleat;
  void _on;
  const behindSides = { label: say`Behind the sides`, edit: patch({ hung: { ...hung, cleat: plain } }) };
  const inGrooves = {
    label: say`A back in grooves, ${len(thick)} in`,
    edit: patch({ back: { kind: 'groove', depth: mm(6), inset: thick, slack: mm(1) } }),
  };
  if (piece.lid)
    return hungProblem('notch-lid', say`A cleat that goes through the sides lies under a top that stays, and this one opens.`, [
      behindSides,
    ]);
  if (piece.outline)
    return hungProblem('notch-outline', say`Sides that are cut to an outline are not notched for a cleat as well.`, [behindSides]);
  if (back.kind === 'rebate' || back.kind === 'applied')
    return hungProblem('notch-back', say`The back lies where the cleat goes through the sides, flush with their rear edges.`, [
      inGrooves,
      behindSides,
    ]);
  if (back.kind === 'groove' && back.inset < thick)
    return hungProblem(
      'notch-inset',
      say`The back is ${len(back.inset)} in from the rear edges, and the cleat behind it ${len(thick)} thick.`,
      [{ label: say`The back ${len(thick)} in`, edit: patch({ back: { ...back, inset: thick } }) }, behindSides],
    );
  return [];
}

/** A case is lifted over the half on the wall by so much more than that rises, as it is hung. */
const PLAY = mm(3);

/**
 * Sides with the notches in their rear edges that a cleat goes through, as high as it is to be lifted over the half on the wall.
 * @example notchedForCleat(CASE, [SHELF], []) // [SHELF]
 */
export function notchedForCleat({ hung }: PanelCase, members: readonly Member[], hanging: readonly Member[]): readonly Member[] {
  if (!hung || !('cleat' in hung) || !hung.cleat.notched) return members;
  const [upper, lower] = [HUNG.case, HUNG.wall].map((id) => hanging.find((m) => m.id === id));
  if (!upper || !lower) return members;
  const [from, to] = [sub(boxOf(lower).y0, add(lower.thickness.value, PLAY)), boxOf(upper).y1];
  return members.map((side) => {
    if (side.id !== CASE.left && side.id !== CASE.right) return side;
    const { y } = side.frame.origin;
    const region = { u0: sub(from, y), u1: sub(to, y), v0: ZERO, v1: upper.thickness.value };
    const notch: Feature = { kind: 'notch', face: 'up', region, depth: side.thickness.value, mate: upper.id };
    return notched({ ...side, features: [...side.features, notch] });
  });
}
