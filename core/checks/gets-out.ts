import { say, type Sentence } from '../figure/index.js';
import type { Check } from '../finding/index.js';
import { ZERO, add, mm, sub, type Length } from '../length/index.js';
import {
  FLOOR,
  PLACE,
  boxOf,
  overlap,
  posed,
  posesOf,
  shiftBox,
  solidOfBox,
  solidOfMember,
  type Box,
  type Letters,
  type Member,
  type Piece,
  type Shape,
  type Stand,
} from '../piece/index.js';
import { overlapOf } from '../solid/index.js';
import { capital, listed, nameOf } from './names.js';

/** So far beyond a piece a device is out of it. */
const FAR = mm(5000);
/** In each other by less than this is rounding, mm. */
const LEAST = 0.05;

/** Ways that a device is brought in and out by, square to the piece: what it goes through. */
const WAYS = {
  'to the front': (box: Box): Box => ({ ...box, z1: add(box.z1, FAR) }),
  upward: (box: Box): Box => ({ ...box, y1: add(box.y1, FAR) }),
  'to the rear': (box: Box): Box => ({ ...box, z0: sub(box.z0, FAR) }),
} as const;
type Way = keyof typeof WAYS;

/** The members that are in a room. */
function inRoom(members: readonly Member[], room: Box): readonly Member[] {
  const near = members.filter((m) => overlap(boxOf(m), room));
  if (near.length === 0) return near;
  const solid = solidOfBox(room);
  return near.filter((m) => overlapOf(solid, solidOfMember(m)) > LEAST);
}

/** What is in the way of a device that goes one way: nothing, where it passes as it stands or lifted over what is in front of it. */
function inTheWay(way: Way, device: Box, headroom: Length, members: readonly Member[]): readonly Member[] {
  const go = WAYS[way];
  const blocks = inRoom(members, go(device));
  if (way === 'upward') return blocks;
  const lifts = blocks.map((m) => sub(boxOf(m).y1, device.y0)).filter((by) => by > ZERO && by <= headroom);
  const passes = lifts.some((y) => inRoom(members, go(shiftBox(device, { x: ZERO, y, z: ZERO }))).length === 0);
  return passes ? [] : blocks;
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
  const at = places.map(({ x, y }): Box => ({
    x0: x,
    x1: add(x, room.width),
    y0: y,
    y1: add(y, room.height),
    z0: deep.from,
    z1: deep.to,
  }));
  const headroom = ({ y1 }: Box) => sub(placed.box.y1, y1);
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

/**
 * Devices that can be brought to their places, and out again, no way: straight to the front, up under a lid, or to the rear where no wall is.
 * @example getsOutChecks(CASE, SOLVED.shape, {}) // []
 */
export function getsOutChecks(piece: Piece, shape: Shape, letters: Letters): Check[] {
  return [...shape.stands.values()].flatMap((stand) => stuck(stand, piece, shape, letters));
}
