import { say } from '../../figure/index.js';
import type { Member, PieceEdit } from '../../piece/index.js';
import { moveLoad, otherStock, uprightUnder, type Asked, type Candidate } from '../../remedies/index.js';

import { BAR, BASE_NODE, BLOCKS, CASE, HUNG, LID } from './ids.js';
import { onPlinth } from './plinth.js';
import type { PanelCase } from './spec.js';

/** Which stock a member of the case is of: its own, where it has one. */
function useOf({ stock }: PanelCase, { id, node }: Member): keyof PanelCase['stock'] {
  if (id === CASE.back) return 'back';
  if (node === BASE_NODE && stock.base !== undefined) return 'base';
  if (id === CASE.top && stock.top !== undefined) return 'top';
  return id === CASE.bottom && stock.bottom !== undefined ? 'bottom' : 'sides';
}

/** The edit that makes a member of the case of another stock, with all that are made of the same. */
export function caseStock(piece: PanelCase, member: Member, stock: string): PieceEdit {
  const { hung } = piece;
  if (member.node === HUNG.node && hung && 'cleat' in hung)
    return { kind: 'piece', patch: { hung: { ...hung, cleat: { ...hung.cleat, stock } } } };
  if (member.node === HUNG.node && hung && 'rail' in hung)
    return { kind: 'piece', patch: { hung: { ...hung, rail: { ...hung.rail, stock } } } };
  if (member.node === LID.node && piece.lid) {
    const { lid } = piece;
    const at = member.id === LID.rail ? 'packed' : 'ledge';
    return { kind: 'piece', patch: { lid: { ...lid, [at]: { wide: lid.ledge.wide, ...lid[at], stock } } } };
  }
  if (member.node === BLOCKS.node && piece.blocks) return { kind: 'piece', patch: { blocks: { ...piece.blocks, stock } } };
  if (member.node === BAR.node && piece.bar) return { kind: 'piece', patch: { bar: { ...piece.bar, stock } } };
  const use = useOf(piece, member);
  return { kind: 'piece', patch: { stock: { ...piece.stock, [use]: stock } } };
}

/** What might make a member of the case itself pass. */
export function caseRemedies(piece: PanelCase, asked: Asked): readonly Candidate[] {
  const { member } = asked;
  const alone = useOf(piece, member) !== 'sides';
  const candidates = otherStock(asked, member.stockId, (id) => caseStock(piece, member, id)).map((c) => ({
    ...c,
    label: alone ? c.label : say`${c.label} for the whole case`,
  }));
  candidates.push(...uprightUnder(asked));
  if (member.id !== CASE.bottom || piece.base.kind === 'none') return candidates;
  const { base } = piece;
  if (!base.bearers)
    candidates.unshift({
      label: say`Put a bearer under each divider, down to the floor`,
      edit: { kind: 'piece', patch: { base: { ...base, bearers: true } } },
      looks: say`hidden behind the toe board`,
    });
  if (base.kind === 'toe' && !base.rear)
    candidates.push({
      label: say`Put a bearer along the rear under it, down to the floor`,
      edit: { kind: 'piece', patch: { base: { ...base, rear: true } } },
      looks: say`nothing: it is behind the toe board`,
    });
  if (piece.back.kind === 'applied' && !piece.back.allRound && piece.bottom === 'between')
    candidates.push({
      label: say`Screw the back to its rear edge`,
      edit: { kind: 'piece', patch: { back: { ...piece.back, allRound: true } } },
      looks: say`nothing: the screws are at the back`,
    });
  candidates.push(...moveLoad(asked));
  if (base.kind === 'toe')
    candidates.push({
      label: say`Stand the case on a loose plinth`,
      edit: { kind: 'piece', patch: { base: onPlinth(base) } },
      looks: say`the sides no longer run to the floor`,
    });
  return candidates;
}
