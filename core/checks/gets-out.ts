import { say, type Sentence } from '../figure/index.js';
import type { Check } from '../finding/index.js';
import { fromUnits, toMm, type Length } from '../length/index.js';
import {
  FLOOR,
  PLACE,
  boxOf,
  posed,
  posesOf,
  solidOfMember,
  type Letters,
  type Member,
  type Piece,
  type Shape,
  type Stand,
} from '../piece/index.js';
import { overlapOf, rectangleOf, solidOf, type Solid } from '../solid/index.js';
import { capital, listed, nameOf } from './names.js';

type Reach = readonly [from: number, to: number];
/** A box in mm: across, up, and from the rear to the front. */
type Room = readonly [Reach, Reach, Reach];

/** Ways that a device is brought in and out by, square to the piece, in mm beyond it. */
const FAR = 5000;
/** In each other by less than this is rounding, mm. */
const LEAST = 0.05;

const WAYS = {
  'to the front': ([x, y, [from]]: Room): Room => [x, y, [from, from + FAR]],
  upward: ([x, [low], z]: Room): Room => [x, [low, low + FAR], z],
  'to the rear': ([x, y, [, to]]: Room): Room => [x, y, [to - FAR, to]],
} as const;
type Way = keyof typeof WAYS;

const longOf = ([a, b]: Reach) => b - a;

/** A room as a solid. */
function solidOfRoom([x, y, z]: Room): Solid {
  return solidOf({
    profile: { outline: rectangleOf(longOf(x), longOf(y)), holes: [] },
    thickness: longOf(z),
    cuts: [],
    placing: { origin: [x[0], y[0], z[0]], u: [1, 0, 0], v: [0, 1, 0], n: [0, 0, 1] },
  });
}

const reachOf = (a: Length, b: Length): Reach => [toMm(a), toMm(b)];

function roomOf(member: Member): Room {
  const b = boxOf(member);
  return [reachOf(b.x0, b.x1), reachOf(b.y0, b.y1), reachOf(b.z0, b.z1)];
}

const meet = (a: Room, b: Room) => a.every(([low, high], k) => high - LEAST > (b[k] as Reach)[0] && low + LEAST < (b[k] as Reach)[1]);

/** The members that are in a room. */
function inRoom(members: readonly Member[], room: Room): readonly Member[] {
  const near = members.filter((m) => meet(roomOf(m), room));
  if (near.length === 0) return near;
  const solid = solidOfRoom(room);
  return near.filter((m) => overlapOf(solid, solidOfMember(m)) > LEAST);
}

const lifted = ([x, [low, high], z]: Room, by: number): Room => [x, [low + by, high + by], z];

/** What is in the way of a device that goes one way: nothing, where it passes as it stands or lifted over what is in front of it. */
function inTheWay(way: Way, device: Room, headroom: number, members: readonly Member[]): readonly Member[] {
  const go = WAYS[way];
  const blocks = inRoom(members, go(device));
  if (way === 'upward') return blocks;
  const lifts = blocks.map((m) => roomOf(m)[1][1] - device[1][0]).filter((by) => by > 0 && by <= headroom);
  return lifts.some((by) => inRoom(members, go(lifted(device, by))).length === 0) ? [] : blocks;
}

/** The members of a piece in each of its poses; what is lifted by hand is taken away. */
function openings({ members, bodies }: Shape): readonly (readonly Member[])[] {
  return posesOf(bodies).map(({ pose }) => {
    const away = bodies.filter((b) => (pose.get(b.id) ?? 0) > 0 && b.motion.kind === 'slide' && b.motion.along[1] > 0);
    const gone = new Set(away.flatMap((b) => b.members));
    return posed(members, bodies, pose).filter((m) => !gone.has(m.id));
  });
}

/** The ways that there are: to the rear only where no wall is. */
function waysOf(piece: Piece, shape: Shape): readonly Way[] {
  const behind =
    piece.opening !== undefined || piece.fixedToWall || shape.outside.is === 'found' || shape.joints.some((j) => j.carrier === PLACE);
  return behind ? ['to the front', 'upward'] : ['to the front', 'upward', 'to the rear'];
}

function check(space: string, sentence: Sentence): Check {
  return { id: `gets-out-${space}`, severity: 'stop', state: 'fails', about: { kind: 'space', id: space }, sentence, fixes: [] };
}

/** What of one space can be brought in and out no way. */
function stuck({ space, filled, carriers }: Stand, piece: Piece, shape: Shape, letters: Letters): Check[] {
  const placed = shape.spaces.get(space);
  if (!filled?.deep || !placed) return [];
  const { room, deep, places, thing } = filled;
  // What it stands on it is lifted off.
  const under = new Set([...carriers, FLOOR]);
  const states = openings(shape).map((all) => all.filter((m) => !under.has(m.id)));
  const ways = waysOf(piece, shape);
  const at = places.map(({ x, y }): Room => [
    reachOf(x, fromUnits(x + room.width)),
    reachOf(y, fromUnits(y + room.height)),
    reachOf(deep.from, deep.to),
  ]);
  const headroom = ([, [, high]]: Room) => toMm(placed.box.y1) - high;
  const held = at.filter((device) => !states.some((all) => ways.some((way) => inTheWay(way, device, headroom(device), all).length === 0)));
  const [first] = held;
  if (!first) return [];
  const said = ways.map((way) => {
    const blocks = inTheWay(way, first, headroom(first), states.at(-1) ?? []);
    return `${way} ${listed(blocks.map((m) => nameOf(m, letters)))}`;
  });
  const which = held.length === places.length || places.length === 1 ? thing.name : `${held.length} of ${places.length} ${thing.name}`;
  return [check(space, say`${capital(which)} cannot be brought into ${placed.label}, or out of it again: in the way ${said.join('; ')}.`)];
}

/** Devices that can be brought to their places, and out again, no way: straight to the front, up under a lid, or to the rear where no wall is. */
export function getsOutChecks(piece: Piece, shape: Shape, letters: Letters): Check[] {
  return [...shape.stands.values()].flatMap((stand) => stuck(stand, piece, shape, letters));
}
