import { mm } from '../length/index.js';
import { boxOf, hangs, type Member, type Piece, type Shape } from '../piece/index.js';

/** What is so low is sat on, stepped on and knelt on. */
const LOW = mm(650);
/** Narrower than this no one sits on it. */
const SEAT = mm(200);

/** Whether a piece is made for people to sit or lie on, however high it is. @example isSeat(CASE, SOLVED.shape) // false */
export const isSeat = ({ usedBy }: Piece, { stands }: Pick<Shape, 'stands'>): boolean =>
  usedBy?.how === 'sits on' || [...stands.values()].some((s) => s.people !== undefined);

/** Whether a member lies on top of a piece, or is a slat that does. */
function liesOnTop({ overall }: Shape, member: Member): boolean {
  return member.role === 'slat' || member.role === 'top' || (member.role === 'deck' && boxOf(member).y1 === overall.height.value);
}

/**
 * What people get onto: what lies on top of a seat, at any height; of other pieces the slats of a deck and a top that is low and
 * wide enough, unless it is said that no one will. In a place that is there already a deck may be at any height; what hangs is not sat on.
 * @example isSatOn(CASE, SOLVED.shape, SHELF) // false
 */
export function isSatOn(piece: Piece, shape: Shape, member: Member): boolean {
  if (hangs(shape) || !liesOnTop(shape, member)) return false;
  if (isSeat(piece, shape)) return true;
  if (piece.noOneOn) return false;
  if (member.role === 'slat' && shape.outside.is === 'found') return true;
  const { width, depth } = shape.overall;
  return boxOf(member).y1 <= LOW && (member.role === 'slat' || (width.value >= SEAT && depth.value >= SEAT));
}

/** How a piece is used, as far as it tips by that. @example usedSo(CASE, SOLVED.shape) // { satOn: false, between: false } */
export const usedSo = (piece: Piece, shape: Shape): { readonly satOn: boolean; readonly between: boolean } => ({
  satOn: shape.members.some((m) => isSatOn(piece, shape, m)),
  between: piece.opening !== undefined,
});
