import { len, say } from '../../figure/index.js';
import { ZERO, mm, sub, type Length } from '../../length/index.js';
import {
  boxOf,
  dividingMembersOf,
  type Held,
  type HeldTo,
  type Joint,
  type Member,
  type PanelCase,
  type ShapeProblem,
} from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { CASE } from './ids.js';

/** A glued back counts as a support from this thickness on. */
const LEAST_BACK = mm(12);
/** Studs further apart than this leave a shelf to bend between them. */
const BETWEEN_STUDS = mm(610);
/** A screw keeps so far from the end of the shelf that it holds. */
const FROM_END = mm(20);

/** Where studs were found behind a piece, from its left. */
export function studsBehind(piece: PanelCase, workshop: Workshop): readonly Length[] {
  const opening = piece.opening === undefined ? undefined : workshop.openings.get(piece.opening);
  return (opening?.studs ?? []).map((s) => sub(s, opening?.slack.side ?? ZERO));
}

/** How many of the studs hold a panel from one place to another, where they are near enough to each other and to its ends; 0 where they do not. */
export function studsThatHold(studs: readonly Length[], from: Length, to: Length): number {
  const behind = studs.filter((s) => s >= from + FROM_END && s <= to - FROM_END).sort((a, b) => a - b);
  const places = [from, ...behind, to];
  const near = places.slice(1).every((p, i) => p - (places[i] as number) <= BETWEEN_STUDS);
  return near ? behind.length : 0;
}

/** How being held to a back so thick counts as a support: glued to a thick one, or screwed through it into studs that were found; null where it does not. */
export function backCounts(held: Held, thick: Length, piece: Pick<PanelCase, 'fixedToWall'>, studs: number): HeldTo | null {
  if (held === 'glued') return thick >= LEAST_BACK ? 'glue' : null;
  return piece.fixedToWall && studs > 0 ? { studs } : null;
}

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
  piece: PanelCase,
  members: readonly Member[],
  back: Member | undefined,
  rear: Length,
  studs: readonly Length[],
): HeldToBack {
  const joints: Joint[] = [];
  const problems: ShapeProblem[] = [];
  for (const { member: spec } of dividingMembersOf(piece.interior)) {
    if (spec.toBack === undefined) continue;
    const shelf = members.find((m) => m.id === `${spec.id}/shelf/1`);
    if (!shelf) continue;
    const thick = back?.thickness.value;
    const { z0, x0, x1 } = boxOf(shelf);
    const touches = z0 === rear;
    const by = thick !== undefined && touches ? backCounts(spec.toBack, thick, piece, studsThatHold(studs, x0, x1)) : null;
    if (by) {
      joints.push({ carried: shelf.id, carrier: CASE.back, how: 'held along', by });
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
