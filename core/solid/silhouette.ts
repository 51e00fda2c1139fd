import { cornersOf } from './profile.js';
import { placeOf, type Solid } from './solid.js';
import { cross, dot, type Vector } from './vector.js';

/** A point of a view, mm: to the right, and up. */
export type Flat = readonly [x: number, y: number];

const turn = ([ax, ay]: Flat, [bx, by]: Flat, [cx, cy]: Flat) => (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);

/**
 * The least convex loop round some points, left round (Andrew's monotone chain).
 * @example hullOf([[0, 0], [2, 0], [1, 1], [2, 2], [0, 2]]).length // 4
 */
export function hullOf(points: readonly Flat[]): readonly Flat[] {
  const sorted = [...points].sort(([ax, ay], [bx, by]) => ax - bx || ay - by);
  const half = (all: readonly Flat[]) => {
    const chain: Flat[] = [];
    for (const p of all) {
      while (chain.length > 1 && turn(chain.at(-2) as Flat, chain.at(-1) as Flat, p) <= 1e-9) chain.pop();
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

/**
 * What one sees of a solid, as loops: its outline with its holes where it is seen square to its broad face and no end
 * is cut aslant, else the convex loop round all of it, which is exact for what bulges nowhere inwards.
 * @param right and `up` of the view, square to each other and of length 1
 * @example silhouetteOf(CUBE, [1, 0, 0], [0, 1, 0])[0].length // 4
 */
export function silhouetteOf({ form, bodies }: Solid, right: Vector, up: Vector): readonly (readonly Flat[])[] {
  const flat = (p: Vector): Flat => [dot(right, p), dot(up, p)];
  const facing = Math.abs(dot(form.placing.n, cross(right, up))) > 1 - 1e-9;
  if (!facing || form.cuts.length > 0) return [hullOf(bodies.flatMap((b) => b.faces.flatMap((f) => f.corners.map(flat))))];
  const { outline, holes } = form.profile;
  return [outline, ...holes].map((loop) => cornersOf(loop).map(([u, v]) => flat(placeOf(form.placing, [u, v, 0]))));
}
