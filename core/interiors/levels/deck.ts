import { size, type Figure } from '../../figure/index.js';
import { ZERO, add, sub, type Length } from '../../length/index.js';
import { atX, atZ, flatFrame, notched, rectangular, type Feature, type Joint, type Member } from '../../piece/index.js';
import { woodOf } from '../../project/index.js';
import {
  NO_OVERHANG,
  SIDES,
  acrossAt,
  deepAt,
  levelIds,
  middle,
  postFrame,
  railSection,
  type Built,
  type LevelAt,
  type Rails,
} from './level.js';
import { crossPieces, railsOf } from './rails.js';

/** Inner posts under the rails that run through, which carry them on their ends. */
function innerPosts(rails: Rails): Built {
  const { posts, node, foot, label, underside, workshop } = rails.at;
  if (posts.joined !== 'end-on') return { members: [], joints: [] };
  const ids = levelIds(node);
  const length = foot.y.value === ZERO ? underside : underside.minus(foot.y);
  const b = rails.broad.value;
  const made = posts.pairs.flatMap((pair, n) =>
    SIDES.map((side) => {
      const p = pair[side];
      const [wide, thick] = [sub(p.x1, p.x0), sub(p.z1, p.z0)];
      const at =
        posts.through === 'across'
          ? { x: p.x0, z: acrossAt(rails, side) }
          : { x: deepAt(rails, n === 0 ? 'left' : 'right'), z: side === 'rear' ? p.z0 : sub(p.z1, thick) };
      const member = rectangular({
        id: ids.inner(side, n + 1),
        node,
        role: 'post',
        label: `inner post under ${label}`,
        wood: woodOf(workshop, posts.stock),
        length,
        width: posts.turned === 'across' ? posts.post.across : posts.post.deep,
        frame: postFrame(posts.turned, { x: at.x, y: foot.y.value, z: at.z }, thick),
      });
      return { member, on: foot.on(side), x: middle(at.x, add(at.x, posts.through === 'across' ? wide : b)) };
    }),
  );
  return {
    members: made.map((m) => m.member),
    joints: made.map(({ member, on, x }): Joint => ({ carried: member.id, carrier: on, how: 'bearing', on: atX(x) })),
  };
}

/** Where posts go through a deck, or stand on the rails beside it: notches so much larger. */
function notchesFor(rails: Rails, wide: Length, long: Length, gap: Length): Feature[] {
  const { posts, above } = rails.at;
  const { ring } = posts;
  const thick = woodOf(rails.at.workshop, rails.at.level.deck?.stock ?? '').thickness.value;
  const inner = posts.joined === 'end-on';
  return posts.pairs.flatMap((pair, n) =>
    SIDES.flatMap((side): Feature[] => {
      const p = pair[side];
      // The deck lies with u to the right from its left end, and v to the rear from its front.
      const [z0, z1] =
        inner && posts.through === 'across' ? [acrossAt(rails, side), add(acrossAt(rails, side), rails.broad.value)] : [p.z0, p.z1];
      const u0 = Math.max(0, p.x0 - ring.x - gap) as Length;
      const u1 = Math.min(long, p.x1 - ring.x + gap) as Length;
      const front = add(ring.z, ring.depth.value);
      const v0 = Math.max(0, front - z1 - gap) as Length;
      const v1 = Math.min(wide, front - z0 + gap) as Length;
      if (u1 <= u0 || v1 <= v0) return [];
      return [
        {
          kind: 'notch',
          face: 'up',
          region: { u0, u1, v0, v1 },
          depth: thick,
          mate: inner && above ? levelIds(above).inner(side, n + 1) : p.id,
        },
      ];
    }),
  );
}

/** The deck on its rails. */
function deckOf(rails: Rails, under: readonly Member[]): Built {
  const { level, posts, node, label, workshop, y, source, over = NO_OVERHANG } = rails.at;
  const { deck } = level;
  if (!deck) return { members: [], joints: [] };
  const ids = levelIds(node);
  const { ring } = posts;
  const wood = woodOf(workshop, deck.stock);
  const covers = deck.goes === 'over';
  const grow = (of: Figure, ends: readonly (readonly [Length, string])[]) =>
    ends.reduce((sum, [by, side]) => (covers && by !== ZERO ? sum.plus(size(`overhang, ${side}`, by, source(`over.${side}`))) : sum), of);
  const length = grow(ring.width, [
    [over.left, 'left'],
    [over.right, 'right'],
  ]);
  const width = grow(ring.depth, [
    [over.rear, 'rear'],
    [over.front, 'front'],
  ]);
  const [left, front] = covers ? [over.left, over.front] : [ZERO, ZERO];
  const plain = rectangular({
    id: ids.deck,
    node,
    role: 'deck',
    label: covers ? label : `deck of ${label}`,
    wood,
    length,
    width,
    frame: flatFrame({ x: sub(ring.x, left), y: add(y, rails.high.value), z: add(add(ring.z, ring.depth.value), front) }),
    purpose: { length: 'covers', width: 'covers' },
    features: covers ? [] : notchesFor(rails, width.value, length.value, deck.gap),
  });
  const member = notched(plain);
  const joints = under.map((m): Joint => {
    const { origin, u, v } = m.frame;
    const b = rails.broad.value;
    if (u[0] === 1) {
      const z = v[2] === -1 ? sub(origin.z, b) : origin.z;
      return { carried: member.id, carrier: m.id, how: 'bearing', on: atZ(middle(z, add(z, b))) };
    }
    const x = v[0] === 1 ? origin.x : sub(origin.x, b);
    return { carried: member.id, carrier: m.id, how: 'bearing', on: atX(middle(x, add(x, b))) };
  });
  return { members: [member], joints };
}

/** All members of a level: rails, cross pieces, what carries them end-on, and the deck. */
export function levelMembers(at: LevelAt): Built {
  const wood = woodOf(at.workshop, at.level.rails.stock);
  const rails: Rails = { at, wood, ...railSection(at.level, wood, at.source) };
  const ring = railsOf(rails);
  const cross = crossPieces(rails, ring.members);
  const inner = innerPosts(rails);
  const deck = deckOf(rails, [...ring.members, ...cross.members]);
  const all = [ring, cross, inner, deck];
  return { members: all.flatMap((b) => b.members), joints: all.flatMap((b) => b.joints) };
}
