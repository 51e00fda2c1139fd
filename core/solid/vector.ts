/** A place or a direction in the piece, mm: x across, y up, z out from the rear. */
export type Vector = readonly [x: number, y: number, z: number];

export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const plus = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scaled = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];
export const cross = (a: Vector, b: Vector): Vector => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
export const sizeOf = ([x, y, z]: Vector): number => Math.sqrt(x * x + y * y + z * z);

/** A direction of length 1; null for one that has no length. */
export function unit(a: Vector): Vector | null {
  const size = sizeOf(a);
  return size < 1e-9 ? null : scaled(a, 1 / size);
}

/** A place turned about an axis through `at`, by degrees, right-handed (Rodrigues' formula). */
export function turned(place: Vector, at: Vector, axis: Vector, degrees: number): Vector {
  const [sin, cos] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)];
  const arm = minus(place, at);
  const along = scaled(axis, dot(axis, arm) * (1 - cos));
  return plus(at, plus(plus(scaled(arm, cos), scaled(cross(axis, arm), sin)), along));
}
