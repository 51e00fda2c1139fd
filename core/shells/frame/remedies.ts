import { say } from '../../figure/index.js';
import { levelRemedies } from '../../interiors/levels/index.js';
import { otherStock, type Asked, type Candidate } from '../../remedies/index.js';
import { TOP_NODE } from './ids.js';
import type { Frame } from './spec.js';
import { frameStock } from './stock.js';

/** What might make a member of the frame itself pass: other stock, deeper rails, cross pieces, or rails over inner posts. */
export function frameRemedies(piece: Frame, asked: Asked): readonly Candidate[] {
  const { member } = asked;
  const stock = otherStock(asked, member.stockId, (id) => frameStock(piece, member, id));
  if (member.node !== TOP_NODE) return stock;
  const { top } = piece;
  const own = levelRemedies(top.level, member, (level) => ({ kind: 'piece', patch: { top: { ...top, level } } }));
  const onPosts: Candidate[] =
    piece.joined === 'end-on' || member.role !== 'rail'
      ? []
      : [
          {
            label: say`Carry the rails on inner posts`,
            edit: { kind: 'piece', patch: { joined: 'end-on' } },
            looks: say`two posts at each corner`,
          },
        ];
  return [...stock, ...own, ...onPosts];
}
