import { toMm } from '../../length/index.js';
import { placingOf, type Feature, type Member } from '../../piece/index.js';
import { dot, minus, type Vector } from '../../solid/index.js';
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

/** Whether something round is in a block of a member's own directions; what only touches it is not. @example isRodIn({ from: [0, 0, 0], to: [9, 0, 0], radius: 1 }, SHELF, [[0, 5], [0, 5], [0, 5]]) // false */
export function isRodIn({ from, to, radius }: Rod, member: Member, block: Extents): boolean {
  const { origin, u, v, n } = placingOf(member);
  const own = (place: Vector): Vector => {
    const arm = minus(place, origin);
    return [dot(arm, u), dot(arm, v), dot(arm, n)];
  };
  const [a, b] = [own(from), own(to)];
  const long = Math.hypot(...minus(b, a));
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
  }
  return enters < leaves;
}

/** What is cut into a member of a row for others than those two and what it holds, in which a screw of it lands at one of some places along it. */
export function cutsIn(
  row: Screwed,
  places: readonly number[],
  holds?: string,
): readonly { readonly member: Member; readonly cut: Feature }[] {
  const own = [row.through.id, row.into.id, holds];
  return [row.through, row.into].flatMap((member) => {
    const cut = member.features.find((f) => {
      if (own.includes(f.mate)) return false;
      const room = roomOf(member, f);
      return places.some((at) => isRodIn(screwAt(row, at), member, room));
    });
    return cut ? [{ member, cut }] : [];
  });
}
