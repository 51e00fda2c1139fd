import { size, type Figure } from '../figure/index.js';
import { ZERO, add, mm, negative, sub, type Length } from '../length/index.js';
import type { Box, Face, Feature, Fix, Member, Point, Region } from '../piece/index.js';

/** What a joint does to the length of a member that goes between two faces. */
export interface EndAllowance {
  readonly fix: Fix;
  /** How deep it goes into each mate when housed. */
  readonly housing: Length;
  /** What it is short at each end when loose. */
  readonly looseEnd: Length;
}

/**
 * The length of a member between two faces: as it is when butted, more by both housings
 * when housed, less by both ends when loose.
 * @example 575.1 clear, housed 6 deep: 587.1; loose with 1 at each end: 573.1
 */
export function lengthBetween(clear: Figure, { fix, housing, looseEnd }: EndAllowance): Figure {
  if (fix === 'housed') return clear.plus(size('housing', housing).times(2).named('into both housings'));
  if (fix === 'loose' && looseEnd > ZERO) return clear.minus(size('free at an end', looseEnd).times(2).named('free at both ends'));
  return clear;
}

/** How far a member reaches past the clear space at its first end; negative when it stops short. */
export function reachAtEnd({ fix, housing, looseEnd }: EndAllowance): Length {
  if (fix === 'housed') return housing;
  return fix === 'loose' ? negative(looseEnd) : ZERO;
}

/** A place of the piece in the u and v of a member. */
function onFace(member: Member, x: Length, y: Length, z: Length): Point {
  const { origin, u, v } = member.frame;
  const [dx, dy, dz] = [x - origin.x, y - origin.y, z - origin.z];
  const along = (d: readonly [number, number, number]) => Math.round(d[0] * dx + d[1] * dy + d[2] * dz) as Length;
  return { u: along(u), v: along(v) };
}

/** The part of a member's face that a box of the piece covers, kept inside the member. */
function regionOn(member: Member, box: Box): Region {
  const a = onFace(member, box.x0, box.y0, box.z0);
  const b = onFace(member, box.x1, box.y1, box.z1);
  const clamp = (l: number, most: Length) => Math.min(Math.max(l, 0), most) as Length;
  return {
    u0: clamp(Math.min(a.u, b.u), member.length.value),
    u1: clamp(Math.max(a.u, b.u), member.length.value),
    v0: clamp(Math.min(a.v, b.v), member.width.value),
    v1: clamp(Math.max(a.v, b.v), member.width.value),
  };
}

/** A housing, groove or rebate in a member for the part of a mate that lies in `box`. */
export function recess(kind: 'housing' | 'groove' | 'rebate', into: Member, face: Face, mate: string, box: Box, depth: Length): Feature {
  return { kind, face, region: regionOn(into, box), depth, mate };
}

/** Shelf pins: 5 mm, 10 mm deep, 37 mm from the front and the rear of the shelf. */
export const PIN = { diameter: mm(5), depth: mm(10), fromEdge: mm(37) } as const;

/** The two pin holes in a member for one end of a loose shelf whose underside is at the bottom of `box`. */
export function pinHoles(into: Member, face: Face, mate: string, box: Box): readonly Feature[] {
  const y = sub(box.y0, (PIN.diameter / 2) as Length);
  const inset = Math.min(PIN.fromEdge, (box.z1 - box.z0) / 4) as Length;
  return [add(box.z0, inset), sub(box.z1, inset)].map((z) => ({
    kind: 'hole' as const,
    face,
    at: onFace(into, box.x0, y, z),
    diameter: PIN.diameter,
    depth: PIN.depth,
    mate,
  }));
}
