import type { Carried } from '../carry/index.js';
import type { Part } from '../parts/index.js';
import type { Letters, Piece, Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { worstFirst, pieceFix, type About, type Check } from '../finding/index.js';
import { absurdChecks } from './absurd.js';
import { assumedLoads } from './assumed.js';
import { handChecks } from './hands.js';
import { bodyChecks } from './bodies.js';
import { drawnOutChecks } from './drawn-out.js';
import { feetChecks } from './feet.js';
import { missingStock } from './missing.js';
import { notChecked } from './not-checked.js';
import { overlapChecks } from './overlaps.js';
import { movementChecks } from './movement.js';
import { peopleChecks } from './people.js';
import { shellOf } from '../shells/index.js';
import { machineFeetChecks } from './machine-feet.js';
import { getsOutChecks } from './gets-out.js';
import { madeChecks } from './made.js';
import { meantChecks } from './meant.js';
import { memberChecks } from './members.js';
import { placeChecks } from './place.js';
import { postChecks } from './posts.js';
import { runChecks } from './runs.js';
import { screwChecks } from './screws.js';
import { seenScrewChecks } from './seen-screws.js';
import { thingChecks } from './things.js';
import { undecided } from './undecided.js';
import { useChecks } from './uses.js';
import { uncuttableChecks } from './uncuttable.js';

export * from '../finding/index.js';
export { CUT_SLACK, againstPlan, otherHand, type AgainstPlan } from './made.js';
export { drawnOutAt, type DrawnOut } from './drawn-out.js';
export { nameOf } from './names.js';
export { clashSentence, heldIn } from './screws.js';
export { standsWithJoints, weakEnds } from './stands.js';
export { tooManyParts } from './too-many.js';
export { uncheckedJoints } from './not-checked.js';

/** What a problem of the shape is about: a member or a space of it where there is one of that id. */
function aboutOf(shape: Shape, id: string): About {
  if (shape.members.some((m) => m.id === id)) return { kind: 'member', id };
  return shape.spaces.has(id) ? { kind: 'space', id } : { kind: 'piece' };
}

/**
 * Every check of a solved piece, worst first.
 * @param uncuttable parts that would have no size left
 * @param parts what is cut
 * @example checksOf(CASE, SOLVED.shape, SOLVED.carried, SOLVED.letters, SHOP).length === SOLVED.checks.length // true
 */
export function checksOf(
  piece: Piece,
  shape: Shape,
  carried: Carried,
  letters: Letters,
  workshop: Workshop,
  uncuttable: readonly Part[] = [],
  parts: readonly Part[] = [],
): readonly Check[] {
  const problems = shape.problems.map((p): Check => ({
    id: p.id,
    severity: p.stops ? 'stop' : 'look',
    state: 'fails',
    about: aboutOf(shape, p.about),
    sentence: p.sentence,
    fixes: p.fixes.map((f) => pieceFix(f.label, f.edit)),
  }));
  // Nothing is judged by sizes that only stand in.
  if (shape.assumed.length > 0)
    return worstFirst([undecided(piece, shape, workshop), ...missingStock(piece, workshop), ...meantChecks(piece, workshop)]);
  const opening = piece.opening ? workshop.openings.get(piece.opening) : undefined;
  const place =
    piece.opening && opening && shape.members.length > 0 ? placeChecks({ piece, shape, openingId: piece.opening, opening }) : [];
  return worstFirst([
    ...missingStock(piece, workshop),
    ...meantChecks(piece, workshop),
    ...problems,
    ...absurdChecks(shape, parts, letters),
    ...uncuttableChecks(uncuttable, letters),
    ...madeChecks(parts, letters, workshop.made),
    ...place,
    ...runChecks(piece, shape),
    ...overlapChecks(shape, letters),
    ...thingChecks(shape, workshop),
    ...getsOutChecks(piece, shape, letters),
    ...bodyChecks(piece, shape, carried, workshop),
    ...screwChecks(piece, carried, letters, workshop.settings),
    ...seenScrewChecks(piece, shape, carried, letters, workshop.settings),
    ...handChecks(shape, carried, letters, workshop.settings),
    ...(shape.members.length > 0 ? shellOf(piece).racking(piece, shape, carried, workshop) : []),
    ...(shape.members.length > 0 ? (shellOf(piece).checks?.(piece, shape, carried) ?? []) : []),
    ...peopleChecks(piece, shape, carried, letters, workshop, true),
    ...postChecks(piece, shape, carried, letters, workshop),
    ...useChecks(piece, shape, letters, workshop),
    ...movementChecks(piece, shape, carried, letters, workshop),
    ...machineFeetChecks(shape),
    ...feetChecks(shape, carried, letters),
    ...drawnOutChecks(piece, shape, letters, workshop),
    ...memberChecks(piece, shape, carried, letters, workshop),
    ...assumedLoads(carried, letters),
    ...notChecked(piece, shape, carried, letters, workshop),
  ]);
}
