import { inTerms, termsOf, type Terms } from '../figure/index.js';
import { keptMembers, type Member, type Piece, type Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { keepsOf, toldJoints } from './keeps.js';
import { shellOf } from './kinds.js';

export * from './kinds.js';
export type * from './kind.js';
export * from './panel-case/spec.js';
export * from './folding/spec.js';
export * from './frame/spec.js';
export * from './in-place/spec.js';
export { sizesWithin } from './in-place/tied.js';
export * from './leaning/spec.js';
export * from './wall-board/spec.js';
export { sortOfKeep, toldOf } from './keeps.js';
export { CASE } from './panel-case/ids.js';

/** A member whose name begins with what it is, in the shop's terms. */
function inShopTerms(member: Member, terms: Terms): Member {
  const { role, label } = member;
  const term = inTerms(role, terms);
  return term !== role && label.startsWith(role) ? { ...member, label: `${term}${label.slice(role.length)}` } : member;
}

/** The geometry of a piece, whatever its shell is. @example shapeOf(SOLVED.piece, SHOP).members.length // 5 */
export function shapeOf(piece: Piece, workshop: Workshop): Shape {
  const shape = shellOf(piece).shape(piece, workshop);
  const { forBooks, shelfLoad } = piece;
  const terms = termsOf(workshop.settings);
  const members = keptMembers(shape.members.map((m) => inShopTerms(m, terms)));
  const byId = new Map(members.map((m) => [m.id, m]));
  return {
    ...shape,
    members,
    joints: toldJoints(piece, shape.joints, byId),
    keeps: keepsOf(piece, { ...shape, members }),
    ...(forBooks ? { forBooks } : {}),
    ...(shelfLoad === undefined ? {} : { shelfLoad }),
  };
}
