import { CLOSE } from './convex.js';
import type { Stretch } from './contact.js';
import type { Solid } from './solid.js';
import { dot, minus, type Vector } from './vector.js';

/**
 * Where a straight line is in a solid: from where to where along it, mm from the place that it goes through, in order.
 * What touches is one stretch.
 * @param direction of length 1
 * @example chordsOf(CUBE, [0, 5, 5], [1, 0, 0]).length // 1
 */
export function chordsOf({ bodies }: Solid, through: Vector, direction: Vector): readonly Stretch[] {
  const parts = bodies.flatMap(({ faces }): Stretch[] => {
    let [from, to] = [-Infinity, Infinity];
    for (const { normal, corners } of faces) {
      const out = dot(normal, direction);
      const inside = dot(normal, minus(corners[0] as Vector, through));
      if (Math.abs(out) < 1e-12) {
        if (inside < -CLOSE) return [];
      } else if (out > 0) to = Math.min(to, inside / out);
      else from = Math.max(from, inside / out);
    }
    return to - from > CLOSE ? [[from, to]] : [];
  });
  return parts
    .sort(([a], [b]) => a - b)
    .reduce<readonly Stretch[]>((done, [from, to]) => {
      const last = done.at(-1);
      if (!last || from > last[1] + CLOSE) return [...done, [from, to]];
      return [...done.slice(0, -1), [last[0], Math.max(last[1], to)]];
    }, []);
}
