import { Figure, size, type Source } from '../../figure/index.js';
import { ZERO, add, greatest, mm, scale, sub, type Length } from '../../length/index.js';
import {
  levelIds,
  levelRails,
  middle,
  postFrame,
  slatJoints,
  slatMember,
  slatsLaid,
  type Dealt,
  type LevelAt,
  type SlatsLaid,
} from '../../interiors/levels/index.js';
import {
  FLOOR,
  atX,
  atZ,
  facingFrame,
  rectangular,
  type Body,
  type Bought,
  type Fact,
  type Joint,
  type Member,
  type Outline,
  type ShapeProblem,
} from '../../piece/index.js';
import { woodOf, type Wood, type Workshop } from '../../project/index.js';
import { FRAME, PULL_OUT } from './ids.js';
import { hingedProblems, hingedSlats } from './hinged.js';
import { STOP, pastOuterPosts, pullOutProblems, withoutSlats } from './pull-out-problems.js';
import type { Frame, PullOut } from './spec.js';

const source = (field: string): Source => ({ in: 'piece', field: `pullOut.${field}` });

/** How much of its front what is drawn out takes up: its legs, and the board before them. */
export function pullOutFront({ board, legs }: PullOut, workshop: Workshop): Figure {
  return woodOf(workshop, legs.stock).thickness.named('legs').plus(woodOf(workshop, board.stock).thickness.named('board'));
}

/** Which of so many that slide guide the others: spread over them, and the same from either end. */
function guidesAmong(count: number, of: number): ReadonlySet<number> {
  const place = (k: number) => ((2 * k + 1) * of) / (2 * count) - 0.5;
  return new Set(Array.from({ length: count }, (_, k) => (2 * k < count - 1 ? Math.floor(place(k)) : Math.ceil(place(k)))));
}

/** Every other slat goes with what is drawn out, and gaps beside those that guide it are held small. */
export function dealtTo({ guides }: PullOut, slats: number): Dealt {
  const sliding = Math.floor(slats / 2);
  const guiding = guidesAmong(Math.min(guides.count, sliding), sliding);
  const guidesAt = (n: number) => n % 2 === 1 && guiding.has((n - 1) / 2);
  const gap = size('gap at a guide', guides.gap, source('guides.gap'));
  return { slides: (n) => n % 2 === 1, held: (n) => (guidesAt(n) || guidesAt(n + 1) ? gap : null) };
}

/** A hole for hands, wide and high. */
const HAND = { wide: mm(110), high: mm(32) } as const;

/** A slot with round ends, in the middle of a board as long, its middle so high on it. */
function handHole(long: Length, v: Length): Outline {
  const [half, radius] = [scale(sub(HAND.wide, HAND.high), 0.5), scale(HAND.high, 0.5)];
  const [u0, u1] = [sub(scale(long, 0.5), half), add(scale(long, 0.5), half)];
  return {
    start: { u: u0, v: sub(v, radius) },
    sides: [
      { kind: 'line', to: { u: u1, v: sub(v, radius) } },
      { kind: 'arc', to: { u: u1, v: add(v, radius) }, bulge: 1 },
      { kind: 'line', to: { u: u0, v: add(v, radius) } },
      { kind: 'arc', to: { u: u0, v: sub(v, radius) }, bulge: 1 },
    ],
  };
}

/** What is drawn out, with what holds it shut and at its limit. */
export interface Drawn {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  readonly bodies: readonly Body[];
  readonly facts: readonly Fact[];
  readonly bought: readonly Bought[];
  readonly problems: readonly ShapeProblem[];
}

const NOT_DRAWN: Drawn = { members: [], joints: [], bodies: [], facts: [], bought: [], problems: [] };

/** What is drawn out is worked out with. */
interface At {
  readonly spec: PullOut;
  readonly level: LevelAt;
  readonly laid: SlatsLaid;
  readonly wood: { readonly board: Wood; readonly legs: Wood };
  /** The rails of the frame that its slats slide over. */
  readonly rails: readonly Member[];
  readonly broad: Length;
  readonly overall: { readonly width: Figure; readonly depth: Figure };
  readonly stroke: Figure;
}

/** The rail that its slats lie on, its legs under that, and the board before both. */
function frontOf({ spec, level, laid, wood, overall }: At) {
  const thick = wood.legs.thickness.value;
  const deck = woodOf(level.workshop, level.level.deck?.stock ?? '').thickness.named('slat');
  const wide = size('board', spec.board.wide, source('board.wide'));
  const high = wide.minus(deck);
  const under = level.underside.plus(size('rails of the frame', sub(laid.y, level.y))).minus(high.named('its rail'));
  const feet = spec.feet ? size('under its legs', spec.feet.high, source('feet.high')) : null;
  const z = sub(sub(overall.depth.value, wood.board.thickness.value), thick);
  const plainRail = rectangular({
    id: FRAME.cleat,
    node: PULL_OUT,
    role: 'rail',
    label: 'rail of the pull-out',
    wood: wood.legs,
    length: overall.width,
    width: high,
    frame: facingFrame({ x: ZERO, y: under.value, z }),
  });
  const plain = rectangular({
    id: FRAME.board,
    node: PULL_OUT,
    role: 'drawer front',
    label: 'board of the pull-out',
    wood: wood.board,
    length: overall.width,
    width: wide,
    frame: facingFrame({ x: ZERO, y: under.value, z: add(z, thick) }),
  });
  // Through both, so that fingers come out behind.
  const holes = spec.handHold ? { holes: [handHole(overall.width.value, scale(high.value, 0.5))] } : {};
  const [board, cleat] = [
    { ...plain, ...holes },
    { ...plainRail, ...holes },
  ];
  const last = sub(overall.width.value, spec.legs.wide);
  const legs = Array.from({ length: spec.legs.count }, (_, n) =>
    rectangular({
      id: FRAME.leg(n),
      node: PULL_OUT,
      role: 'post',
      label: `leg ${n + 1} of the pull-out`,
      wood: wood.legs,
      length: feet ? under.minus(feet) : under,
      width: size('leg', spec.legs.wide, source('legs.wide')),
      frame: postFrame('across', { x: scale(last, n / (spec.legs.count - 1)), y: spec.feet?.high ?? ZERO, z }, thick),
    }),
  );
  const held = legs.flatMap((leg): Joint[] => {
    const x = middle(leg.frame.origin.x, add(leg.frame.origin.x, spec.legs.wide));
    return [
      { carried: FRAME.cleat, carrier: leg.id, how: 'bearing', on: atX(x), broad: spec.legs.wide },
      { carried: leg.id, carrier: FLOOR, how: 'bearing' },
    ];
  });
  // Thin boards leave screws too short to count on: it is glued to the rail behind it.
  const glued: Joint = { carried: FRAME.board, carrier: FRAME.cleat, how: 'glued' };
  return { members: [board, cleat, ...legs], joints: [...held, glued], z };
}

/** A slat moved as far as what it goes with is drawn out. */
const movedOut = (slat: Member, by: Length): Member => ({
  ...slat,
  frame: { ...slat.frame, origin: { ...slat.frame.origin, z: add(slat.frame.origin.z, by) } },
});

/** Blocks under the slats that guide it, that meet the front rail of the frame when it is out. */
function stopsOf({ spec, level, laid, wood, rails, broad, stroke }: At, slats: readonly Member[]) {
  const front = rails.find((r) => r.id === levelIds(level.node).rail(1));
  if (!front) return { members: [], joints: [], room: null };
  const dealt = dealtTo(spec, laid.slats.length);
  // Over posts, and over rails at the ends of the frame, there is no room under a slat.
  const { ring, post } = level.posts;
  const edge = greatest([post.across.value, broad]);
  const clear = slats.filter((s) => {
    const { x } = s.frame.origin;
    const end = add(x, s.width.value);
    const between = level.posts.pairs.every(({ rear }) => end <= rear.x0 || x >= rear.x1);
    return between && x >= add(ring.x, edge) && end <= sub(add(ring.x, ring.width.value), edge);
  });
  const guiding = clear.filter((s) => dealt.held(slats.indexOf(s) * 2 + 1) !== null);
  const on = guiding.length > 0 ? guiding : [...new Set([clear[0], clear.at(-1)])].flatMap((s) => (s ? [s] : []));
  // A bar of metal stands on the inner side of a rail.
  const { bar, flat } = level.level.rails;
  const barred = bar && !flat && level.posts.joined === 'between' ? woodOf(level.workshop, bar.stock).thickness.value : ZERO;
  const rear = sub(front.frame.v[2] === -1 ? sub(front.frame.origin.z, broad) : front.frame.origin.z, barred);
  const end = sub(rear, stroke.value);
  const begins = sub(end, STOP);
  const members = on.map((slat, n) =>
    rectangular({
      id: FRAME.stop(n),
      node: PULL_OUT,
      role: 'stop',
      label: `stop under ${slat.label}`,
      wood: wood.legs,
      length: size('stop', STOP),
      width: Figure.least([slat.width, size(wood.legs.stock.name, wood.legs.stock.width)]).named('stop'),
      frame: {
        origin: { x: slat.frame.origin.x, y: sub(laid.y, wood.legs.thickness.value), z: begins },
        u: [0, 0, 1],
        v: [1, 0, 0],
        n: [0, 1, 0],
      },
    }),
  );
  const joints = members.map((m, n): Joint => ({ carried: m.id, carrier: (on[n] as Member).id, how: 'glued' }));
  // Behind them are the ends of its slats, and the rear rail.
  const free = greatest([add(laid.z, spec.behind), ...(level.level.rails.rear ? [add(ring.z, broad, barred)] : [])]);
  return { members, joints, room: sub(begins, free) };
}

/** What is drawn out of a frame: every other slat of its top, on a rail with legs of its own. */
export function pullOutOf(piece: Frame, level: LevelAt, overall: At['overall'], members: readonly Member[]): Drawn {
  const spec = piece.pullOut;
  if (!spec) return NOT_DRAWN;
  const rails = levelRails(level);
  const laid = slatsLaid(rails);
  if (!level.level.deck?.slats) return { ...NOT_DRAWN, problems: [withoutSlats(piece)] };
  if (!laid) return NOT_DRAWN;
  if (level.posts.joined === 'end-on') return { ...NOT_DRAWN, problems: [pastOuterPosts()] };
  const { workshop } = level;
  const wood = { board: woodOf(workshop, spec.board.stock), legs: woodOf(workshop, spec.legs.stock) };
  const behind = size('free behind', spec.behind, source('behind'));
  const overlap = size('overlap', spec.overlap, source('overlap'));
  const long = laid.long.minus(behind);
  const stroke = long.minus(overlap).named('stroke');
  const at: At = { spec, level, laid, wood, rails: members, broad: rails.broad.value, overall, stroke };
  const front = frontOf(at);
  const z = add(laid.z, spec.behind);
  const sliding = laid.slats.filter(({ n }) => n % 2 === 1);
  const slats = sliding.map((s) => slatMember(rails, s, { y: laid.y, z, long }));
  const stops = stopsOf(at, slats);
  const problems = [...pullOutProblems(at, stops.room), ...hingedProblems(spec)];
  if (problems.some((p) => p.stops)) return { ...NOT_DRAWN, problems };
  const hinged = hingedSlats(spec, laid, slats, stops.members);
  const own = [...front.members, ...slats, ...stops.members];
  const lifted = new Set(hinged?.body.members);
  const thick = wood.legs.thickness.value;
  const onFront = (slat: Member, out: Length): Joint => ({
    carried: slat.id,
    carrier: FRAME.cleat,
    // Shut, it lies on the rail of the frame just behind, which holds it up; drawn out, the screws keep its end down.
    how: out === ZERO ? 'bearing' : 'screws',
    on: atZ(add(add(front.z, out), middle(ZERO, thick))),
  });
  const heldAt = (out: Length) =>
    slats.flatMap((s) => [...slatJoints(movedOut(s, out), members, rails.broad.value, 'bearing'), onFront(s, out)]);
  const always = [...front.joints, ...stops.joints];
  return {
    members: own,
    joints: [...always, ...heldAt(ZERO)],
    bodies: [
      {
        id: PULL_OUT,
        label: 'the pull-out',
        members: own.flatMap((m) => (lifted.has(m.id) ? [] : [m.id])),
        spaces: [],
        motion: { kind: 'slide', along: [0, 0, 1], travel: stroke },
        runsOn: { kind: 'plain', name: spec.feet?.are === 'castors' ? 'its castors' : 'its legs', rating: null },
        heldOut: [...always, ...heldAt(stroke.value)],
        standsOut: true,
      },
      ...(hinged ? [hinged.body] : []),
    ],
    facts: [
      { name: 'stroke of the pull-out', figure: stroke },
      { name: 'drawn out, deep', figure: overall.depth.named('shut').plus(stroke).named('drawn out, deep') },
      { name: 'slats of the frame', figure: laid.long },
      { name: 'slats of the pull-out', figure: long },
      { name: 'legs of the pull-out', figure: (front.members[2] as Member).length },
      ...(hinged?.facts ?? []),
    ],
    bought: hinged?.bought ?? [],
    problems,
  };
}
