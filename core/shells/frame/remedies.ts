import { len, say } from '../../figure/index.js';
import { levelRemedies } from '../../interiors/levels/index.js';
import { ZERO, least, sub, type Length } from '../../length/index.js';
import { fineStep, otherStock, type Asked, type Candidate } from '../../remedies/index.js';
import { TOP_NODE } from './ids.js';
import type { Frame } from './spec.js';
import { frameStock } from './stock.js';

/** One more pair of posts in the middle of the longest bay, which what spans there lies on. */
function middlePosts(piece: Frame, { shape, workshop }: Asked): readonly Candidate[] {
  const { posts, joined } = piece;
  if (joined === 'end-on' || piece.pullOut) return [];
  const across = posts.turned === 'across' ? posts.wide : (workshop.stock.get(posts.stock)?.thickness ?? posts.wide);
  const at = [ZERO, ...(posts.middles ?? []), sub(shape.overall.width.value, across)].sort((a, b) => a - b);
  const bays = at.slice(1).map((to, i) => ({ from: at[i] as Length, to }));
  const longest = bays.reduce((most, b) => (b.to - b.from > most.to - most.from ? b : most), bays[0] as (typeof bays)[0]);
  const middle = fineStep(workshop, (longest.from + longest.to) / 2);
  const middles = [...(posts.middles ?? []), middle].sort((a, b) => a - b);
  return [
    {
      label: say`One more pair of posts, ${len(middle)} from the left`,
      edit: { kind: 'piece', patch: { posts: { ...posts, middles } } },
      looks: say`posts in the middle of the longest bay`,
    },
  ];
}

/** What might make a rail of any level hold at its ends: bolts, shoulders in the posts, or posts under it. */
export function atPosts(piece: Frame, asked: Asked): readonly Candidate[] {
  const { member, workshop } = asked;
  const { posts, joined, held } = piece;
  if (member.role !== 'rail') return member.role === 'deck' ? middlePosts(piece, asked) : [];
  if (joined === 'end-on') return [];
  const patch = (label: Candidate['label'], change: Partial<Frame>, looks: Candidate['looks']): Candidate => ({
    label,
    edit: { kind: 'piece', patch: change },
    looks,
  });
  const thin = least([posts.wide, workshop.stock.get(posts.stock)?.thickness ?? posts.wide]);
  const by = fineStep(workshop, Math.min(thin / 3, member.thickness.value));
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
    ...middlePosts(piece, asked),
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
