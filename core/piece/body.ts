import type { Figure, Sentence } from '../figure/index.js';
import type { Length } from '../length/index.js';
import { boxOf, type Box, type Direction, type Member, type Place } from './member.js';

/** Members that move together, along a line, from shut to a limit. */
export interface Body {
  readonly id: string;
  readonly label: string;
  readonly members: readonly string[];
  /** The spaces inside it, that go with it. */
  readonly spaces: readonly string[];
  readonly along: Direction;
  /** How far it moves from shut, at most. */
  readonly travel: Figure;
  /** What it runs on, where it carries it: for a slide its rating, kg. */
  readonly runsOn: { readonly kind: 'slide' | 'wooden' | 'plain'; readonly name: string; readonly rating: number | null };
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

/** How far a body has moved in a pose. */
export function shiftOf(body: Body, pose: Pose): Place {
  const part = pose.get(body.id) ?? 0;
  const by = (axis: 0 | 1 | 2) => Math.round(body.along[axis] * body.travel.value * part) as Length;
  return { x: by(0), y: by(1), z: by(2) };
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

/** Members where they are in a pose. */
export function posed(members: readonly Member[], bodies: readonly Body[], pose: Pose): readonly Member[] {
  const shifts = new Map(bodies.flatMap((body) => body.members.map((id) => [id, shiftOf(body, pose)] as const)));
  return members.map((member) => {
    const by = shifts.get(member.id);
    if (!by) return member;
    const { origin } = member.frame;
    const moved = (a: Length, d: Length) => (a + d) as Length;
    return {
      ...member,
      frame: { ...member.frame, origin: { x: moved(origin.x, by.x), y: moved(origin.y, by.y), z: moved(origin.z, by.z) } },
    };
  });
}

/** What a member goes through on its way from shut to the limit of its body. */
export function sweptBox(member: Member, body: Body): Box {
  const box = boxOf(member);
  const out = shiftBox(box, shiftOf(body, new Map([[body.id, 1]])));
  const least = (a: Length, b: Length) => Math.min(a, b) as Length;
  const most = (a: Length, b: Length) => Math.max(a, b) as Length;
  return {
    x0: least(box.x0, out.x0),
    x1: most(box.x1, out.x1),
    y0: least(box.y0, out.y0),
    y1: most(box.y1, out.y1),
    z0: least(box.z0, out.z0),
    z1: most(box.z1, out.z1),
  };
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
