import { Figure, len, say, size } from '../../figure/index.js';
import { ZERO, add, greatest, hypot, least, sub, type Length } from '../../length/index.js';
import { divide, interiorMembers, type Made } from '../../interiors/index.js';
import { levelIds, levelMembers, postFrame, underTop, woodsOfLevel, type LevelAt } from '../../interiors/levels/index.js';
import {
  FLOOR,
  facingFrame,
  rectangular,
  stockNames,
  uprightFrame,
  type Fact,
  type Joint,
  type Member,
  type PieceEdit,
  type PostPair,
  type Shape,
} from '../../piece/index.js';
import { woodOf, type Wood, type Workshop } from '../../project/index.js';
import { NO_SHAPE, assembled, diagonalOf } from '../assemble.js';
import type { ShellKind } from '../kind.js';
import { bracesOf } from './braces.js';
import { envelopeOf, topSource, type Envelope } from './envelope.js';
import { FRAME, FRAME_NODE, TOP_NODE } from './ids.js';
import { dealtTo, pullOutOf } from './pull-out.js';
import { letIn } from './let-in.js';
import { onTop, withThingsOnTop } from './on-top.js';
import { feetBought, feetUnder } from './feet.js';
import { frameProblems } from './problems.js';
import { frameRacking } from './racking.js';
import { atPosts, frameRemedies } from './remedies.js';
import { frameStock } from './stock.js';
import { frameFields, type Frame } from './spec.js';

/** The posts, each on the floor. */
function postMembers({ posts: { stock, turned } }: Frame, { posts, postHeight, feet }: Envelope, workshop: Workshop): Member[] {
  const wood = woodOf(workshop, stock);
  return posts.pairs.flatMap((pair, n) =>
    (['rear', 'front'] as const).map((side) => {
      const { id, x0, z0 } = pair[side];
      return rectangular({
        id,
        node: FRAME_NODE,
        role: 'post',
        label: `${side} post ${n + 1}`,
        wood,
        length: postHeight,
        width: turned === 'across' ? posts.post.across : posts.post.deep,
        frame: postFrame(turned, { x: x0, y: feet?.value ?? ZERO, z: z0 }, wood.thickness.value),
      });
    }),
  );
}

/** The sheets on its outside. */
function sheetMembers({ sheets }: Frame, { posts: { pairs, ring }, postHeight, feet }: Envelope, workshop: Workshop): Member[] {
  const foot = feet?.value ?? ZERO;
  const common = { node: FRAME_NODE, role: 'back' as const, purpose: { length: 'covers', width: 'covers' } as const };
  const rear = sheets?.rear && woodOf(workshop, sheets.rear.stock);
  const ends = sheets?.ends && woodOf(workshop, sheets.ends.stock);
  const [first, last] = [pairs[0] as PostPair, pairs.at(-1) as PostPair];
  // Over whatever stands out furthest, posts or rails.
  const [x0, z0] = [least([ring.x, first.rear.x0]), least([ring.z, first.rear.z0])];
  const x1 = greatest([add(ring.x, ring.width.value), last.rear.x1]);
  const z1 = greatest([add(ring.z, ring.depth.value), first.front.z1]);
  const wide = size('frame, wide', sub(x1, x0));
  const deep = size('frame, deep', sub(z1, z0));
  const end = (id: string, label: string, x: Length, wood: Wood): Member =>
    rectangular({ ...common, id, label, wood, length: postHeight, width: deep, frame: uprightFrame({ x, y: foot, z: z0 }) });
  const behind = (wood: Wood): Member =>
    rectangular({
      ...common,
      id: FRAME.rear,
      label: 'rear sheet',
      wood,
      length: wide,
      width: postHeight,
      frame: facingFrame({ x: x0, y: foot, z: sub(z0, wood.thickness.value) }),
    });
  return [
    ...(rear ? [behind(rear)] : []),
    ...(ends ? [end(FRAME.left, 'left sheet', sub(x0, ends.thickness.value), ends), end(FRAME.right, 'right sheet', x1, ends)] : []),
  ];
}

/** Posts stand on the floor, and sheets beside them. */
const onFloor = (members: readonly Member[]): Joint[] => members.map((m) => ({ carried: m.id, carrier: FLOOR, how: 'bearing' }));

/** What is measured with a tape to see that a frame is square, from corner to corner of its posts. */
function squareFacts({ overPosts, postHeight }: Envelope): readonly Fact[] {
  const [high, wide, deep] = [
    postHeight.named('posts, high'),
    overPosts.across.named('over posts, wide'),
    overPosts.deep.named('over posts, deep'),
  ];
  const across = (name: string, a: Figure, b: Figure): Fact => ({
    name,
    figure: Figure.formula('length', `corner to corner, √(${a.label}² + ${b.label}²)`, [a, b], hypot(a.value, b.value)),
  });
  return [
    across('ends, corner to corner of posts', high, deep),
    across('front, corner to corner of posts', high, wide),
    across('from above, corner to corner of posts', wide, deep),
  ];
}

/** The geometry of a frame: its posts, its levels, and what stands between them. */
function shape(piece: Frame, workshop: Workshop): Shape {
  const envelope = envelopeOf(piece, workshop);
  const { width, height, depth, clear, posts, assumed } = envelope;
  const own = [...postMembers(piece, envelope, workshop), ...sheetMembers(piece, envelope, workshop)];
  const outside = (members: readonly Member[]) => ({
    overall: { width, height, depth },
    assumed,
    caseHeight: height,
    diagonal: diagonalOf(height, depth),
    outside: {
      is: 'built' as const,
      foot: Math.max(...posts.pairs.map((p) => p.front.z1)) as Length,
      ends: envelope.ends,
      members: new Set(members.map((m) => m.id)),
      behind: new Set(members.flatMap((m) => (m.id === FRAME.rear ? [m.id] : []))),
    },
  });
  const problems = [...envelope.problems, ...frameProblems(piece, envelope, workshop)];
  if ([clear.width, clear.height, clear.depth].some((f) => f.value <= ZERO)) return { ...NO_SHAPE, ...outside([]), problems };

  const context = { workshop, panels: piece.panels, rounding: piece.rounding ?? workshop.settings.rounding };
  const ids = levelIds(TOP_NODE);
  const { deck } = piece.top.level;
  const divided = divide(piece, context, {
    start: { x: envelope.start.x, y: size('floor', ZERO), z: envelope.start.z },
    clear,
    neighbours: {
      left: FRAME.post('rear', 0),
      right: FRAME.post('rear', posts.pairs.length - 1),
      below: FLOOR,
      above: ids.rail(1),
    },
    setback: ZERO,
    posts,
  });
  const made = interiorMembers(piece, workshop, divided);
  const run = divided.runs.get(piece.interior.id);
  const at: LevelAt = {
    node: TOP_NODE,
    label: 'top',
    level: piece.top.level,
    y: clear.height.value,
    underside: clear.height.named('underside'),
    posts,
    workshop,
    over: piece.pullOut ? { ...piece.top.over, front: woodOf(workshop, piece.pullOut.legs.stock).thickness.value } : piece.top.over,
    rounding: context.rounding,
    ...underTop(piece.interior, run, posts, workshop, FLOOR),
    above: null,
    source: topSource,
    ...(piece.pullOut && deck?.slats ? { dealt: dealtTo(piece.pullOut, deck.slats.count) } : {}),
  };
  const top = levelMembers(at);
  const levelled = [...top.members, ...made.members];
  const drawn = pullOutOf(piece, at, { width, depth }, top.members);
  const braced = bracesOf(piece, posts, { spaces: divided.spaces, members: levelled }, workshop);
  const open = piece.top.level.deck && (['front', 'rear', 'left', 'right'] as const).some((side) => !piece.top.level.rails[side]);
  const higher: Fact[] = open
    ? [
        {
          name: 'clear where no rail is, high',
          figure: height.minus(woodOf(workshop, piece.top.level.deck?.stock ?? '').thickness.named('deck')).named('clear, high'),
        },
      ]
    : [];
  const shell = [...letIn(own, levelled, posts), ...top.members, ...drawn.members, ...braced.members];
  const onTheFloor = new Set([...top.joints, ...made.joints].flatMap((j) => (j.carrier === FLOOR ? [j.carried] : [])));
  const standing = [...own, ...top.members, ...made.members].filter((m) => m.role === 'post' && (own.includes(m) || onTheFloor.has(m.id)));
  const legs = drawn.members.filter((m) => m.role === 'post');
  const under = [
    { posts: standing, as: piece.feet },
    { posts: legs, as: piece.pullOut?.feet },
  ].flatMap(({ posts: on, as }) => (as ? [{ feet: feetUnder(on, as), as }] : []));
  const feet = under.flatMap((u) => u.feet);
  const bought = under.flatMap((u) => feetBought(u.feet, u.as));
  const whole = { ...outside(shell), ...(feet.length > 0 ? { feet } : {}) };
  const all: Made = {
    ...made,
    members: [...shell, ...made.members],
    joints: [...onFloor(own), ...top.joints, ...drawn.joints, ...braced.joints, ...made.joints],
    bodies: [...made.bodies, ...drawn.bodies],
    bought: [...made.bought, ...bought, ...drawn.bought, ...(piece.pullOut ? [{ what: 'catch', count: 1, each: 'piece' as const }] : [])],
    problems: [...top.problems, ...drawn.problems, ...braced.problems, ...made.problems],
    facts: [
      ...made.facts,
      ...braced.facts,
      { space: piece.interior.id, facts: [...squareFacts(envelope), ...higher, ...top.deckFacts, ...drawn.facts] },
    ],
  };
  const on = onTop(piece, workshop, envelope, [...top.members, ...drawn.members]);
  if (!on) return assembled(divided, all, whole, problems);
  const spaces = new Map([...divided.spaces, [on.space.id, on.space]]);
  return assembled({ ...divided, spaces }, { ...all, stands: [...all.stands, on.stand] }, whole, problems);
}

/** The posts further out under a top that hangs over them, or all of it deeper or wider. */
function standingWider({ top, width, depth }: Frame, to: 'front' | 'rear' | 'left' | 'right', by: Length) {
  const over = top.over[to];
  if (top.level.deck?.goes === 'over' && over > ZERO) {
    if (over < by) return null;
    const edit: PieceEdit = { kind: 'piece', patch: { top: { ...top, over: { ...top.over, [to]: sub(over, by) } } } };
    return { says: say`Its posts ${len(by)} further out at the ${to}`, edit };
  }
  const [reach, rule] = to === 'front' || to === 'rear' ? (['depth', depth] as const) : (['width', width] as const);
  if (rule.from !== 'given') return null;
  const edit: PieceEdit = { kind: 'piece', patch: { [reach]: { ...rule, size: add(rule.size, by) } } };
  return { says: say`Make it ${len(by)} ${reach === 'depth' ? 'deeper' : 'wider'}`, edit };
}

export const frame: ShellKind<Frame> = {
  kind: 'frame',
  inside: 'Inside the frame',
  fields: frameFields,
  uses: (piece) => [{ use: 'posts', where: 'posts/stock', id: piece.posts.stock, with: (stock) => ({ posts: { ...piece.posts, stock } }) }],
  names: ({ top, sheets, pullOut, braces }) => [
    ...stockNames((braces ?? []).map((b) => b.stock)).map((n) => ({ ...n, where: 'braces' })),
    ...(top.things ?? []).map(({ thing }) => ({ kind: 'thing' as const, id: thing, where: 'top/things' })),
    ...stockNames(woodsOfLevel(top.level)).map((n) => ({ ...n, where: 'top/level' })),
    ...stockNames(pullOut ? [pullOut.board.stock, pullOut.legs.stock] : []).map((n) => ({ ...n, where: 'pullOut' })),
    ...stockNames([sheets?.rear, sheets?.ends].flatMap((s) => (s ? [s.stock] : []))).map((n) => ({ ...n, where: 'sheets' })),
  ],
  placed: ({ top }) => top.things ?? [],
  shape,
  racking: frameRacking,
  withStock: frameStock,
  standingWider,
  withThings: withThingsOnTop,
  remedies: frameRemedies,
  remediesWithin: atPosts,
};
