import { UNITS_PER, fromUnits, toMm } from '../../length/index.js';
import { boxOf, isBlock, ofTwo, placingOf, solidOfMember, type Member } from '../../piece/index.js';
import { chordsOf, contactsOf, dot, plus, reachOf, scaled, type Stretch, type Vector } from '../../solid/index.js';

/** An axis of the piece: across, up, out. */
export type AxisIndex = 0 | 1 | 2;

/** From one place to another along an axis, mm. */
export type Extent = Stretch;

/** How two members meet face to face. */
export interface Contact {
  /** Square to the plane that they meet in, out of the first into the second. */
  readonly normal: Vector;
  /** Where the plane is along it, mm. */
  readonly plane: number;
  /** The directions in the plane, the longer stretch first, each to the right, up or out, and what the two have in common along each. */
  readonly axes: readonly [Vector, Vector];
  readonly over: readonly [Extent, Extent];
  /** mm². */
  readonly area: number;
}

/** How far something reaches along each axis, mm. */
export type Extents = readonly [Extent, Extent, Extent];

/** A size that was worked out in mm, as exact as lengths are. @example exactly(0.1 + 0.2) // 0.3 */
export const exactly = (size: number): number => toMm(fromUnits(size * UNITS_PER.mm));

/** Members never change, so that how far each reaches is worked out once. */
const known = new WeakMap<Member, Extents>();

/** How far a member reaches along each axis, mm. @example extentsOf(SHELF) // [[20, 620], [400, 420], [0, 300]] */
export function extentsOf(member: Member): Extents {
  let extents = known.get(member);
  if (!extents) {
    const box = boxOf(member);
    extents = [
      [toMm(box.x0), toMm(box.x1)],
      [toMm(box.y0), toMm(box.y1)],
      [toMm(box.z0), toMm(box.z1)],
    ];
    known.set(member, extents);
  }
  return extents;
}

const AXES = [0, 1, 2] as const;

const ALONG: readonly [Vector, Vector, Vector] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** The axis that a direction lies along, where it lies along one. @example axisOf([0, 0, -1]) // 2 */
export const axisOf = (d: Vector): AxisIndex | undefined => AXES.find((k) => Math.abs(d[k]) > 1 - 1e-9);

/** How far a member reaches along a direction, mm. @example reachAlong(SHELF, [1, 0, 0]) // [20, 620] */
export function reachAlong(member: Member, d: Vector): Extent {
  const k = axisOf(d);
  if (k === undefined) return reachOf(solidOfMember(member), d);
  const [low, high] = extentsOf(member)[k];
  return d[k] > 0 ? [low, high] : [-high, -low];
}

export { isBlock, isSquare } from '../../piece/index.js';

/** Faces closer to each other than this touch, mm. */
const TOUCH = 0.05;

/** Whether a member lies in a rebate of another one. @example inRebate(SHELF, RAIL) // false */
export function inRebate(member: Member, of: Member): boolean {
  return of.features.some((f) => f.kind === 'rebate' && f.mate === member.id);
}

/** A contact across an axis of the piece, by what two have in common along each. */
function acrossAxis(axis: AxisIndex, way: 1 | -1, plane: number, over: Extents): Contact {
  const [p, q] = AXES.filter((k) => k !== axis) as [AxisIndex, AxisIndex];
  const wide = (k: AxisIndex) => over[k][1] - over[k][0];
  const [long, short] = wide(p) >= wide(q) ? [p, q] : [q, p];
  const normal = way === 1 ? ALONG[axis] : scaled(ALONG[axis], -1);
  return { normal, plane: way * plane, axes: [ALONG[long], ALONG[short]], over: [over[long], over[short]], area: wide(p) * wide(q) };
}

/** What lies in a rebate meets what is behind it there, through its own thickness. */
function rebated(lying: Member, of: Member): Contact {
  const n = lying.frame.n;
  const middle = (m: Member) => reachAlong(m, n).reduce((sum, end) => sum + end / 2, 0);
  const normal = middle(lying) < middle(of) ? n : scaled(n, -1);
  const common = ([a0, a1]: Extent, [b0, b1]: Extent): Extent => [Math.max(a0, b0), Math.min(a1, b1)];
  const flat = [lying.frame.u, lying.frame.v].map((d) => {
    const axis = pointing(d);
    return { axis, over: common(reachAlong(lying, axis), reachAlong(of, axis)) };
  });
  return { normal, plane: reachAlong(lying, normal)[1], ...longerFirst(flat) };
}

/** A direction, or the opposite one, so that it goes to the right, up or out. */
function pointing(d: Vector): Vector {
  const k = axisOf(d);
  if (k !== undefined) return ALONG[k];
  const most = AXES.reduce((found, axis) => (Math.abs(d[axis]) > Math.abs(d[found]) + 1e-9 ? axis : found), 0 as AxisIndex);
  return d[most] > 0 ? d : scaled(d, -1);
}

const long = ([from, to]: Extent) => to - from;

function longerFirst(two: readonly { axis: Vector; over: Extent }[]): Pick<Contact, 'axes' | 'over' | 'area'> {
  const [p, q] = [...two].sort((a, b) => long(b.over) - long(a.over)) as [(typeof two)[0], (typeof two)[0]];
  return { axes: [p.axis, q.axis], over: [p.over, q.over], area: long(p.over) * long(q.over) };
}

/**
 * Where two members meet; null where they do not. What lies at an angle meets where a plane of one lies on a plane of the other.
 * @example contactOf(RAIL, SHELF) // null
 */
export const contactOf = (a: Member, b: Member): Contact | null => contacts(a, b, () => newContact(a, b));

/** Members never change, so that where two of them meet is worked out once. */
const contacts = ofTwo<Member, Member, Contact | null>();

function newContact(a: Member, b: Member): Contact | null {
  const rebate = inRebate(a, b) ? rebated(a, b) : inRebate(b, a) ? turned(rebated(b, a)) : null;
  if (rebate?.over.every((o) => long(o) > TOUCH)) return rebate;
  return isBlock(a) && isBlock(b) ? contactOfBlocks(extentsOf(a), extentsOf(b)) : contactOfSolids(a, b);
}

function contactOfBlocks(as: Extents, bs: Extents): Contact | null {
  const over = AXES.map((k): Extent => [Math.max(as[k][0], bs[k][0]), Math.min(as[k][1], bs[k][1])]) as [Extent, Extent, Extent];
  const shared = over.map(long);
  const axis = AXES.find((k) => Math.abs(shared[k] as number) <= TOUCH);
  if (axis === undefined || AXES.some((k) => k !== axis && (shared[k] as number) <= TOUCH)) return null;
  const way = as[axis][0] + as[axis][1] < bs[axis][0] + bs[axis][1] ? 1 : -1;
  return acrossAxis(axis, way, way === 1 ? as[axis][1] : as[axis][0], over);
}

/** So little between two that face each other is packed out, or is a plate, mm. */
const PACKED = 12;

/**
 * Where two members face each other with a little between them: the contact on the face of the first, and how much is between; null
 * where they touch, or are further apart.
 * @example nearContact(SHELF, SHELF) // null
 */
export function nearContact(a: Member, b: Member): { readonly contact: Contact; readonly gap: number } | null {
  if (!isBlock(a) || !isBlock(b)) return null;
  const [as, bs] = [extentsOf(a), extentsOf(b)];
  const over = AXES.map((k): Extent => [Math.max(as[k][0], bs[k][0]), Math.min(as[k][1], bs[k][1])]) as [Extent, Extent, Extent];
  const apart = AXES.filter((k) => long(over[k]) < -TOUCH);
  const [axis, other] = apart;
  if (axis === undefined || other !== undefined || -long(over[axis]) > PACKED) return null;
  if (AXES.some((k) => k !== axis && long(over[k]) <= TOUCH)) return null;
  const way = as[axis][1] <= bs[axis][0] ? 1 : -1;
  return { contact: acrossAxis(axis, way, way === 1 ? as[axis][1] : as[axis][0], over), gap: -long(over[axis]) };
}

function contactOfSolids(a: Member, b: Member): Contact | null {
  const [met] = contactsOf(solidOfMember(a), solidOfMember(b));
  if (!met) return null;
  const { normal, middle, area } = met;
  const flat = met.axes.map((d, i) => {
    const [from, to] = met.over[i] as Extent;
    const axis = pointing(d);
    return { axis, over: dot(axis, d) > 0 ? ([from, to] as const) : ([-to, -from] as const) };
  });
  return { normal, plane: dot(normal, middle), ...longerFirst(flat), area };
}

/** The same contact seen from the other member. @example turned({ normal: [0, 1, 0], plane: 20 }).plane // -20 */
export function turned(contact: Contact): Contact {
  return { ...contact, normal: scaled(contact.normal, -1), plane: -contact.plane };
}

/**
 * A place by how far it is along the axes of a contact and square to it.
 * @example placeIn({ axes: [[1, 0, 0], [0, 0, 1]], normal: [0, 1, 0] }, 10, 5, 2) // [10, 2, 5]
 */
export function placeIn({ axes, normal }: Contact, lengthwise: number, beside: number, depth: number): Vector {
  return plus(plus(scaled(axes[0], lengthwise), scaled(axes[1], beside)), scaled(normal, depth));
}

/** The middle of a stretch. @example middleOf([2, 6]) // 4 */
export const middleOf = ([low, high]: Extent) => (low + high) / 2;

/**
 * What of a member a direction goes into: the end of its length, its edge, or its face; within 45° of it.
 * @example grainAlong(SHELF, [1, 0, 0]) // 'end'
 */
export function grainAlong({ frame }: Pick<Member, 'frame'>, d: Vector): 'end' | 'edge' | 'face' {
  if (Math.abs(dot(frame.u, d)) > Math.SQRT1_2) return 'end';
  return Math.abs(dot(frame.v, d)) > Math.SQRT1_2 ? 'edge' : 'face';
}

/**
 * How deep a member is from where it is met, square to that, in the middle of it, mm: with the way of the contact (1) or against it (-1).
 * @example depthFrom(SHELF, { normal: [0, 1, 0], plane: 400, over: [[20, 620], [0, 300]] }, 1) // 20
 */
export function depthFrom(member: Member, contact: Contact, way: 1 | -1): number {
  const { normal, plane, over } = contact;
  if (isBlock(member) && axisOf(normal) !== undefined) {
    const [low, high] = reachAlong(member, normal);
    return way === 1 ? high - plane : plane - low;
  }
  const middle = placeIn(contact, middleOf(over[0]), middleOf(over[1]), plane);
  const chords = chordsOf(solidOfMember(member), middle, scaled(normal, way));
  return chords.find(([from, to]) => from < TOUCH && to > TOUCH)?.[1] ?? 0;
}

/** How far a member reaches along its own directions, its ends cut or not, mm. @example ownExtents(SHELF)[0] // [0, 600] */
export function ownExtents(member: Member): Extents {
  const { origin, u, v, n } = placingOf(member);
  const own = (d: Vector): Extent => {
    const [low, high] = reachAlong(member, d);
    const start = dot(d, origin);
    return [low - start, high - start];
  };
  return [own(u), own(v), own(n)];
}
