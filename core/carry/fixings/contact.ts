import { toMm } from '../../length/index.js';
import { boxOf, type Member } from '../../piece/index.js';

/** An axis of the piece: across, up, out. */
export type AxisIndex = 0 | 1 | 2;

/** From one place to another along an axis, mm. */
export type Extent = readonly [low: number, high: number];

/** How two members meet face to face. */
export interface Contact {
  /** Square to the plane that they meet in. */
  readonly axis: AxisIndex;
  /** The way from the first into the second along it. */
  readonly way: 1 | -1;
  /** Where along the axis they meet, mm. */
  readonly plane: number;
  /** What the two have in common along each axis; nothing along their own. */
  readonly over: readonly [Extent, Extent, Extent];
}

/** How far something reaches along each axis, mm. */
export type Extents = readonly [Extent, Extent, Extent];

/** Members never change, so that how far each reaches is worked out once. */
const known = new WeakMap<Member, Extents>();

/** How far a member reaches along each axis, mm. */
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

/** Whether a member lies square to the piece, so that its box is its body. */
export function isSquare({ frame }: Member): boolean {
  return [frame.u, frame.v].every((d) => d.some((part) => Math.abs(part) > 1 - 1e-9));
}

/** Faces closer to each other than this touch, mm. */
const TOUCH = 0.05;

/** Whether a member lies in a rebate of another one. */
export function inRebate(member: Member, of: Member): boolean {
  return of.features.some((f) => f.kind === 'rebate' && f.mate === member.id);
}

/** The axis through the thickness of a member that lies square. */
function thicknessAxis({ frame }: Member): AxisIndex {
  return AXES.find((k) => Math.abs(frame.n[k]) > Math.SQRT1_2) ?? 1;
}

/** What lies in a rebate meets what is behind it there, through its own thickness. */
function rebated(lying: Extents, axis: AxisIndex, of: Extents, over: Extents): Contact {
  const way = lying[axis][0] + lying[axis][1] < of[axis][0] + of[axis][1] ? 1 : -1;
  return { axis, way, plane: way === 1 ? lying[axis][1] : lying[axis][0], over };
}

/** Where two members that lie square meet; null where they do not. */
export function contactOf(a: Member, b: Member): Contact | null {
  if (!isSquare(a) || !isSquare(b)) return null;
  const [as, bs] = [extentsOf(a), extentsOf(b)];
  const over = AXES.map((k): Extent => [Math.max(as[k][0], bs[k][0]), Math.min(as[k][1], bs[k][1])]) as [Extent, Extent, Extent];
  const shared = over.map(([low, high]) => high - low);
  if (shared.every((l) => l > TOUCH)) {
    if (inRebate(a, b)) return rebated(as, thicknessAxis(a), bs, over);
    return inRebate(b, a) ? turned(rebated(bs, thicknessAxis(b), as, over)) : null;
  }
  const axis = AXES.find((k) => Math.abs(shared[k] as number) <= TOUCH);
  if (axis === undefined || AXES.some((k) => k !== axis && (shared[k] as number) <= TOUCH)) return null;
  const way = as[axis][0] + as[axis][1] < bs[axis][0] + bs[axis][1] ? 1 : -1;
  return { axis, way, plane: way === 1 ? as[axis][1] : as[axis][0], over };
}

/** The same contact seen from the other member. */
export function turned(contact: Contact): Contact {
  return { ...contact, way: contact.way === 1 ? -1 : 1 };
}

/** What of a member an axis goes into: the end of its length, its edge, or its face. */
export function grainAlong({ frame }: Pick<Member, 'frame'>, axis: AxisIndex): 'end' | 'edge' | 'face' {
  if (Math.abs(frame.u[axis]) > Math.SQRT1_2) return 'end';
  return Math.abs(frame.v[axis]) > Math.SQRT1_2 ? 'edge' : 'face';
}

/** How deep a member is from where it is met, along the axis, mm. */
export function depthFrom(member: Member, { axis, plane }: Contact, way: 1 | -1): number {
  const [low, high] = extentsOf(member)[axis];
  return way === 1 ? high - plane : plane - low;
}
