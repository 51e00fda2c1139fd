import { levelWith } from '../../interiors/levels/index.js';
import type { Member, PieceEdit } from '../../piece/index.js';
import { FRAME, PULL_OUT, TOP_NODE } from './ids.js';
import type { Frame } from './spec.js';

/** The edit that makes a member of the frame of another stock, with all that are made of the same. */
export function frameStock(piece: Frame, { node, role, id }: Member, stock: string): PieceEdit {
  if (node === PULL_OUT && piece.pullOut) {
    const which = id === FRAME.board ? 'board' : 'legs';
    return { kind: 'piece', patch: { pullOut: { ...piece.pullOut, [which]: { ...piece.pullOut[which], stock } } } };
  }
  if (node === TOP_NODE && role !== 'post') {
    return { kind: 'piece', patch: { top: { ...piece.top, level: levelWith(piece.top.level, role, stock) } } };
  }
  if (role === 'brace' || role === 'gusset')
    return { kind: 'piece', patch: { braces: (piece.braces ?? []).map((b) => ({ ...b, stock })) } };
  if (role === 'back') return { kind: 'piece', patch: { sheets: { ...piece.sheets, [id === FRAME.rear ? 'rear' : 'ends']: { stock } } } };
  return { kind: 'piece', patch: { posts: { ...piece.posts, stock } } };
}
