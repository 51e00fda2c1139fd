import { size, type Figure } from '../../figure/index.js';
import { ZERO, add, mm, scale, sub, toMm, type Length } from '../../length/index.js';
import { atX, atZ, facingFrame, rectangular, type Joint, type Member, type Post, type PostPair } from '../../piece/index.js';
import { woodOf } from '../../project/index.js';
import { ENDS, NUMBER, SIDES, across, acrossAt, deep, deepAt, levelIds, middle, type Built, type LevelAt, type Rails } from './level.js';
import { common, shifted, stretchLength, stretches, type Stretch } from './seams.js';

/** How much longer rails are that are let into the posts at both ends; null where they are not. */
const intoPosts = (letIn: Length): Figure | null =>
  letIn > ZERO ? size('let in', letIn, { in: 'piece', field: 'posts.letIn' }).times(2).named('into both posts') : null;

/** How the end of a rail between posts is held: on the shoulder of what it is let into, or by what holds it there. */
const seat = (letIn: Length, held: LevelAt['posts']['held']): Pick<Joint, 'how' | 'broad'> =>
  letIn > ZERO ? { how: 'housed', broad: letIn } : { how: held };

/** Rails that go from post to post, or as far into them as they are let in. */
function betweenPosts(rails: Rails): Built {
  const { level, posts, node } = rails.at;
  const ids = levelIds(node);
  const { pairs, ring, post, letIn } = posts;
  const into = intoPosts(letIn);
  const withInto = (between: Figure) => (into ? between.plus(into) : between);
  const bays = pairs.slice(1).map((right, i) => [pairs[i] as (typeof pairs)[number], right] as const);
  const long = bays.flatMap(([left, right], bay) =>
    SIDES.filter((side) => level.rails[side]).map((side) => {
      const [from, to] = [left[side], right[side]];
      const between =
        bays.length === 1
          ? ring.width.minus(post.across.times(2).named('two posts'))
          : size(`between posts ${bay + 1} and ${bay + 2}`, sub(to.x0, from.x1));
      const id = ids.rail(bay === 0 ? NUMBER[side] : `${NUMBER[side]}-${bay + 1}`);
      const member = across(rails, id, `${side} rail`, withInto(between), sub(from.x1, letIn), side);
      return { member, ends: [from, to] as const, side };
    }),
  );
  const last = pairs.length - 1;
  const short = pairs.flatMap(({ rear, front }, i) => {
    const end = i === 0 ? 'left' : i === last ? 'right' : null;
    if (end ? !level.rails[end] : !level.rails.left && !level.rails.right) return [];
    const x = end ? deepAt(rails, end) : (Math.round((rear.x0 + rear.x1 - rails.broad.value) / 2) as Length);
    const id = ids.rail(end ? NUMBER[end] : `5-${i}`);
    const between = ring.depth.minus(post.deep.times(2).named('two posts'));
    // One in the middle of its posts would want a mortise, and is butted.
    const by = end ? letIn : ZERO;
    const length = end ? withInto(between) : between;
    return [{ member: deep(rails, id, `${end ?? 'middle'} rail`, length, x, sub(rear.z1, by)), rear, front, by }];
  });
  return {
    members: [...long, ...short].map((r) => r.member),
    joints: [
      ...long.flatMap(({ member, ends: [from, to] }): Joint[] => [
        { carried: member.id, carrier: from.id, ...seat(letIn, posts.held), on: atX(sub(from.x1, scale(letIn, 0.5))) },
        { carried: member.id, carrier: to.id, ...seat(letIn, posts.held), on: atX(add(to.x0, scale(letIn, 0.5))) },
      ]),
      ...short.flatMap(({ member, rear, front, by }): Joint[] => [
        { carried: member.id, carrier: rear.id, ...seat(by, posts.held), on: atZ(sub(rear.z1, scale(by, 0.5))) },
        { carried: member.id, carrier: front.id, ...seat(by, posts.held), on: atZ(add(front.z0, scale(by, 0.5))) },
      ]),
    ],
  };
}

/** A ring of rails of its own: two that run through, and two between them. */
function ringOf(rails: Rails): Built {
  const { level, posts, node } = rails.at;
  const ids = levelIds(node);
  const { ring, through } = posts;
  const twoRails = rails.broad.times(2).named('two rails');
  const long = through === 'across';
  const acrossLength = long ? ring.width : ring.width.minus(twoRails);
  const deepLength = long ? ring.depth.minus(twoRails) : ring.depth;
  const x = long ? ring.x : add(ring.x, rails.broad.value);
  const z = long ? add(ring.z, rails.broad.value) : ring.z;
  const sides = SIDES.filter((side) => level.rails[side]);
  const ends = ENDS.filter((end) => level.rails[end]);
  const boards = boardsAcross(rails);
  const runs = sides.flatMap((side) =>
    boards.map((board, i) =>
      across(rails, railPieceId(node, side, i), `${side} rail`, stretchLength(acrossLength, board, rails.wood), add(x, board.from), side),
    ),
  );
  const caps = ends.map((end) => deep(rails, ids.rail(NUMBER[end]), `${end} rail`, deepLength, deepAt(rails, end), z));
  return { members: [...runs, ...caps], joints: [...throughJoints(rails, sides, ends), ...shortJoints(rails, sides, ends)] };
}

/** What the boards of rails across follow from. */
type Boards = Pick<Rails, 'wood' | 'broad'> & { readonly at: Pick<Rails['at'], 'posts' | 'fromRight'> };

/** The boards that a rail across is made of, from its left end. */
function boardsAcross({ at: { posts, fromRight }, wood, broad }: Boards): readonly Stretch[] {
  const long = posts.through === 'across' ? posts.ring.width.value : sub(posts.ring.width.value, add(broad.value, broad.value));
  return stretches(long, wood.stock.length, fromRight);
}

/** The id of the nth board of a rail across, from the left. @example railPieceId('low', 'front', 0) // 'low/rail/1' */
export function railPieceId(node: string, side: 'front' | 'rear', n: number): string {
  return levelIds(node).rail(n === 0 ? NUMBER[side] : `${NUMBER[side]}-${n + 1}`);
}

/** The boards of rails across as they lie in the piece. */
export function boardsInPlace(rails: Boards): readonly Stretch[] {
  const { posts } = rails.at;
  if (posts.joined === 'between') return [{ from: posts.ring.x, to: add(posts.ring.x, posts.ring.width.value) }];
  const x = posts.through === 'across' ? posts.ring.x : add(posts.ring.x, rails.broad.value);
  return boardsAcross(rails).map((b) => shifted(b, x));
}

/** What carries the rails that run through, and with lapped rails the others too. */
function throughJoints(rails: Rails, sides: readonly ('front' | 'rear')[], ends: readonly ('left' | 'right')[]): Joint[] {
  const { posts, node } = rails.at;
  const ids = levelIds(node);
  const { pairs, through, joined } = posts;
  const how = joined === 'end-on' ? 'bearing' : posts.letIn > ZERO ? 'housed' : posts.held;
  const post = (p: Post, side: 'front' | 'rear', n: number) => (joined === 'end-on' ? ids.inner(side, n + 1) : p.id);
  const boards = boardsInPlace(rails);
  const onPosts = sides.flatMap((side) =>
    boards.flatMap((board, i) =>
      pairs.flatMap((pair, n): Joint[] => {
        const p = pair[side];
        const met = common(board, { from: p.x0, to: p.x1 });
        if (!met) return [];
        return [
          {
            carried: railPieceId(node, side, i),
            carrier: post(p, side, n),
            how,
            on: atX(middle(met.from, met.to)),
            broad: sub(met.to, met.from),
          },
        ];
      }),
    ),
  );
  const onEnds = ends.flatMap((end) => {
    const n = end === 'left' ? 0 : pairs.length - 1;
    return SIDES.map((side): Joint => {
      const p = (pairs[n] as (typeof pairs)[number])[side];
      return { carried: ids.rail(NUMBER[end]), carrier: post(p, side, n), how, on: atZ(middle(p.z0, p.z1)), broad: sub(p.z1, p.z0) };
    });
  });
  if (joined === 'lapped') return [...onPosts, ...onEnds];
  return through === 'across' ? onPosts : onEnds;
}

/** The rails between those that run through, where only these are carried. */
function shortJoints(rails: Rails, sides: readonly ('front' | 'rear')[], ends: readonly ('left' | 'right')[]): Joint[] {
  const { posts, node } = rails.at;
  if (posts.joined === 'lapped') return [];
  const ids = levelIds(node);
  const b = rails.broad.value;
  if (posts.through === 'across') {
    return ends.flatMap((end) =>
      sides.map((side): Joint => {
        const z = acrossAt(rails, side);
        const board = end === 'left' ? 0 : boardsAcross(rails).length - 1;
        const on = atZ(side === 'rear' ? add(z, b) : z);
        return { carried: ids.rail(NUMBER[end]), carrier: railPieceId(node, side, board), how: 'screws', on };
      }),
    );
  }
  return sides.flatMap((side) =>
    ends.map((end): Joint => {
      const x = deepAt(rails, end);
      return { carried: ids.rail(NUMBER[side]), carrier: ids.rail(NUMBER[end]), how: 'screws', on: atX(end === 'left' ? add(x, b) : x) };
    }),
  );
}

/** Screws of rails that meet in a post pass each other by so much. */
const PASS = mm(9);

/** A rail whose screws keep to its lower part where it goes across, and to its upper part where it goes from the rear to the front. */
function passing(rail: Member): Member {
  const low = rail.frame.u[0] !== 0;
  return { ...rail, screwsClear: { foot: low ? ZERO : PASS, head: low ? PASS : ZERO } };
}

/** The rails of a level. */
export function railsOf(rails: Rails): Built {
  const { members, joints } = rails.at.posts.joined === 'between' ? betweenPosts(rails) : ringOf(rails);
  const { front, rear, left, right } = rails.at.level.rails;
  const meet = (front || rear) && (left || right);
  return { members: meet ? members.map(passing) : members, joints };
}

/** Bars along the inside of rails across that stand on edge between posts, in the middle of their height. */
export function barsOf(rails: Rails, across: readonly Member[]): Built {
  const { level, posts, node, workshop, label } = rails.at;
  const { bar } = level.rails;
  if (!bar || level.rails.flat || posts.joined !== 'between') return { members: [], joints: [] };
  const ids = levelIds(node);
  const wood = woodOf(workshop, bar.stock);
  // A bar ends at the posts.
  const between = intoPosts(posts.letIn);
  const made = across
    .filter((r) => r.frame.u[0] === 1)
    .map((rail) => {
      const { x, y, z } = rail.frame.origin;
      const inside = z === acrossAt(rails, 'rear') ? add(z, rails.broad.value) : sub(z, wood.thickness.value);
      const member = rectangular({
        id: ids.bar(rail.id),
        node,
        role: 'stiffener',
        label: `bar along ${rail.label}, ${label}`,
        wood,
        length: between ? rail.length.minus(between) : rail.length,
        width: size('bar', bar.high, rails.at.source('rails.bar.high')),
        frame: facingFrame({ x: add(x, posts.letIn), y: add(y, scale(sub(rails.high.value, bar.high), 0.5)), z: inside }),
      });
      return { member, rail: rail.id };
    });
  return {
    members: made.map((m) => m.member),
    joints: made.map(({ member, rail }): Joint => ({ carried: member.id, carrier: rail, how: 'screwed along' })),
  };
}

/** The middle of a rail from the rear to the front, from the left. */
const middleOf = ({ frame: { v, origin } }: Member, half: Length) => (v[0] === 1 ? add(origin.x, half) : sub(origin.x, half));

/** Pieces between the rear and the front rail, in each stretch between what goes that way already, at most so far apart. */
export function crossPieces(rails: Rails, known: readonly Member[]): Built {
  const { level, posts, node } = rails.at;
  const { cross } = level;
  // Slats lie the same way, and need none under them.
  if (!cross || level.deck?.slats || !level.rails.front || !level.rails.rear) return { members: [], joints: [] };
  const ids = levelIds(node);
  const { ring } = posts;
  const b = rails.broad.value;
  const length = ring.depth.minus(rails.broad.times(2).named('two rails'));
  const z = add(acrossAt(rails, 'rear'), b);
  const half = Math.round(b / 2) as Length;
  // From seam to seam, and from one rail that goes this way to the next, middle to middle.
  const boards = boardsInPlace(rails);
  const seams = boards.slice(1).map((board) => board.from);
  const inner = known.filter((m) => m.frame.u[2] !== 0 && m.id !== ids.rail(NUMBER.left) && m.id !== ids.rail(NUMBER.right));
  const there = inner.map((m) => middleOf(m, half));
  const atEnds = known.filter((m) => m.frame.u[2] !== 0 && !inner.includes(m)).map((m) => middleOf(m, half));
  // Posts that stand within the ring are in the way, and carry as well as a piece there would.
  const within = posts.joined === 'end-on' ? [] : posts.pairs.map((p) => p.rear);
  const between = within.slice(1, -1).map((p) => middle(p.x0, p.x1));
  const stops = [ring.x, add(ring.x, ring.width.value), ...there, ...between, ...seams].sort((p, q) => p - q);
  const middles = stops.slice(1).flatMap((to, i) => {
    const from = stops[i] as Length;
    const parts = Math.max(1, Math.ceil(toMm(sub(to, from)) / toMm(cross.most) - 1e-9));
    const places = Array.from({ length: parts - 1 }, (_, k) => Math.round(from + ((to - from) * (k + 1)) / parts) as Length);
    // A seam has one under it.
    const all = [...(seams.includes(from) ? [from] : []), ...places];
    return all.filter((x) => !within.some((p) => x + half > p.x0 && x - half < p.x1) && !atEnds.some((end) => Math.abs(x - end) < b));
  });
  // Between plates over a seam, and between bars, it is as much shorter.
  const { splice } = level;
  const { bar } = level.rails;
  const thickOf = (stock: string) => woodOf(rails.at.workshop, stock).thickness;
  const plate = splice && !level.rails.flat && posts.joined === 'end-on' ? thickOf(splice.stock) : null;
  const bars = bar && posts.joined === 'between' ? thickOf(bar.stock) : null;
  const over = (x: Length): { readonly thick: Figure; readonly seam: number | null } | null => {
    const seam = plate && splice ? seams.findIndex((at) => Math.abs(at - x) < half + splice.long / 2) : -1;
    if (plate && seam >= 0) return { thick: plate.named('splice plates'), seam };
    return bars ? { thick: bars.named('bars'), seam: null } : null;
  };
  // Where no rail is at an end, the deck is held there by one of them.
  const edge = posts.joined === 'between' ? posts.post.across.value : ZERO;
  const left = level.rails.left ? [] : [add(add(ring.x, edge), half)];
  const right = level.rails.right ? [] : [sub(sub(add(ring.x, ring.width.value), edge), half)];
  const ends = [...left, ...right];
  const places = [...left, ...middles.filter((x) => ends.every((end) => Math.abs(x - end) >= b)), ...right];
  const members = places.map((x, i) => {
    const between = over(x);
    const own = between ? length.minus(between.thick.times(2)) : length;
    const from = between ? add(z, between.thick.value) : z;
    return deep(rails, ids.cross(i + 1), `cross piece ${i + 1}`, own, sub(x, half), from, 'cross piece');
  });
  // Where rails go from post to post, the one that it meets is that of its bay; of boards end to end, that over it.
  const bays =
    posts.joined === 'between'
      ? posts.pairs.slice(1).map((p, i) => ({ from: (posts.pairs[i] as PostPair).rear.x0, to: p.rear.x1 }))
      : boards;
  const joints = members.flatMap((m, i): Joint[] => {
    const x = places[i] as Length;
    const bay = Math.max(
      0,
      bays.findIndex((board) => x >= board.from && x <= board.to),
    );
    const between = over(x);
    const thick = between?.thick.value ?? ZERO;
    const on = (side: 'rear' | 'front', at: Length): Joint => {
      const joint = { carried: m.id, how: 'screws', on: atZ(at) } as const;
      if (between && between.seam !== null) return { ...joint, carrier: ids.splice(side, between.seam + 1) };
      // Through a bar it is held by the rail behind that.
      return { ...joint, carrier: railPieceId(node, side, bay), ...(between ? { apart: thick } : {}) };
    };
    return [on('rear', add(z, thick)), on('front', sub(acrossAt(rails, 'front'), thick))];
  });
  return { members, joints };
}
