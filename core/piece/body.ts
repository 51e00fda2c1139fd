import { asDegrees, type Kilograms } from '../measures/index.js';
import type { Figure, Sentence } from '../figure/index.js';
import { fromUnits, toMm, type Length } from '../length/index.js';
import {
  placeOf,
  placesOf,
  placingAfter,
  solidAfter,
  type Motion as Moving,
  type Placing,
  type Solid,
  type Vector,
} from '../solid/index.js';
import type { Joint } from './joint.js';
import type { Box, Direction, Member, Place } from './member.js';
import { boxOf, solidOfMember } from './solid.js';

/** How a body moves from shut to its limit: along a line, or about an axis through a place, right-handed. */
export type Motion =
  | { readonly kind: 'slide'; readonly along: Direction; readonly travel: Figure }
  | { readonly kind: 'turn'; readonly at: Place; readonly axis: Direction; readonly angle: Figure<'angle'> };

/** Members that move together, from shut to a limit. */
export interface Body {
  readonly id: string;
  readonly label: string;
  readonly members: readonly string[];
  /** The spaces inside it, that go with it. */
  readonly spaces: readonly string[];
  readonly motion: Motion;
  /** What it runs on, where it carries it: for a slide its rating, kg. */
  readonly runsOn: { readonly kind: 'slide' | 'wooden' | 'plain'; readonly name: string; readonly rating: Kilograms | null };
  /** What holds its members at its limit, in place of what does when it is shut; the same as then where it is left out. */
  readonly heldOut?: readonly Joint[];
  /** It stands on feet of its own wherever it is, so that nothing that leans on it tips the piece. */
  readonly standsOut?: true;
  /** The body that it is on, and moves with as that goes: its own motion is told as that one is shut. */
  readonly on?: string;
  /** It moves when it is moved, wherever what it is on has come to, and not as that goes. */
  readonly byItself?: true;
  /** What it is lifted out of before it goes, so that it does not run into that. */
  readonly outOf?: readonly string[];
  /** What the piece is called shut, and at the limit of this, where it is put away and stands on nothing. */
  readonly away?: readonly [shut: string, away: string];
}

/** How far each body stands out: those that are not named are shut. */
export type Pose = ReadonlyMap<string, number>;

export const SHUT: Pose = new Map();

/** A state of the bodies of a piece that is asked about: all shut, each one open, all open. */
export interface NamedPose {
  readonly id: string;
  readonly label: string;
  readonly pose: Pose;
}

/** The poses of some bodies; only `shut` where nothing moves. @example posesOf([]).map((p) => p.id) // ['shut'] */
export function posesOf(bodies: readonly Body[]): readonly NamedPose[] {
  const lead = bodies.filter((b) => b.on === undefined || b.byItself);
  const put = lead.find((b) => b.away)?.away;
  const shut: NamedPose = { id: 'shut', label: put?.[0] ?? 'shut', pose: SHUT };
  if (lead.length === 0) return [shut];
  const each = lead.map((b): NamedPose => ({ id: `open-${b.id}`, label: b.away?.[1] ?? `${b.label} open`, pose: new Map([[b.id, 1]]) }));
  const all = { id: 'open', label: 'all open', pose: new Map(lead.map((b) => [b.id, 1])) };
  return put && lead.length === 1 ? [shut, ...each] : [shut, ...each, all];
}

/** How far a body has slid in a pose; not at all where it turns. @example shiftOf(TRAY, new Map([['tray', 0.5]])).z // mm(125) */
export function shiftOf({ id, motion }: Body, pose: Pose): Place {
  const part = pose.get(id) ?? 0;
  const by = (axis: 0 | 1 | 2) => (motion.kind === 'slide' ? Math.round(motion.along[axis] * motion.travel.value * part) : 0) as Length;
  return { x: by(0), y: by(1), z: by(2) };
}

/** The motion of a body in mm and degrees. @example movingOf(TRAY) // { kind: 'slide', along: [0, 0, 1], by: 250 } */
export function movingOf({ motion }: Body): Moving {
  if (motion.kind === 'slide') return { kind: 'slide', along: motion.along, by: toMm(motion.travel.value) };
  const { x, y, z } = motion.at;
  return { kind: 'turn', at: [toMm(x), toMm(y), toMm(z)], axis: motion.axis, degrees: asDegrees(motion.angle.amount) };
}

/** A box moved by so much. @example shiftBox(box(0, 1, 0, 1, 0, 1), { x: mm(5), y: mm(0), z: mm(0) }) // box(5, 6, 0, 1, 0, 1) */
export function shiftBox(box: Box, by: Place): Box {
  const moved = (a: Length, d: Length) => (a + d) as Length;
  return {
    x0: moved(box.x0, by.x),
    x1: moved(box.x1, by.x),
    y0: moved(box.y0, by.y),
    y1: moved(box.y1, by.y),
    z0: moved(box.z0, by.z),
    z1: moved(box.z1, by.z),
  };
}

/** What moves a member of a body, from that on: each of them, and how far it has come in a pose. */
function ridesOn(body: Body, bodies: readonly Body[], pose: Pose): readonly { readonly body: Body; readonly part: number }[] {
  const lead = bodies.find((b) => b.id === body.on);
  const part = pose.get(body.byItself ? body.id : (body.on ?? body.id)) ?? 0;
  return lead
    ? [
        { body, part },
        { body: lead, part: pose.get(lead.id) ?? 0 },
      ]
    : [{ body, part }];
}

/** The members that move as a body goes: its own, and those of what is on it. @example membersMovedBy(TRAY, [TRAY]) // ['shelf'] */
export function membersMovedBy({ id, members }: Body, bodies: readonly Body[]): readonly string[] {
  return [...members, ...bodies.flatMap((b) => (b.on === id ? b.members : []))];
}

/** Whether a body, or what it is on, is not shut in a pose. @example hasMoved(TRAY, new Map()) // false */
export const hasMoved = ({ id, on }: Body, pose: Pose): boolean => (pose.get(id) ?? 0) > 0 || (on !== undefined && (pose.get(on) ?? 0) > 0);

/** A member turned with its body, and with what that is on. */
function turnedWith(member: Member, rides: ReturnType<typeof ridesOn>): Member {
  const { origin, ...ways } = member.frame;
  const start: Placing = { ...ways, origin: [toMm(origin.x), toMm(origin.y), toMm(origin.z)] };
  const after = rides.reduce((at, { body, part }) => placingAfter(movingOf(body), part, at), start);
  const [x, y, z] = after.origin.map((mm) => fromUnits(mm * 80_000)) as unknown as readonly [Length, Length, Length];
  return { ...member, frame: { u: after.u, v: after.v, n: after.n, origin: { x, y, z } } };
}

/** A member moved by so much. @example shifted(SHELF, { x: mm(5), y: ZERO, z: ZERO }).frame.origin.x // mm(25) */
export function shifted(member: Member, by: Place): Member {
  const { origin } = member.frame;
  const moved = (a: Length, d: Length) => (a + d) as Length;
  return {
    ...member,
    frame: { ...member.frame, origin: { x: moved(origin.x, by.x), y: moved(origin.y, by.y), z: moved(origin.z, by.z) } },
  };
}

/** Members where they are in a pose. @example posed([SHELF], [TRAY], new Map([['tray', 1]]))[0].frame.origin.z // mm(550) */
export function posed(members: readonly Member[], bodies: readonly Body[], pose: Pose): readonly Member[] {
  const bodyOf = new Map(bodies.flatMap((body) => body.members.map((id) => [id, body] as const)));
  return members.map((member) => {
    const body = bodyOf.get(member.id);
    if (!body) return member;
    const rides = ridesOn(body, bodies, pose).filter((r) => r.part > 0);
    if (rides.length === 0) return member;
    if (rides.some((r) => r.body.motion.kind === 'turn')) return turnedWith(member, rides);
    return rides.reduce((at, r) => shifted(at, shiftOf(r.body, pose)), member);
  });
}

/** So many states on the way of what turns are looked at. */
const STATES = 24;

/** A member somewhere on its way: the least box round it, and the solid it is, where that is asked for. */
export interface OnTheWay {
  readonly box: Box;
  readonly solid: () => Solid;
}

/** The piece's own directions. */
const AS_IT_IS: Placing = { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0], n: [0, 0, 1] };

/** The least box round places that were turned. */
function boxAt(corners: readonly Vector[], placing: Placing): Box {
  const [low, high] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ] as [number[], number[]];
  for (const corner of corners) {
    const at = placeOf(placing, corner);
    for (const k of [0, 1, 2] as const) {
      if (at[k] < (low[k] as number)) low[k] = at[k];
      if (at[k] > (high[k] as number)) high[k] = at[k];
    }
  }
  const [x0, y0, z0] = low.map((mm) => fromUnits(mm * 80_000)) as [Length, Length, Length];
  const [x1, y1, z1] = high.map((mm) => fromUnits(mm * 80_000)) as [Length, Length, Length];
  return { x0, x1, y0, y1, z0, z1 };
}

/** The states of members on the last way that was asked for. */
const lastWays = new WeakMap<Member, { readonly by: string; readonly states: readonly OnTheWay[] }>();

/**
 * A member at states of its way, from shut to the limit of its body and of what that goes with; for what slides both ends are enough with what lies between.
 * @example statesOnTheWay(SHELF, TRAY, [TRAY]).length // 25
 */
export function statesOnTheWay(member: Member, body: Body, bodies: readonly Body[]): readonly OnTheWay[] {
  const rides = body.byItself ? [body] : ridesOn(body, bodies, SHUT).map((r) => r.body);
  const moving = rides.map(movingOf);
  const by = JSON.stringify(moving);
  const before = lastWays.get(member);
  if (before?.by === by) return before.states;
  const still = solidOfMember(member);
  const corners = still.bodies.flatMap(placesOf);
  const states = Array.from({ length: STATES + 1 }, (_, i): OnTheWay => {
    const part = i / STATES;
    let solid: Solid | null = null;
    return {
      box: boxAt(
        corners,
        moving.reduce((at, m) => placingAfter(m, part, at), AS_IT_IS),
      ),
      solid: () => (solid ??= moving.reduce((at, m) => solidAfter(m, part, at), still)),
    };
  });
  lastWays.set(member, { by, states });
  return states;
}

/**
 * The least box that a member stays in on its way from shut to the limit of its body.
 * @example sweptBox(SHELF, TRAY, [TRAY]) // box(20, 620, 400, 420, 0, 550)
 */
export function sweptBox(member: Member, body: Body, bodies: readonly Body[]): Box {
  const all =
    body.motion.kind === 'slide'
      ? [boxOf(member), shiftBox(boxOf(member), shiftOf(body, new Map([[body.id, 1]])))]
      : statesOnTheWay(member, body, bodies).map((s) => s.box);
  return boxRound(all);
}

/** The least box round some boxes. @example boxRound([box(0, 1, 0, 1, 0, 1), box(4, 5, 0, 2, 0, 1)]) // box(0, 5, 0, 2, 0, 1) */
export function boxRound(all: readonly Box[]): Box {
  const least = (key: keyof Box) => Math.min(...all.map((box) => box[key])) as Length;
  const most = (key: keyof Box) => Math.max(...all.map((box) => box[key])) as Length;
  return { x0: least('x0'), x1: most('x1'), y0: least('y0'), y1: most('y1'), z0: least('z0'), z1: most('z1') };
}

/** Whether two boxes have room in common. @example overlap(box(0, 2, 0, 1, 0, 1), box(1, 3, 0, 1, 0, 1)) // true */
export function overlap(a: Box, b: Box): boolean {
  return a.x0 < b.x1 && b.x0 < a.x1 && a.y0 < b.y1 && b.y0 < a.y1 && a.z0 < b.z1 && b.z0 < a.z1;
}

/** Something bought by the piece: slides, handles, screws. */
export interface Bought {
  readonly what: string;
  /** Of one; of a run, of all of it. */
  readonly length?: Length;
  readonly thick?: Length;
  readonly count: number;
  readonly each: 'pair' | 'piece' | 'run' | 'litre';
}

/** What is driven or put in between two members, or a member and a place, as it is bought. */
export interface Fastener extends Bought {
  readonly between: readonly [string, string];
}

/** A named figure of a space, such as the width of a drawer box, or a plain remark about it. */
export interface Fact {
  readonly name: string;
  readonly figure?: Figure;
  /** What of it is marked on the wall there, and from where the figure is measured, where it is such a mark. */
  readonly onWall?: { readonly what: string; readonly from: string };
  readonly count?: Figure<'count'>;
  readonly remark?: Sentence;
}
