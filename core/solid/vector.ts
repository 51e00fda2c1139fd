import { radians, type Degrees } from '../measures/index.js';
/** A place or a direction in the piece, mm: x across, y up, z out from the rear. */
export type Vector = readonly [x: number, y: number, z: number];

/** The scalar product. @example dot([1, 2, 3], [4, 5, 6]) // 32 */
export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/** @example plus([1, 2, 3], [4, 5, 6]) // [5, 7, 9] */
export const plus = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
/** The first less the second. @example minus([4, 5, 6], [1, 2, 3]) // [3, 3, 3] */
export const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
/** @example scaled([1, 2, 3], 2) // [2, 4, 6] */
export const scaled = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];
/** The vector product, right-handed. @example cross([1, 0, 0], [0, 1, 0]) // [0, 0, 1] */
export const cross = (a: Vector, b: Vector): Vector => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
/** How long a vector is. @example sizeOf([3, 4, 12]) // 13 */
export const sizeOf = ([x, y, z]: Vector): number => Math.sqrt(x * x + y * y + z * z);

/** A direction of length 1; null for one that has no length. @example unit([0, 0, 5]) // [0, 0, 1] */
export function unit(a: Vector): Vector | null {
  const size = sizeOf(a);
  return size < 1e-9 ? null : scaled(a, 1 / size);
}

/**
 * A place turned about an axis through `at`, by degrees, right-handed (Rodrigues' formula).
 * @example turned([1, 0, 0], [0, 0, 0], [0, 0, 1], asDegrees(180))[0] // -1
 */
export function turned(place: Vector, at: Vector, axis: Vector, degrees: Degrees): Vector {
  const [sin, cos] = [Math.sin(radians(degrees)), Math.cos(radians(degrees))];
  const arm = minus(place, at);
  const along = scaled(axis, dot(axis, arm) * (1 - cos));
  return plus(at, plus(plus(scaled(arm, cos), scaled(cross(axis, arm), sin)), along));
}
