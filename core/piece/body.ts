import type { Figure, Sentence } from '../figure/index.js';
import { fromUnits, toMm, type Length } from '../length/index.js';
import { placingAfter, solidAfter, type Motion as Moving, type Solid } from '../solid/index.js';
import type { Joint } from './joint.js';
import type { Box, Direction, Member, Place } from './member.js';
import { boxOf, boxOfSolid, solidOfMember } from './solid.js';

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
  readonly runsOn: { readonly kind: 'slide' | 'wooden' | 'plain'; readonly name: string; readonly rating: number | null };
  /** What holds its members at its limit, in place of what does when it is shut; the same as then where it is left out. */
  readonly heldOut?: readonly Joint[];
  /** It stands on feet of its own wherever it is, so that nothing that leans on it tips the piece. */
  readonly standsOut?: true;
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

/** The poses of some bodies; only `shut` where nothing moves. */
export function posesOf(bodies: readonly Body[]): readonly NamedPose[] {
  const shut: NamedPose = { id: 'shut', label: 'shut', pose: SHUT };
  if (bodies.length === 0) return [shut];
  const each = bodies.map((b): NamedPose => ({ id: `open-${b.id}`, label: `${b.label} open`, pose: new Map([[b.id, 1]]) }));
  return [shut, ...each, { id: 'open', label: 'all open', pose: new Map(bodies.map((b) => [b.id, 1])) }];
}

/** How far a body has slid in a pose; not at all where it turns. */
export function shiftOf({ id, motion }: Body, pose: Pose): Place {
  const part = pose.get(id) ?? 0;
  const by = (axis: 0 | 1 | 2) => (motion.kind === 'slide' ? Math.round(motion.along[axis] * motion.travel.value * part) : 0) as Length;
  return { x: by(0), y: by(1), z: by(2) };
}

/** The motion of a body in mm and degrees. */
export function movingOf({ motion }: Body): Moving {
  if (motion.kind === 'slide') return { kind: 'slide', along: motion.along, by: toMm(motion.travel.value) };
  const { x, y, z } = motion.at;
  return { kind: 'turn', at: [toMm(x), toMm(y), toMm(z)], axis: motion.axis, degrees: motion.angle.amount };
}

/** A box moved by so much. */
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

/** A member turned with its body. */
function turnedWith(member: Member, body: Body, part: number): Member {
  const { origin, ...ways } = member.frame;
  const after = placingAfter(movingOf(body), part, { ...ways, origin: [toMm(origin.x), toMm(origin.y), toMm(origin.z)] });
  const [x, y, z] = after.origin.map((mm) => fromUnits(mm * 80_000)) as unknown as readonly [Length, Length, Length];
  return { ...member, frame: { u: after.u, v: after.v, n: after.n, origin: { x, y, z } } };
}

/** Members where they are in a pose. */
export function posed(members: readonly Member[], bodies: readonly Body[], pose: Pose): readonly Member[] {
  const bodyOf = new Map(bodies.flatMap((body) => body.members.map((id) => [id, body] as const)));
  return members.map((member) => {
    const body = bodyOf.get(member.id);
    if (!body) return member;
    if (body.motion.kind === 'turn') {
      const part = pose.get(body.id) ?? 0;
      return part === 0 ? member : turnedWith(member, body, part);
    }
    const by = shiftOf(body, pose);
    const { origin } = member.frame;
    const moved = (a: Length, d: Length) => (a + d) as Length;
    return {
      ...member,
      frame: { ...member.frame, origin: { x: moved(origin.x, by.x), y: moved(origin.y, by.y), z: moved(origin.z, by.z) } },
    };
  });
}

/** So many states on the way of what turns are looked at. */
const STATES = 24;

/** A member as a solid at states of its way, from shut to the limit of its body; for what slides both ends are enough with what lies between. */
export function solidsOnTheWay(member: Member, body: Body): readonly Solid[] {
  const moving = movingOf(body);
  return Array.from({ length: STATES + 1 }, (_, i) => solidAfter(moving, i / STATES, solidOfMember(member)));
}

/** The least box that a member stays in on its way from shut to the limit of its body. */
export function sweptBox(member: Member, body: Body): Box {
  const all =
    body.motion.kind === 'slide'
      ? [boxOf(member), shiftBox(boxOf(member), shiftOf(body, new Map([[body.id, 1]])))]
      : solidsOnTheWay(member, body).map(boxOfSolid);
  const least = (key: keyof Box) => Math.min(...all.map((box) => box[key])) as Length;
  const most = (key: keyof Box) => Math.max(...all.map((box) => box[key])) as Length;
  return { x0: least('x0'), x1: most('x1'), y0: least('y0'), y1: most('y1'), z0: least('z0'), z1: most('z1') };
}

/** Whether two boxes have room in common. */
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
  readonly each: 'pair' | 'piece' | 'run';
}

/** A named figure of a space, such as the width of a drawer box, or a plain remark about it. */
export interface Fact {
  readonly name: string;
  readonly figure?: Figure;
  readonly count?: Figure<'count'>;
  readonly remark?: Sentence;
}
