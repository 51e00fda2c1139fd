import { say } from '../../figure/index.js';
import { dividingKind, fillingKind } from '../../interiors/index.js';
import { findMember, findSpace, type Member, type Piece, type PieceEdit, type Space } from '../../piece/index.js';
import { moveLoad, otherStock, type Asked, type Candidate } from '../../remedies/index.js';
import { shellOf } from '../../shells/index.js';

/** The space whose kind a member inside a piece is made by. */
function ownerOf(piece: Piece, { node }: Member): Space | undefined {
  const divided = findMember(piece.interior, node);
  if (divided) return divided.owner;
  const path = findSpace(piece.interior, node);
  return path?.space.split?.making || path?.space.filling ? path.space : path?.parent?.space;
}

/** The edit that makes a member, or all that are made with it, of another stock; null for what is made of no stock of its own. */
export function stockEdit(piece: Piece, outside: ReadonlySet<string>, member: Member, stock: string): PieceEdit | null {
  if (outside.has(member.id)) return shellOf(piece).withStock(piece, member, stock);
  const owner = ownerOf(piece, member);
  // A panel has its own; what else a space is made of is of one stock.
  if (findMember(piece.interior, member.node) && !owner?.split?.making) return { kind: 'member', member: member.node, patch: { stock } };
  if (owner?.filling) {
    const filling = fillingKind(owner.filling).withStock(owner.filling, member, stock);
    return filling && { kind: 'filling', space: owner.id, filling };
  }
  if (!owner?.split?.making) return null;
  const making = dividingKind(owner.split).withStock(owner.split.making, member, stock);
  return making ? { kind: 'making', space: owner.id, making } : null;
}

/** What is made with others of its kind, such as the bottoms of all drawers of a bank: other stock for all of them. */
function forMade(asked: Asked, owner: Space | undefined): Candidate[] {
  const { piece, shape, member } = asked;
  const other = otherStock(asked, member.stockId, (id) => stockEdit(piece, shape.outside.members, member, id)).map((c) => ({
    ...c,
    label: say`${c.label} for every ${member.role}`,
  }));
  const own = owner?.filling
    ? fillingKind(owner.filling).remedies(owner.filling, owner, member, asked.workshop)
    : owner?.split
      ? dividingKind(owner.split).remedies(owner.split.making, owner, member, asked.workshop)
      : [];
  const within = shellOf(piece).remediesWithin?.(piece, asked) ?? [];
  return [...other, ...own, ...within, ...moveLoad(asked)];
}

/** Every change that might make a member pass. */
export function candidatesFor(asked: Asked): readonly Candidate[] {
  const { piece, shape, member } = asked;
  const own = shape.outside.members.has(member.id) ? shellOf(piece).remedies(piece, asked) : null;
  if (own) return own;
  const divided = findMember(piece.interior, member.node);
  const each = divided?.owner.split && dividingKind(divided.owner.split).memberRemedies;
  return each ? each(asked) : forMade(asked, ownerOf(piece, member));
}
