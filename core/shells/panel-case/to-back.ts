import { len, say } from '../../figure/index.js';
import { mm, type Length } from '../../length/index.js';
import { boxOf, dividingMembersOf, type Held, type Joint, type Member, type PanelCase, type ShapeProblem } from '../../piece/index.js';
import { CASE } from './case.js';

/** A glued back counts as a support from this thickness on. */
const LEAST_BACK = mm(12);

/** Whether being held to a back so thick counts as a support: glued to a thick one, or screwed through it into studs. */
export function backCounts(held: Held, thick: Length, fixedToWall: boolean): boolean {
  return held === 'glued' ? thick >= LEAST_BACK : fixedToWall;
}

/** What shelves that are held to the back are carried by there, and those for which that does not count. */
export interface HeldToBack {
  readonly joints: readonly Joint[];
  readonly problems: readonly ShapeProblem[];
}

/**
 * Shelves held to the back along their rear edges. A back counts as a support only glued, from
 * 12 mm on, or screwed through into studs where the case is fixed to the wall.
 * @param rear where the clear inside begins, from the rear
 */
export function heldToBack(piece: PanelCase, members: readonly Member[], back: Member | undefined, rear: Length): HeldToBack {
  const joints: Joint[] = [];
  const problems: ShapeProblem[] = [];
  for (const { member: spec } of dividingMembersOf(piece.interior)) {
    if (spec.toBack === undefined) continue;
    const shelf = members.find((m) => m.id === `${spec.id}/shelf/1`);
    if (!shelf) continue;
    const thick = back?.thickness.value;
    const touches = boxOf(shelf).z0 === rear;
    const counts = thick !== undefined && touches && backCounts(spec.toBack, thick, piece.fixedToWall);
    if (counts) {
      joints.push({ carried: shelf.id, carrier: CASE.back, how: 'held along' });
      continue;
    }
    const why =
      thick === undefined
        ? say`the case has no back`
        : !touches
          ? say`something stands between them`
          : spec.toBack === 'glued'
            ? say`a back of ${len(thick)} is too thin, ${len(LEAST_BACK)} is the least`
            : say`the case is not fixed to the wall, so that its screws reach no stud`;
    problems.push({
      id: `to-back-${spec.id}`,
      about: spec.id,
      stops: false,
      sentence: say`That ${shelf.label} is held to the back does not count: ${why}.`,
      fixes: [{ label: say`Leave it free of the back`, edit: { kind: 'to-back', member: spec.id, held: null } }],
    });
  }
  return { joints, problems };
}
