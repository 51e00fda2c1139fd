import { ZERO, mm, sub, type Length } from '../../length/index.js';
import type { Held, HeldTo, Piece } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';

/** A glued back counts as a support from this thickness on. */
export const LEAST_BACK = mm(12);
/** Studs further apart than this leave a shelf to bend between them. */
export const BETWEEN_STUDS = mm(610);
/** A screw keeps so far from the end of the shelf that it holds. */
const FROM_END = mm(20);

/** Where studs were found behind a piece, from its left. */
export function studsBehind(piece: Piece, workshop: Workshop): readonly Length[] {
  const opening = piece.opening === undefined ? undefined : workshop.openings.get(piece.opening);
  return (opening?.studs ?? []).map((s) => sub(s, opening?.slack.side ?? ZERO));
}

/**
 * How many of the studs hold a panel from one place to another, where they are near enough to each other and to its ends; 0 where they do not.
 * @example studsThatHold([mm(300)], mm(0), mm(600)) // 1
 */
export function studsThatHold(studs: readonly Length[], from: Length, to: Length): number {
  const behind = studs.filter((s) => s >= from + FROM_END && s <= to - FROM_END).sort((a, b) => a - b);
  const places = [from, ...behind, to];
  const near = places.slice(1).every((p, i) => p - (places[i] as number) <= BETWEEN_STUDS);
  return near ? behind.length : 0;
}

/** How being held to a back so thick counts as a support: glued to a thick one, or screwed through it into studs that were found; null where it does not. */
export function backCounts(held: Held, thick: Length, piece: Pick<Piece, 'fixedToWall'>, studs: number): HeldTo | null {
  if (held === 'glued') return thick >= LEAST_BACK ? 'glue' : null;
  return piece.fixedToWall && studs > 0 ? { studs } : null;
}
