import { toMm } from '../../length/index.js';
import { placingOf, type Feature, type Member } from '../../piece/index.js';
import { dot, minus, plus, scaled, type Vector } from '../../solid/index.js';
import { shankOf, type ScrewJoint, type WoodScrew } from '../screws.js';
import { middleOf, placeIn, type Contact, type Extent, type Extents } from './contact.js';

const AXES = [0, 1, 2] as const;

/** Screws of one sort through one member into another. */
export interface Screwed {
  readonly through: Member;
  readonly into: Member;
  /** From `through` into `into`. */
  readonly contact: Contact;
  readonly screw: WoodScrew;
  readonly length: number;
  readonly joint: ScrewJoint;
}

/** A straight piece of something round: from one place to another, and how thick, mm. */
export interface Rod {
  readonly from: Vector;
  readonly to: Vector;
  readonly radius: number;
}

/**
 * A screw of a row, so far along it, from its head to its point. Into an edge it goes along the middle of it, however far what it comes
 * through reaches over that.
 * @example screwAt({ contact: { plane: 20, over: [[0, 300], [0, 20]], axes: [[0, 0, 1], [0, 1, 0]], normal: [1, 0, 0] }, joint: { side: { thickness: 20 } }, length: 50, screw: { shank: 0.164 } }, 100).to // [50, 10, 100]
 */
export function screwAt({ contact, joint, length, screw }: Screwed, lengthwise: number): Rod {
  const head = contact.plane - joint.side.thickness;
  const at = (depth: number) => placeIn(contact, lengthwise, middleOf(contact.over[1]), depth);
  return { from: at(head), to: at(head + length), radius: shankOf(screw) / 2 };
}

/** The room that a feature takes of its member, along its own directions. Holes are as long as they are deep. */
function roomOf(member: Member, feature: Feature): Extents {
  const t = toMm(member.thickness.value);
  const depth = Math.min(t, toMm(feature.depth));
  const n: Extent = feature.face === 'up' ? [t - depth, t] : [0, depth];
  const round = (at: number, across: number): Extent => [at - across / 2, at + across / 2];
  if (feature.kind === 'hole') {
    const across = toMm(feature.diameter);
    return [round(toMm(feature.at.u), across), round(toMm(feature.at.v), across), n];
  }
  const { u0, u1, v0, v1 } = feature.region;
  return [[toMm(u0), toMm(u1)], [toMm(v0), toMm(v1)], n];
}

/** A place of the piece in a member's own directions. */
function ownPlaces(member: Member): (place: Vector) => Vector {
  const { origin, u, v, n } = placingOf(member);
  return (place) => {
    const arm = minus(place, origin);
    return [dot(arm, u), dot(arm, v), dot(arm, n)];
  };
}

/** Whether something round from one place to another is in a block, all in the same directions. */
function passes(a: Vector, b: Vector, radius: number, block: Extents): boolean {
  const long = Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);
  let [enters, leaves] = [0, 1];
  for (const k of AXES) {
    const way = b[k] - a[k];
    const round = radius * Math.sqrt(Math.max(0, 1 - (way / long) ** 2));
    const [low, high] = [block[k][0] - round + 1e-6, block[k][1] + round - 1e-6];
    if (Math.abs(way) < 1e-9) {
      if (a[k] < low || a[k] > high) return false;
      continue;
    }
    const [p, q] = [(low - a[k]) / way, (high - a[k]) / way];
    enters = Math.max(enters, Math.min(p, q));
    leaves = Math.min(leaves, Math.max(p, q));
    if (enters >= leaves) return false;
  }
  return true;
}

/** Whether something round is in a block of a member's own directions; what only touches it is not. @example isRodIn({ from: [0, 0, 0], to: [9, 0, 0], radius: 1 }, SHELF, [[0, 5], [0, 5], [0, 5]]) // false */
export function isRodIn({ from, to, radius }: Rod, member: Member, block: Extents): boolean {
  const own = ownPlaces(member);
  return passes(own(from), own(to), radius, block);
}

/** What is cut into a member. */
interface CutInto {
  readonly member: Member;
  readonly cut: Feature;
}

/**
 * What is cut into the members of a row for others than those two and what it holds, by where along it its screws go: the first
 * one of each member that a screw lands in.
 */
export function cutsAlong(row: Screwed, holds?: string): (places: readonly number[]) => readonly CutInto[] {
  const not = [row.through.id, row.into.id, holds];
  const cuts = [row.through, row.into].flatMap((member) => {
    const rooms = member.features.filter((f) => !not.includes(f.mate)).map((cut) => ({ cut, room: roomOf(member, cut) }));
    if (rooms.length === 0) return [];
    const own = ownPlaces(member);
    const [first, next] = [screwAt(row, 0), screwAt(row, 1)];
    const from = own(first.from);
    return [{ member, rooms, from, shank: minus(own(first.to), from), step: minus(own(next.from), from), radius: first.radius }];
  });
  return (places) =>
    cuts.flatMap(({ member, rooms, from, shank, step, radius }) => {
      const screws = places.map((at) => {
        const head = plus(from, scaled(step, at));
        return { head, point: plus(head, shank) };
      });
      const found = rooms.find(({ room }) => screws.some(({ head, point }) => passes(head, point, radius, room)));
      return found ? [{ member, cut: found.cut }] : [];
    });
}
