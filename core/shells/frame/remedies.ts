import { len, say } from '../../figure/index.js';
import { levelRemedies } from '../../interiors/levels/index.js';
import { least, mm, type Length } from '../../length/index.js';
import { otherStock, type Asked, type Candidate } from '../../remedies/index.js';
import { TOP_NODE } from './ids.js';
import type { Frame } from './spec.js';
import { frameStock } from './stock.js';

/** Rails are let in by whole steps of this. */
const STEP = mm(0.5);

/** What might make a rail of any level hold at its ends: bolts, shoulders in the posts, or posts under it. */
export function atPosts(piece: Frame, { member, workshop }: Asked): readonly Candidate[] {
  const { posts, joined, held } = piece;
  if (member.role !== 'rail' || joined === 'end-on') return [];
  const patch = (label: Candidate['label'], change: Partial<Frame>, looks: Candidate['looks']): Candidate => ({
    label,
    edit: { kind: 'piece', patch: change },
    looks,
  });
  const thin = least([posts.wide, workshop.stock.get(posts.stock)?.thickness ?? posts.wide]);
  const by = (Math.floor(least([thin / 3, member.thickness.value] as Length[]) / STEP) * STEP) as Length;
  return [
    ...(held ? [] : [patch(say`Hold the rails by bolts`, { held: 'bolts' }, say`nuts in the rails, and it comes apart`)]),
    ...(posts.letIn || by <= 0
      ? []
      : [
          patch(
            say`Let the rails ${len(by)} into the posts`,
            { posts: { ...posts, letIn: by } },
            say`glued on shoulders in the posts: it does not come apart`,
          ),
        ]),
    ...(joined === 'lapped' || by <= 0
      ? []
      : [
          patch(
            say`Lap the rails on the posts, let in ${len(by)}`,
            { joined: 'lapped', posts: { ...posts, letIn: by } },
            say`rails on the outside, glued on shoulders in the posts`,
          ),
        ]),
    patch(say`Carry the rails on inner posts`, { joined: 'end-on' }, say`two posts at each corner`),
  ];
}

/** What might make a member of the frame itself pass: other stock, deeper rails, cross pieces, a bar, or its rails held otherwise. */
export function frameRemedies(piece: Frame, asked: Asked): readonly Candidate[] {
  const { member, workshop } = asked;
  const stock = otherStock(asked, member.stockId, (id) => frameStock(piece, member, id));
  if (member.node !== TOP_NODE) return stock;
  const { top } = piece;
  const own = levelRemedies(top.level, member, workshop, (level) => ({ kind: 'piece', patch: { top: { ...top, level } } }));
  return [...stock, ...own, ...atPosts(piece, asked)];
}
