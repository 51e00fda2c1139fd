import { CLOSE, cutBy, edgesOf, extentOf, isBox, type Convex, type Plane } from './convex.js';
import { cross, dot, scaled, unit, type Vector } from './vector.js';

/**
 * What convex bodies keep where the room within some planes is taken out of them.
 * @example without(CUBE.bodies, [{ normal: [1, 0, 0], at: 4 }]).length // 1
 */
export function without(bodies: readonly Convex[], planes: readonly Plane[]): readonly Convex[] {
  return bodies.flatMap((body) => {
    const kept: Convex[] = [];
    let rest: Convex | null = body;
    for (const plane of planes) {
      const outside = cutBy(rest, { normal: scaled(plane.normal, -1), at: -plane.at });
      if (outside) kept.push(outside);
      rest = cutBy(rest, plane);
      if (!rest) break;
    }
    return kept;
  });
}

/** The directions that may separate what a body passes through on its way from another body. */
function* separating(a: Convex, b: Convex, way: Vector): Generator<Vector> {
  for (const { normal } of [...a.faces, ...b.faces]) yield normal;
  if (isBox(a) && isBox(b) && way.some((c) => Math.abs(c) > 1 - CLOSE)) return;
  const [own, others] = [edgesOf(a), edgesOf(b)];
  for (const e of [...own, way])
    for (const f of others) {
      const d = unit(cross(e, f));
      if (d) yield d;
    }
  for (const e of own) {
    const d = unit(cross(e, way));
    if (d) yield d;
  }
}

/**
 * By how much a convex body that goes along a direction for good comes into another one, mm (separating axes of the room that it passes
 * through); 0 where it passes by.
 * @example metAlong(CUBE.bodies[0], CUBE_ON.bodies[0], [1, 0, 0]) // 10
 */
export function metAlong(a: Convex, b: Convex, way: Vector): number {
  let least = Infinity;
  for (const d of separating(a, b, way)) {
    const [[a0, a1], [b0, b1]] = [extentOf(a, d), extentOf(b, d)];
    const along = dot(d, way);
    const shared = along > CLOSE ? b1 - a0 : along < -CLOSE ? a1 - b0 : Math.min(a1 - b0, b1 - a0);
    least = Math.min(least, shared);
    if (least <= 0) return 0;
  }
  return least;
}
