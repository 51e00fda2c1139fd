import { len, say } from '../figure/index.js';
import { BETWEEN_STUDS, LEAST_BACK, backCounts, studsThatHold } from '../interiors/panels/to-back.js';
import type { Length } from '../length/index.js';
import { boxOf, dividingMembersOf, type Joint, type Member, type Piece, type ShapeProblem } from '../piece/index.js';

/** What shelves that are held to the back are carried by there, and those for which that does not count. */
export interface HeldToBack {
  readonly joints: readonly Joint[];
  readonly problems: readonly ShapeProblem[];
}

/**
 * Shelves held to the back along their rear edges. A back counts as a support only glued, from
 * 12 mm on, or screwed through into studs where the case is fixed to the wall.
 * @param rear where the clear inside begins, from the rear; `studs` from the left of the piece
 */
export function heldToBack(
  piece: Pick<Piece, 'interior' | 'fixedToWall'>,
  members: readonly Member[],
  back: Member | undefined,
  rear: Length,
  studs: readonly Length[],
): HeldToBack {
  const joints: Joint[] = [];
  const problems: ShapeProblem[] = [];
  for (const { member: spec } of dividingMembersOf(piece.interior)) {
    if (spec.toBack === undefined) continue;
    const shelf = members.find((m) => m.node === spec.id && m.role === 'shelf');
    if (!shelf) continue;
    const thick = back?.thickness.value;
    const { z0, x0, x1 } = boxOf(shelf);
    const touches = z0 === rear;
    const by = thick !== undefined && touches ? backCounts(spec.toBack, thick, piece, studsThatHold(studs, x0, x1)) : null;
    if (by && back) {
      joints.push({ carried: shelf.id, carrier: back.id, how: 'held along', by });
      continue;
    }
    const why =
      thick === undefined
        ? say`the case has no back`
        : !touches
          ? say`something stands between them`
          : spec.toBack === 'glued'
            ? say`a back of ${len(thick)} is too thin, ${len(LEAST_BACK)} is the least`
            : piece.fixedToWall
              ? say`no studs were read behind it that are at most ${len(BETWEEN_STUDS)} from each other and from its ends`
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
