import { len, say, size, type Figure } from '../../figure/index.js';
import { ZERO, add, scale, sub, toMm, type Length } from '../../length/index.js';
import {
  atX,
  atZ,
  flatFrame,
  notched,
  rectangular,
  type Fact,
  type Feature,
  type Joint,
  type Member,
  type Posts,
  type ShapeProblem,
} from '../../piece/index.js';
import { woodOf } from '../../project/index.js';
import type { Made } from '../kind.js';
import { NO_OVERHANG, SIDES, levelIds, middle, postFrame, railSection, type Built, type LevelAt, type Rails } from './level.js';
import { railProblems, withoutRails } from './problems.js';
import { common, shifted, stretches, type Stretch } from './seams.js';
import { cornerProblems, cornersOf } from './corners.js';
import { barsOf, boardsInPlace, crossPieces, railsOf } from './rails.js';
import { spliceProblems, splicesOf } from './splices.js';
import { stripFacts, stripProblems } from './strips.js';
import { slatFacts, slatProblems, slatsLaid, slatsOf } from './slats.js';

/** Where inner posts stand beside the outer ones, under the rails that run through and flush with their outsides. */
function innerPlaces({ pairs, ring, through }: Posts) {
  const last = pairs.length - 1;
  return pairs.flatMap((pair, n) =>
    through === 'deep' && n > 0 && n < last
      ? []
      : SIDES.map((side) => {
          const { x0, x1, z0, z1 } = pair[side];
          const [wide, thick] = [sub(x1, x0), sub(z1, z0)];
          const end: 'left' | 'right' = n === 0 ? 'left' : 'right';
          const place =
            through === 'across'
              ? { x: x0, z: side === 'rear' ? ring.z : sub(add(ring.z, ring.depth.value), thick) }
              : { x: end === 'left' ? ring.x : sub(add(ring.x, ring.width.value), wide), z: z0 };
          return { ...place, side, end, n, wide, thick };
        }),
  );
}

/** Inner posts under the rails that run through, which carry them on their ends. */
function innerPosts(rails: Rails): Built {
  const { posts, node, foot, label, underside, workshop } = rails.at;
  if (posts.joined !== 'end-on' || underside.value <= foot.y.value) return { members: [], joints: [] };
  const ids = levelIds(node);
  const length = foot.y.value === ZERO ? underside : underside.minus(foot.y);
  const made = innerPlaces(posts).map(({ side, end, n, x, z, thick, wide }) => {
    const member = rectangular({
      id: ids.inner(side, n + 1),
      node,
      role: 'post',
      label: `inner post under ${label}`,
      wood: woodOf(workshop, posts.stock),
      length,
      width: posts.turned === 'across' ? posts.post.across : posts.post.deep,
      frame: postFrame(posts.turned, { x, y: foot.y.value, z }, thick),
    });
    const on = posts.through === 'across' ? atX(middle(x, add(x, wide))) : atZ(middle(z, add(z, thick)));
    return {
      member,
      joint: { carried: member.id, carrier: foot.on(side, end, middle(x, add(x, wide))), how: 'bearing', on } satisfies Joint,
    };
  });
  return { members: made.map((m) => m.member), joints: made.map((m) => m.joint) };
}

/** What stands in a deck: posts that go through it, and those that stand on the rails beside it. */
function standingIn({ posts, above }: LevelAt) {
  const outer = posts.pairs.flatMap((pair) => SIDES.map((side) => ({ ...pair[side], mate: pair[side].id })));
  const inner =
    posts.joined === 'end-on' && above
      ? innerPlaces(posts).map(({ x, z, wide: w, thick: t, side, n }) => ({
          x0: x,
          x1: add(x, w),
          z0: z,
          z1: add(z, t),
          mate: levelIds(above).inner(side, n + 1),
        }))
      : [];
  return [...outer, ...inner];
}

/** Notches round what stands in a deck, so much larger. */
function notchesFor(
  standing: ReturnType<typeof standingIn>,
  depth: Length,
  { left, front, wide, long, gap }: Record<'left' | 'front' | 'wide' | 'long' | 'gap', Length>,
): Feature[] {
  const [right, rear] = [add(left, long), sub(front, wide)];
  return standing.flatMap(({ x0, x1, z0, z1, mate }): Feature[] => {
    if (x1 <= left || x0 >= right || z1 <= rear || z0 >= front) return [];
    // The deck lies with u to the right from its left end, and v to the rear from its front.
    const u0 = Math.max(0, x0 - left - gap) as Length;
    const u1 = Math.min(long, x1 - left + gap) as Length;
    const v0 = Math.max(0, front - z1 - gap) as Length;
    const v1 = Math.min(wide, front - z0 + gap) as Length;
    return [{ kind: 'notch', face: 'up', region: { u0, u1, v0, v1 }, depth, mate }];
  });
}

/** The stretches that a deck is made of: with its seams over those of the rails, where its sheets are as long. */
function deckBoards(rails: Rails): readonly Stretch[] {
  const { posts, level, workshop, fromRight } = rails.at;
  const long = woodOf(workshop, level.deck?.stock ?? '').stock.length;
  const boards = boardsInPlace(rails);
  const [x0, x1] = [posts.ring.x, add(posts.ring.x, posts.ring.width.value)];
  const whole = boards.map((board, i) => ({ from: i === 0 ? x0 : board.from, to: i === boards.length - 1 ? x1 : board.to }));
  if (whole.every((board) => board.to - board.from <= long)) return whole;
  return stretches(posts.ring.width.value, long, fromRight).map((board) => shifted(board, x0));
}

/** The deck on its rails, in as many pieces as its run takes. */
function deckOf(rails: Rails, under: readonly Member[]): Built {
  const { level, posts, node, label, workshop, y, source, over = NO_OVERHANG } = rails.at;
  const { deck } = level;
  if (!deck) return { members: [], joints: [] };
  if (deck.slats) return slatsOf(rails, under);
  const { ring } = posts;
  const wood = woodOf(workshop, deck.stock);
  const covers = deck.goes === 'over';
  const by = (side: keyof typeof over) => (covers ? over[side] : ZERO);
  const grow = (of: Figure, ...sides: (keyof typeof over)[]) =>
    sides.reduce((sum, side) => (by(side) === ZERO ? sum : sum.plus(size(`overhang, ${side}`, by(side), source(`over.${side}`)))), of);
  const strip = !covers && deck.wide !== undefined ? size('strip', deck.wide, source('deck.wide')) : null;
  const width = strip ?? grow(ring.depth, 'rear', 'front');
  const back = strip ? scale(sub(ring.depth.value, strip.value), 0.5) : ZERO;
  const boards = deckBoards(rails);
  const front = sub(add(add(ring.z, ring.depth.value), by('front')), back);
  const standing = covers ? [] : standingIn(rails.at);
  const members = boards.map((board, i) => {
    const ends = [...(i === 0 ? (['left'] as const) : []), ...(i === boards.length - 1 ? (['right'] as const) : [])];
    const length = grow(boards.length === 1 ? ring.width : size('from seam to seam', sub(board.to, board.from)), ...ends);
    const x = sub(board.from, i === 0 ? by('left') : ZERO);
    const plain = rectangular({
      id: deckPieceId(node, i),
      node,
      role: 'deck',
      label: covers ? label : `deck of ${label}`,
      wood,
      length,
      width,
      frame: flatFrame({ x, y: add(y, rails.high.value), z: front }),
      purpose: { length: 'covers', width: 'covers' },
      features: notchesFor(standing, wood.thickness.value, { left: x, front, wide: width.value, long: length.value, gap: deck.gap }),
    });
    return notched(deck.slides ? { ...plain, slides: true } : plain);
  });
  return { members, joints: members.flatMap((m, i) => deckJoints(rails, m, boards[i] as Stretch, under)) };
}

/** The id of the nth piece of a deck, from the left. @example deckPieceId('low', 1) // 'low/deck/2' */
export const deckPieceId = (node: string, n: number) => (n === 0 ? levelIds(node).deck : `${node}/deck/${n + 1}`);

/** Everything under a piece of a deck, each along its own way. */
function deckJoints(rails: Rails, deck: Member, board: Stretch, under: readonly Member[]): Joint[] {
  const b = rails.broad.value;
  return under.flatMap((m): Joint[] => {
    const { origin, u, v } = m.frame;
    if (u[0] === 1) {
      const met = common(board, { from: origin.x, to: add(origin.x, m.length.value) });
      if (!met) return [];
      const z = v[2] === -1 ? sub(origin.z, b) : origin.z;
      return [{ carried: deck.id, carrier: m.id, how: 'bearing', on: atZ(middle(z, add(z, b))), part: toMm(sub(met.to, met.from)) }];
    }
    const x = v[0] === 1 ? origin.x : sub(origin.x, b);
    const met = common(board, { from: x, to: add(x, b) });
    return met ? [{ carried: deck.id, carrier: m.id, how: 'bearing', on: atX(middle(met.from, met.to)) }] : [];
  });
}

/** A level with its rails as they lie. */
export function levelRails(at: LevelAt): Rails {
  const wood = woodOf(at.workshop, at.level.rails.stock);
  return { at, wood, ...railSection(at.level, wood, at.source) };
}

/** Whether the notches along one edge of a piece take all of its length between them. */
function isCutAway({ features, length, width }: Member, edge: 'front' | 'rear'): boolean {
  const along = features.flatMap((f) => (f.kind === 'notch' ? [f.region] : []));
  const there = along.filter((r) => (edge === 'front' ? r.v0 <= 0 : r.v1 >= width.value)).sort((a, b) => a.u0 - b.u0);
  const reach = there.reduce((to, r) => (r.u0 <= to ? Math.max(to, r.u1) : to), 0);
  return reach >= length.value;
}

/** Pieces of a deck of which the notches for posts take all of an edge. */
function allNotch({ at: { node, label } }: Rails, pieces: readonly Member[]): ShapeProblem[] {
  const short = pieces.find((m) => isCutAway(m, 'front') || isCutAway(m, 'rear'));
  if (!short) return [];
  const sentence = say`A piece of the deck of ${label} is ${len(short.length.value)} long, no more than the notches for its posts take: put the posts elsewhere, or take a sheet of another length.`;
  return [{ id: `deck-notch-${node}`, about: node, stops: true, sentence, fixes: [] }];
}

/** All members of a level: rails, cross pieces, what carries them end-on, and the deck. */
export function levelMembers(at: LevelAt): Built & Pick<Made, 'problems'> & { readonly deckFacts: readonly Fact[] } {
  const rails = levelRails(at);
  const ring = railsOf(rails);
  const splices = splicesOf(rails);
  const bars = barsOf(rails, ring.members);
  const cross = crossPieces(rails, ring.members);
  const inner = innerPosts(rails);
  const deck = deckOf(rails, [...ring.members, ...cross.members]);
  const corners = cornersOf(rails);
  const all = [ring, bars, splices, corners, cross, inner, deck];
  const laid = slatsLaid(rails);
  return {
    members: all.flatMap((b) => b.members),
    joints: all.flatMap((b) => b.joints),
    problems: [
      ...railProblems(rails),
      ...spliceProblems(rails),
      ...cornerProblems(rails),
      ...slatProblems(rails),
      ...stripProblems(rails),
      ...allNotch(rails, deck.members),
      ...withoutRails(at),
    ],
    deckFacts: [...(laid ? slatFacts(laid) : []), ...stripFacts(rails)],
  };
}
