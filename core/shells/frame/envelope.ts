import { Figure, size, type Source } from '../../figure/index.js';
import { ZERO, add, sub, type Length } from '../../length/index.js';
import type { NeedContext } from '../../interiors/kind.js';
import { levelHeight, levelIds, railSection } from '../../interiors/levels/index.js';
import type { Post, PostPair, Posts, Shape, ShapeProblem, TapeEnd } from '../../piece/index.js';
import { woodOf, type Workshop } from '../../project/index.js';
import { assumedOf, axisSize, nothingClear, putOn, takeOff, type AxisSize } from '../overall.js';
import { FRAME, TOP_NODE } from './ids.js';
import { needOnTop } from './on-top.js';
import { pullOutFront } from './pull-out.js';
import type { Frame } from './spec.js';

/** The members of the highest level. */
const TOP = levelIds(TOP_NODE);

type Side = keyof Frame['top']['over'];

/** The field of the highest level that a size comes from. */
export const topSource = (field: string): Source => ({
  in: 'piece',
  field: field.startsWith('over.') ? `top.${field}` : `top.level.${field}`,
});

/** How much of a post lies across, and from the rear to the front. */
function sectionOf({ posts }: Frame, workshop: Workshop): Posts['post'] {
  const wide = size('post', posts.wide, { in: 'piece', field: 'posts.wide' });
  const thick = woodOf(workshop, posts.stock).thickness.named('post');
  return posts.turned === 'across' ? { across: wide, deep: thick } : { across: thick, deep: wide };
}

/** What stands out past the ring of rails at a side: a deck, posts that only tie, or a sheet; the furthest of them. */
function pastRing(
  piece: Frame,
  side: Side,
  post: Posts['post'],
  workshop: Workshop,
): { readonly label: string; readonly size: Figure } | null {
  const { top, joined, through, sheets, pullOut } = piece;
  if (side === 'front' && pullOut) return { label: 'front of the pull-out', size: pullOutFront(pullOut, workshop) };
  const across = side === 'left' || side === 'right';
  const sheet = side === 'rear' ? sheets?.rear : across ? sheets?.ends : undefined;
  const ties = joined === 'end-on' && (through === 'across') !== across;
  const over = top.level.deck?.goes === 'over' ? top.over[side] : ZERO;
  const tie = ties ? (across ? post.across : post.deep) : null;
  const thick = sheet ? woodOf(workshop, sheet.stock).thickness : null;
  const built = tie && thick ? tie.plus(thick) : (tie ?? thick);
  const beyond = over > ZERO ? size(`overhang, ${side}`, over, topSource(`over.${side}`)) : null;
  // A deck lies over what stands out under it: the further of the two is the outside.
  if (beyond && (!built || beyond.value >= built.value)) return { label: `overhang, ${side}`, size: beyond };
  if (!built) return null;
  return { label: tie ? (thick ? `outer post and sheet, ${side}` : `outer post, ${side}`) : `sheet, ${side}`, size: built };
}

/** The outside of a frame, what is clear inside it, and where its posts stand. */
export interface Envelope {
  readonly width: Figure;
  readonly height: Figure;
  readonly depth: Figure;
  /** Up to the underside of the highest level. */
  readonly clear: { readonly width: Figure; readonly height: Figure; readonly depth: Figure };
  readonly start: { readonly x: Figure; readonly z: Figure };
  /** What posts stand on, and how long they are from there. */
  readonly feet: Figure | null;
  readonly postHeight: Figure;
  /** Over the outer faces of its posts, at their feet as at their heads. */
  readonly overPosts: { readonly across: Figure; readonly deep: Figure };
  readonly topHeight: Figure;
  readonly posts: Posts;
  readonly ends: Shape['outside']['ends'];
  readonly assumed: Shape['assumed'];
  readonly problems: readonly ShapeProblem[];
}

const NONE = size('nothing', ZERO);

/** Where the posts of a pair stand, from its left face. */
function pairAt(n: number, x: Length, zs: readonly [Length, Length], post: Posts['post']): PostPair {
  const at = (side: 'rear' | 'front', z: Length): Post => ({
    id: FRAME.post(side, n),
    x0: x,
    x1: add(x, post.across.value),
    z0: z,
    z1: add(z, post.deep.value),
  });
  return { rear: at('rear', zs[0]), front: at('front', zs[1]) };
}

/** Whether posts stand outside the ring of rails along an axis, since those that go along it end at them. */
const outside = ({ joined, through }: Frame, axis: Frame['through']) => joined === 'end-on' && through !== axis;

/** Where all posts stand, the middle ones by their left faces. */
function pairsOf(piece: Frame, ring: Posts['ring'], post: Posts['post'], lap: Length): readonly PostPair[] {
  const { posts } = piece;
  const [px, pz] = [post.across.value, post.deep.value];
  const [x1, z1] = [add(ring.x, ring.width.value), add(ring.z, ring.depth.value)];
  const zs: [Length, Length] = outside(piece, 'deep') ? [sub(ring.z, pz), z1] : [add(ring.z, lap), sub(sub(z1, lap), pz)];
  const xs = outside(piece, 'across') ? [sub(ring.x, px), x1] : [add(ring.x, lap), sub(sub(x1, lap), px)];
  const [first, last] = xs as [Length, Length];
  const middles = (posts.middles ?? []).filter((x) => x > add(first, px) && add(x, px) < last).sort((a, b) => a - b);
  return [first, ...middles, last].map((x, n) => pairAt(n, x, zs, post));
}

/** A size that contents decide, where what stands on top asks for more than what stands inside. */
function byTop(piece: Frame, reach: 'width' | 'depth', workshop: Workshop, inside: AxisSize, past: readonly Figure[]): AxisSize {
  const on = piece[reach].from === 'contents' ? needOnTop(piece, reach, workshop) : null;
  if (!on) return inside;
  const overall = putOn(on, past).named(`overall ${reach}`);
  if (inside.assumed) return { overall, problems: [], assumed: false };
  return { ...inside, overall: Figure.greatest([inside.overall, overall]).named(`overall ${reach}`) };
}

/** Settles the outside, the clear inside and the posts of a frame: depth first, then width, then height. */
export function envelopeOf(piece: Frame, workshop: Workshop): Envelope {
  const context: NeedContext = { workshop, panels: piece.panels, rounding: piece.rounding ?? workshop.settings.rounding };
  const post = sectionOf(piece, workshop);
  const { top, joined, through } = piece;
  const past = (side: Side) => pastRing(piece, side, post, workshop);
  const [left, right, rear, front] = [past('left'), past('right'), past('rear'), past('front')];
  const figures = (...all: (ReturnType<typeof past> | null)[]) => all.flatMap((p) => (p ? [p.size.named(p.label)] : []));
  const { broad } = railSection(top.level, woodOf(workshop, top.level.rails.stock), topSource);
  const by = joined !== 'end-on' && piece.posts.letIn ? size('let in', piece.posts.letIn, { in: 'piece', field: 'posts.letIn' }) : null;
  const lap = joined === 'lapped' ? (by ? broad.minus(by) : broad) : null;
  const laps = lap ? [lap.times(2).named('two rails')] : [];
  const inner = post.across;
  const two = inner.times(2).named('two posts');
  const twoDeep = post.deep.times(2).named('two posts');

  // What stands in it goes between its posts across, and is as deep as all of it.
  const between = piece.depth.from === 'given' ? [...laps, twoDeep] : [];
  const inDepth = axisSize(piece, 'depth', context, [...figures(rear, front), ...between], figures(rear, front));
  const depth = byTop(piece, 'depth', workshop, inDepth, figures(rear, front));
  const ringDepth = takeOff(depth.overall, figures(rear, front));
  const acrossRing = figures(left, right);
  const inside = axisSize(piece, 'width', { ...context, depth: ringDepth.value }, [...acrossRing, ...laps, two], acrossRing);
  const width = byTop(piece, 'width', workshop, inside, acrossRing);
  const ringWidth = takeOff(width.overall, acrossRing);
  const clearWidth = takeOff(ringWidth, [...laps, two]);
  const topHeight = levelHeight(top.level, workshop, topSource).named('highest level');
  const known = { ...context, depth: ringDepth.value, width: clearWidth.value };
  const height = axisSize(piece, 'height', known, [topHeight], []);
  const clearHeight = height.overall.minus(topHeight);

  const before = (p: ReturnType<typeof past>) => p?.size.value ?? ZERO;
  const ring = { x: before(left), z: before(rear), width: ringWidth.named('frame, wide'), depth: ringDepth.named('frame, deep') };
  const feet = piece.feet ? size(piece.feet.are, piece.feet.high, { in: 'piece', field: 'feet.high' }) : null;
  const posts: Posts = {
    feet,
    held: piece.held ?? 'screws',
    letIn: by?.value ?? ZERO,
    pairs: pairsOf(piece, ring, post, lap?.value ?? ZERO),
    joined,
    through,
    ring,
    post,
    rail: broad,
    top: TOP_NODE,
    stock: piece.posts.stock,
    turned: piece.posts.turned,
  };
  const deck = top.level.deck?.goes === 'over' ? woodOf(workshop, top.level.deck.stock).thickness : null;
  const standing = deck ? height.overall.minus(deck.named('deck over them')) : height.overall;
  const startX = [...figures(left), ...(lap ? [lap] : []), inner.named('post')];
  return {
    width: width.overall,
    height: height.overall,
    depth: depth.overall,
    clear: { width: clearWidth, height: clearHeight, depth: ringDepth },
    start: { x: Figure.sum(startX), z: rear ? rear.size.named(rear.label) : NONE },
    feet,
    postHeight: feet ? standing.minus(feet) : standing,
    overPosts: {
      across: outside(piece, 'across') ? posts.ring.width.plus(two) : takeOff(posts.ring.width, laps),
      deep: outside(piece, 'deep') ? posts.ring.depth.plus(twoDeep) : takeOff(posts.ring.depth, laps),
    },
    topHeight,
    posts,
    ends: endsOf({ left, right, rear, front }, lap, inner, topHeight, posts),
    assumed: assumedOf({ width, height, depth }),
    problems: [
      ...depth.problems,
      ...width.problems,
      ...height.problems,
      ...nothingClear('depth', ringDepth),
      ...nothingClear('width', clearWidth),
      ...nothingClear('height', clearHeight),
    ],
  };
}

/** What lies round the clear inside, as tapes show it. */
function endsOf(
  past: Readonly<Record<Side, ReturnType<typeof pastRing>>>,
  lap: Figure | null,
  inner: Figure,
  topHeight: Figure,
  { pairs }: Posts,
): Envelope['ends'] {
  const out = (side: Side): TapeEnd[] => {
    const p = past[side];
    return p
      ? [{ id: `past-${side}`, kind: 'gap', label: p.label, selects: FRAME.post(side === 'rear' ? 'rear' : 'front', 0), size: p.size }]
      : [];
  };
  const rail = (id: string): TapeEnd[] => (lap ? [{ id, kind: 'wood', label: 'rail', selects: id, size: lap }] : []);
  const post = (pair: number): TapeEnd => ({
    id: `post-${pair}`,
    kind: 'wood',
    label: 'post',
    selects: FRAME.post('front', pair),
    size: inner,
  });
  return {
    up: { before: [], after: [{ id: 'top', kind: 'wood', label: 'highest level', selects: TOP.rail(1), size: topHeight }] },
    across: {
      before: [...out('left'), ...rail(TOP.rail(3)), post(0)],
      after: [post(pairs.length - 1), ...rail(TOP.rail(4)), ...out('right')],
    },
    deep: { before: out('rear'), after: out('front') },
  };
}
