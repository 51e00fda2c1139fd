import { size, type Figure } from '../figure/index.js';
import { ZERO, add, mm, negative, sub, toMm, type Length } from '../length/index.js';
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

/**
 * How far a member reaches past the clear space at its first end; negative when it stops short.
 * @example reachAtEnd({ fix: 'housed', housing: mm(6), looseEnd: mm(1) }) // mm(6)
 */
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

/** Where what is level lies on a face that leans: between two lines that go on along the member for each step across it. */
function aslant(into: Member, box: Box): { readonly region: Region; readonly slant: number } {
  const { origin, u, v } = into.frame;
  const slant = -v[1] / u[1];
  const at = (y: Length, across: Length) => Math.round((y - origin.y) / u[1] + slant * across);
  const across = [box.z0, box.z1].flatMap((z) => [box.y0, box.y1].map((y) => onFace(into, box.x0, y, z).v));
  const clamp = (l: number, most: Length) => Math.min(Math.max(l, 0), most) as Length;
  const [v0, v1] = [clamp(Math.min(...across), into.width.value), clamp(Math.max(...across), into.width.value)];
  const ends = [box.y0, box.y1].flatMap((y) => [at(y, v0), at(y, v1)]);
  const [u0, u1] = [clamp(Math.min(...ends), into.length.value), clamp(Math.max(...ends), into.length.value)];
  return { region: { u0, u1, v0, v1 }, slant };
}

/**
 * How long a recess is along its member, at either edge of it: less than its region where it lies aslant.
 * @example recessAlong({ region: { u0: mm(10), u1: mm(30), v0: mm(0), v1: mm(300) } }) // mm(20)
 */
export function recessAlong({
  region: { u0, u1, v0, v1 },
  slant = 0,
}: Pick<Extract<Feature, { region: Region }>, 'region' | 'slant'>): Length {
  return Math.round(u1 - u0 - Math.abs(slant) * (v1 - v0)) as Length;
}

/**
 * How wide a recess across a member is square to the way it runs, as a saw or a bit cuts it.
 * @example recessWide({ region: { u0: mm(0), u1: mm(50), v0: mm(0), v1: mm(40) }, slant: 0.75 }) // mm(16)
 */
export const recessWide = (recess: Parameters<typeof recessAlong>[0]): Length =>
  Math.round(recessAlong(recess) / Math.hypot(1, recess.slant ?? 0)) as Length;

/**
 * The corners of what is cut into a face, one after the other, mm along u and v.
 * @example recessCorners({ region: { u0: mm(0), u1: mm(20), v0: mm(0), v1: mm(300) } })[2] // [20, 300]
 */
export function recessCorners({
  region,
  slant = 0,
}: Pick<Extract<Feature, { region: Region }>, 'region' | 'slant'>): readonly (readonly [number, number])[] {
  const [u0, u1, v0, v1] = [region.u0, region.u1, region.v0, region.v1].map(toMm) as [number, number, number, number];
  const by = slant * (v1 - v0);
  const [low, high] = [u0 - Math.min(0, by), u1 - Math.max(0, by)];
  return [
    [low, v0],
    [high, v0],
    [high + by, v1],
    [low + by, v1],
  ];
}

/**
 * A housing, groove or rebate in a member for the part of a mate that lies in `box`; aslant where the member leans.
 * @example toMm(recess('groove', SHELF, 'upper', 'divider', box(100, 120, 420, 440, 0, 300), mm(6)).region.u1) // 100
 */
export function recess(kind: 'housing' | 'groove' | 'rebate', into: Member, face: Face, mate: string, box: Box, depth: Length): Feature {
  const { u, v } = into.frame;
  if (u[1] !== 0 && v[1] !== 0) return { kind, face, ...aslant(into, box), depth, mate };
  return { kind, face, region: regionOn(into, box), depth, mate };
}

/** Shelf pins: 5 mm, 10 mm deep, 37 mm from the front and the rear of the shelf. */
export const PIN = { diameter: mm(5), depth: mm(10), fromEdge: mm(37) } as const;

/** Rows of pin holes by which a shelf can be moved up and down, and between which heights. */
export interface PinRows {
  readonly pitch: Length;
  /** So many over its own and under it, as far as there is room. */
  readonly each: number;
  readonly from: Length;
  readonly to: Length;
}

/** So much stays clear between the pin of a shelf and what is over or under it, beside the shelf itself. */
const ROOM = mm(30);

/** How far the holes of a row are over the one that is used; those without room are left out. */
function steps({ pitch, each, from, to }: PinRows, { y0, y1 }: Box): readonly number[] {
  const all = Array.from({ length: 2 * each + 1 }, (_, i) => (i - each) * pitch);
  return all.filter((by) => by === 0 || (y0 + by >= from + ROOM && y1 + by <= to - ROOM));
}

/**
 * The pin holes in a member for one end of a loose shelf whose underside is at the bottom of `box`: two, or two rows
 * where it is to be moved.
 * @example pinHoles(SHELF, 'upper', 'shelf', box(100, 120, 420, 440, 0, 300)).length // 2
 */
export function pinHoles(into: Member, face: Face, mate: string, box: Box, rows?: PinRows): readonly Feature[] {
  const inset = Math.min(PIN.fromEdge, (box.z1 - box.z0) / 4) as Length;
  return [add(box.z0, inset), sub(box.z1, inset)].flatMap((z) =>
    (rows ? steps(rows, box) : [0]).map((by) => ({
      kind: 'hole' as const,
      face,
      at: onFace(into, box.x0, (box.y0 + by - PIN.diameter / 2) as Length, z),
      diameter: PIN.diameter,
      depth: PIN.depth,
      mate,
      ...(by === 0 ? {} : { spare: true as const }),
    })),
  );
}
