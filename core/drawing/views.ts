import { asBefore } from '../figure/index.js';
import { add, mm, toMm, type Length } from '../length/index.js';
import {
  SHUT,
  boxOf,
  isPlain,
  solidOfMember,
  hasMoved,
  posed,
  type Box,
  type Member,
  type PlacedSpace,
  type Pose,
  type Role,
  type Shape,
  type Stand,
} from '../piece/index.js';
import { isSquare } from '../carry/index.js';
import { silhouetteOf, type Vector } from '../solid/index.js';
import type { Solution } from '../solution/index.js';
import type { Block } from '../things/index.js';
import { posedFeet, posedSpaces } from './posed.js';
import { extentOf, type Drawing, type PlainShape, type ShapeOf, type View } from './shapes.js';

interface Flat {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A box of the piece as it is seen in a view, mm. */
function flatten(box: Box, view: View): Flat {
  const span = (a: Length, b: Length) => ({ at: toMm(a), size: toMm((b - a) as Length) });
  const x = span(box.x0, box.x1);
  const y = span(box.y0, box.y1);
  const z = span(box.z0, box.z1);
  if (view === 'front') return { x: x.at, y: y.at, width: x.size, height: y.size };
  if (view === 'side') return { x: z.at, y: y.at, width: z.size, height: y.size };
  return { x: x.at, y: z.at, width: x.size, height: z.size };
}

function rect(flat: Flat, of: ShapeOf, hidden = false): PlainShape {
  return { kind: 'rect', ...flat, of, hidden };
}

/** To the right and up in each view; the front of what is seen from above is turned to the foot of the page at the end. */
const SEEN: Readonly<Record<View, readonly [right: Vector, up: Vector]>> = {
  front: [
    [1, 0, 0],
    [0, 1, 0],
  ],
  side: [
    [0, 0, 1],
    [0, 1, 0],
  ],
  top: [
    [1, 0, 0],
    [0, 0, 1],
  ],
};

/** Most keys leave most members and spaces as they were: they are drawn as before. */
const memberAsBefore = asBefore<Member, PlainShape>(6);
const spaceAsBefore = asBefore<PlacedSpace, PlainShape>();
const thingsAsBefore = asBefore<PlacedSpace, readonly PlainShape[]>();

const memberShape = (member: Member, box: Box, view: View, hidden: boolean): PlainShape =>
  memberAsBefore(member, { same: [view, hidden], alike: null }, () => shapeOfMember(member, box, view, hidden));

function shapeOfMember(member: Member, box: Box, view: View, hidden: boolean): PlainShape {
  const of: ShapeOf = { kind: 'member', id: member.id, label: member.label };
  if (isSquare(member) && isPlain(member)) return rect(flatten(box, view), of, hidden);
  return { kind: 'polygon', loops: silhouetteOf(solidOfMember(member), ...SEEN[view]), of, hidden };
}

/** Whether a member is met by the cut of a section, or lies behind it. */
function isCut(box: Box, view: View, cut: Length): boolean {
  return view === 'side' ? box.x0 <= cut && cut <= box.x1 : box.y0 <= cut && cut <= box.y1;
}

/** Rails, and what lies on them, are one level, no higher than this. */
const A_LEVEL = mm(150);

/** What is seen lying under the cut of a section from above. */
const SEEN_FROM_ABOVE: ReadonlySet<Role> = new Set<Role>([
  'bottom',
  'slat',
  'slat support',
  'drawer bottom',
  'deck',
  'rail',
  'cross piece',
  'corner block',
  'top',
]);
const HIDDEN_IN_FRONT: ReadonlySet<Role> = new Set<Role>(['bearer', 'plinth end', 'runner', 'runner board', 'packing upright']);

interface Boxed {
  readonly member: Member;
  readonly box: Box;
}

/** Seen from the front: what lies further out covers what lies behind; the front of the chosen drawer is looked through. */
function fromTheFront(all: readonly Boxed[], chosen: ReadonlySet<string>): PlainShape[] {
  return (
    [...all]
      // What stands in a notch of what reaches as far out is seen before it.
      .sort((a, b) => a.box.z1 - b.box.z1 || Number(isPlain(a.member)) - Number(isPlain(b.member)))
      .map(({ member, box }) =>
        memberShape(member, box, 'front', HIDDEN_IN_FRONT.has(member.role) || (member.role === 'drawer front' && chosen.has(member.node))),
      )
  );
}

/** What is seen behind a section wherever it is. */
const isLeg = ({ role }: Member) => role === 'leg' || role === 'foot';

/** @param open members that stand out, which are seen from the side behind what is cut */
function membersIn(
  members: readonly Member[],
  view: View,
  cut: Length,
  chosen: ReadonlySet<string>,
  open: ReadonlySet<string>,
): PlainShape[] {
  const all = members.map((member): Boxed => ({ member, box: boxOf(member) }));
  if (view === 'front') return fromTheFront(all, chosen);
  const met = all.filter(({ box }) => isCut(box, view, cut)).map(({ member, box }) => memberShape(member, box, view, false));
  if (view === 'side') {
    const side = all.filter(({ member, box }) => box.x0 > cut && member.role === 'side').slice(-1);
    // The posts that stand next behind the cut are seen.
    const posts = all.filter(({ member, box }) => member.role === 'post' && box.x0 > cut && !open.has(member.id));
    const next = Math.min(...posts.map(({ box }) => box.x0));
    const beyond = (which: (m: Member) => boolean) =>
      all.filter(({ member, box }) => which(member) && box.x0 > cut).sort((a, b) => b.box.x0 - a.box.x0);
    // Legs that cross are seen all, wherever they are.
    const legs = beyond(isLeg);
    const out = beyond((m) => open.has(m.id) && !isLeg(m));
    return [
      ...side.map(({ member, box }) => memberShape(member, box, view, true)),
      ...[...posts.filter(({ box }) => box.x0 === next), ...legs, ...out].map(({ member, box }) => memberShape(member, box, view, false)),
      ...met,
    ];
  }
  const under = all
    .filter(({ member, box }) => box.y1 <= cut && SEEN_FROM_ABOVE.has(member.role))
    .sort((a, b) => a.box.y1 - b.box.y1)
    .map(({ member, box }) => memberShape(member, box, view, member.role === 'bottom'));
  // Only what lies directly under the cut: the bottom of the case where nothing else does.
  const slats = under.filter((s) => !s.hidden);
  if (under.length > 0) return [...(slats.length > 0 ? slats : under.slice(-1)), ...met];
  // With nothing under it, what lies over it is seen through, the nearest level of it.
  const over = all.filter(({ member, box }) => box.y0 >= cut && SEEN_FROM_ABOVE.has(member.role));
  const nearest = Math.min(...over.map(({ box }) => box.y0)) + A_LEVEL;
  return [...met, ...over.filter(({ box }) => box.y0 <= nearest).map(({ member, box }) => memberShape(member, box, view, true))];
}

const MOST_THINGS = 240;

/**
 * Where blocks stand across: those with a place there, the others in order with the spare width between them.
 * @example blockBoxes(SOLVED.shape.spaces.get('in-2')).length // 1
 */
export function blockBoxes(space: PlacedSpace): { block: Block; box: Box }[] {
  const loose = space.blocks.filter((b) => typeof b.at !== 'number');
  const used = loose.reduce((sum, b) => sum + b.width, 0);
  const spare = Math.max(0, (space.box.x1 - space.box.x0 - used) / (loose.length + 1));
  let x = space.box.x0 as number;
  return space.blocks.map((block) => {
    if (typeof block.at !== 'number') x += spare;
    const x0 = Math.round(typeof block.at === 'number' ? space.box.x0 + block.at : x) as Length;
    if (typeof block.at !== 'number') x += block.width;
    const front = space.box.z1 - space.setback;
    return {
      block,
      box: {
        x0,
        x1: add(x0, block.width),
        y0: space.standing,
        y1: add(space.standing, block.height),
        z0: (front - block.depth) as Length,
        z1: front as Length,
      },
    };
  });
}

function thingShapes(space: PlacedSpace, view: View): PlainShape[] {
  return blockBoxes(space).flatMap(({ block, box }): PlainShape[] => {
    const of: ShapeOf = { kind: 'thing', id: `${space.id}/${block.thingId}`, label: `${block.count} ${block.thing.name}`, space: space.id };
    const { columns, rows, layers, stance } = block;
    const whole = flatten(box, view);
    const across = view === 'side' ? rows : columns;
    const up = view === 'top' ? rows : layers;
    if (across * up > MOST_THINGS) return [rect(whole, of)];
    const size =
      view === 'front' ? [stance.width, stance.height] : view === 'side' ? [stance.depth, stance.height] : [stance.width, stance.depth];
    const [w, h] = size.map((l) => toMm(l)) as [number, number];
    return Array.from({ length: across * up }, (_, i): PlainShape => {
      const x = whole.x + (i % across) * w;
      const y = whole.y + Math.floor(i / across) * h;
      if (view === 'top' && stance.round) return { kind: 'circle', cx: x + w / 2, cy: y + h / 2, r: w / 2, of, hidden: false };
      return rect({ x, y, width: w, height: h }, of);
    }).slice(0, view === 'front' ? Math.ceil(block.count / rows) : view === 'top' ? Math.ceil(block.count / layers) : undefined);
  });
}

/** Whether a space is drawn: open ones, and those with a deck or cells that hold things themselves. */
function isDrawn(space: PlacedSpace, stands: Shape['stands']): boolean {
  return !space.space.split || (stands.has(space.id) && space.blocks.length > 0);
}

function spacesIn(spaces: readonly PlacedSpace[], stands: Shape['stands'], view: View, cut: Length): readonly PlacedSpace[] {
  return spaces.filter((s) => {
    if (!isDrawn(s, stands)) return false;
    if (view === 'front') return true;
    return view === 'side' ? s.box.x0 <= cut && cut < s.box.x1 : s.box.y0 <= cut && cut < s.box.y1;
  });
}

/** Where the sections are cut: through the middle of a chosen space. @example cutThrough(SOLVED, 'in', 'side') // mm(500) */
export function cutThrough(solution: Solution, spaceId: string, view: View): Length {
  const { spaces } = solution.shape;
  const root = spaces.get(solution.piece.interior.id);
  const chosen = spaces.get(spaceId) ?? root;
  // From above a table is looked at from over its top, where there is nothing under that.
  const bare = view === 'top' && chosen === root && !root?.space.split && !root?.space.filling && root?.blocks.length === 0;
  const onIt = bare ? [...spaces.values()].filter((s) => s.within === null && s !== root && s.blocks.length > 0) : [];
  // Through the lowest of what stands there, so that all of it is met.
  const [on] = onIt.sort((a, b) => a.box.y1 - b.box.y1);
  const space = on ?? chosen;
  if (!space) return 0 as Length;
  const { box } = space;
  return Math.round(view === 'side' ? (box.x0 + box.x1) / 2 : (box.y0 + box.y1) / 2) as Length;
}

/** The ids of a space and of all that it is a part of. */
function upFrom(solution: Solution, spaceId: string): ReadonlySet<string> {
  const ids = new Set<string>();
  for (
    let space = solution.shape.spaces.get(spaceId);
    space;
    space = space.within ? solution.shape.spaces.get(space.within.owner) : undefined
  ) {
    ids.add(space.id);
  }
  return ids;
}

/** What lies in the places of a space that is filled, drawn as its own front. */
function filledShapes(space: PlacedSpace, { thing, thingId, room, places }: NonNullable<Stand['filled']>, view: View): PlainShape[] {
  if (view !== 'front' || places.length > MOST_THINGS) return [];
  const of: ShapeOf = { kind: 'thing', id: `${space.id}/${thingId}`, label: `${places.length} ${thing.name}`, space: space.id };
  const [w, h] = [toMm(room.width), toMm(room.height)];
  return places.map((place): PlainShape => {
    const [x, y] = [toMm(place.x), toMm(place.y)];
    return thing.shape.kind === 'cylinder'
      ? { kind: 'circle', cx: x + w / 2, cy: y + h / 2, r: Math.min(w, h) / 2, of, hidden: false }
      : rect({ x, y, width: w, height: h }, of);
  });
}

/** Feet and castors; from above what stands on them covers them. */
function feetIn(shape: Shape, view: View, pose: Pose): PlainShape[] {
  if (view === 'top') return [];
  return posedFeet(shape, pose).map(({ id, is, box }): PlainShape => {
    const of: ShapeOf = { kind: 'fitting', id, label: is };
    const flat = flatten(box, view);
    if (is === 'foot') return rect(flat, of);
    const r = Math.min(flat.width, flat.height) / 2;
    return { kind: 'circle', cx: flat.x + flat.width / 2, cy: flat.y + flat.height / 2, r, of, hidden: false };
  });
}

/** Grooves from the front to the rear with nothing in them, where they come out at the front of what they are cut into. */
function emptyGrooves(members: readonly Member[]): PlainShape[] {
  const ids = new Set(members.map((m) => m.id));
  return members.flatMap((m): PlainShape[] => {
    const box = boxOf(m);
    const { u, n, origin } = m.frame;
    if (u[1] !== 1 || Math.abs(n[0]) !== 1) return [];
    return m.features.flatMap((f): PlainShape[] => {
      if (f.kind !== 'groove' || ids.has(f.mate) || f.region.u1 - f.region.u0 >= f.region.v1 - f.region.v0) return [];
      const right = (f.face === 'up') === (n[0] === 1);
      const x0 = right ? ((box.x1 - f.depth) as Length) : box.x0;
      const room = { ...box, x0, x1: add(x0, f.depth), y0: add(origin.y, f.region.u0), y1: add(origin.y, f.region.u1) };
      return [rect(flatten(room, 'front'), { kind: 'member', id: m.id, label: `${m.label}, empty groove` }, true)];
    });
  });
}

/**
 * Draws a piece from one side, in mm.
 * @param spaceId the space whose middle the side and top sections are cut through
 * @param pose how far its bodies stand out; all shut where left out
 * @example drawPiece(SOLVED, 'side', 'in').width // 300
 */
export function drawPiece(solution: Solution, view: View, spaceId: string, pose: Pose = SHUT): Drawing {
  const cut = cutThrough(solution, spaceId, view);
  const { overall, bodies, stands, outside } = solution.shape;
  const spaces = spacesIn(posedSpaces(solution, pose), stands, view, cut);
  // The room over a piece is none of its spaces.
  const open = spaces.filter((s) => !s.space.split && (s.within !== null || s.id === solution.piece.interior.id));
  const clear = open.map((s) =>
    spaceAsBefore(s, { same: [view], alike: null }, () => rect(flatten(s.box, view), { kind: 'space', id: s.id, label: s.label })),
  );
  const things = spaces.flatMap((s) => {
    const filled = stands.get(s.id)?.filled;
    return filled ? filledShapes(s, filled, view) : thingsAsBefore(s, { same: [view], alike: null }, () => thingShapes(s, view));
  });
  const placed = posed(solution.shape.members, bodies, pose);
  const out = new Set(bodies.flatMap((b) => (hasMoved(b, pose) ? b.members : [])));
  const members = membersIn(placed, view, cut, upFrom(solution, spaceId), out);
  // Seen from the front the back lies behind what stands before it.
  const behind = view === 'front' ? members.filter((m) => outside.behind.has(m.of.id)) : [];
  // Posts behind a section are behind what stands before them, too.
  const far = new Set(
    view === 'side' ? placed.flatMap((m) => ((m.role === 'post' || isLeg(m)) && !out.has(m.id) && boxOf(m).x0 > cut ? [m.id] : [])) : [],
  );
  const posts = members.filter((m) => far.has(m.of.id));
  const others = [...feetIn(solution.shape, view, pose), ...members.filter((m) => !behind.includes(m) && !posts.includes(m))];
  // From above, what lies on a deck covers it.
  const shapes =
    view === 'top'
      ? [...clear, ...others, ...things]
      : [...behind, ...clear, ...posts, ...things, ...others, ...(view === 'front' ? emptyGrooves(placed) : [])];
  const whole = toMm(view === 'side' ? overall.depth.value : overall.width.value);
  const extents = shapes.map(extentOf);
  const left = Math.min(0, ...extents.map((e) => e.x0));
  const width = Math.max(whole, ...extents.map((e) => e.x1)) - left;
  if (view !== 'top')
    return { view, shapes, left, width, height: Math.max(toMm(overall.height.value), ...extents.map((e) => e.y1)), datum: 0 };
  // As one looks down on it, with its front at the foot: what stands out in front lies below its own front edge.
  const front = Math.max(toMm(overall.depth.value), ...extents.map((e) => e.y1));
  const rear = Math.min(0, ...extents.map((e) => e.y0));
  return { view, shapes: shapes.map((shape) => upsideDown(shape, front)), left, width, height: front - rear, datum: front };
}

/** A shape with what is up put down, so that a height becomes the foot. */
function upsideDown(shape: PlainShape, foot: number): PlainShape {
  switch (shape.kind) {
    case 'rect':
      return { ...shape, y: foot - shape.y - shape.height };
    case 'circle':
      return { ...shape, cy: foot - shape.cy };
    case 'polygon':
      return { ...shape, loops: shape.loops.map((loop) => loop.map(([x, y]) => [x, foot - y] as const)) };
  }
}
