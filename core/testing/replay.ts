import { groupsOf } from '../build/groups.js';
import { toMm } from '../length/index.js';
import { boxOf, placingOf, solidOfMember, type Box, type Member } from '../piece/index.js';
import type { Solution } from '../solution/index.js';
import { dot, isIn, minus, plus, scaled, type Vector } from '../solid/index.js';

/** So far in the wood of another is play, mm. */
const DEEP = 1;

/** Whether a place lies in the wood of a member, so far in: in its solid, and in nothing that is cut into it. */
function isWood(m: Member, place: Vector): boolean {
  if (!isIn(solidOfMember(m), place, DEEP)) return false;
  const { origin, u, v, n } = placingOf(m);
  const from = minus(place, origin);
  const [a, b, c] = [dot(from, u), dot(from, v), dot(from, n)];
  const thick = toMm(m.thickness.value);
  return !m.features.some((f) => {
    if (f.kind === 'hole') return false;
    const { u0, u1, v0, v1 } = f.region;
    const deep = Math.min(thick, toMm(f.depth));
    const [low, high] = f.face === 'up' ? [thick - deep, thick] : [0, deep];
    const within = (at: number, from: number, to: number) => at > from - DEEP && at < to + DEEP;
    return within(a, toMm(u0), toMm(u1)) && within(b, toMm(v0), toMm(v1)) && within(c, low, high);
  });
}

const PARTS = [0.02, 0.2, 0.5, 0.8, 0.98];

/** Places in the wood of a member: some along each of its own directions, and near its corners. */
function placesIn(m: Member): readonly Vector[] {
  const { origin, u, v, n } = placingOf(m);
  const [l, w, t] = [m.length.value, m.width.value, m.thickness.value].map(toMm) as [number, number, number];
  return PARTS.flatMap((i) =>
    PARTS.flatMap((j) => [0.1, 0.9].map((k) => plus(plus(plus(origin, scaled(u, i * l)), scaled(v, j * w)), scaled(n, k * t)))),
  ).filter((p) => isWood(m, p));
}

const mmOf = ({ x0, x1, y0, y1, z0, z1 }: Box) => [x0, y0, z0, x1, y1, z1].map(toMm);

/** Whether a member, so far back on its way, has wood where another has. */
function runsInto(m: Member, places: readonly Vector[], back: Vector, other: Member): boolean {
  const [a, b] = [mmOf(boxOf(m)), mmOf(boxOf(other))];
  const near = [0, 1, 2].every((k) => {
    const by = back[k as 0 | 1 | 2];
    return (a[k] as number) + by < (b[k + 3] as number) && (b[k] as number) < (a[k + 3] as number) + by;
  });
  if (!near) return false;
  const here = placesIn(other);
  return places.some((p) => isWood(other, plus(p, back))) || here.some((p) => isWood(m, minus(p, back)));
}

/**
 * What runs into what where the parts of a piece go in, group by group, each along its way, in steps of some mm: told by places in the
 * wood of each, apart from the solids that the order is found by.
 */
export function collisions(s: Solution, step: number): readonly string[] {
  const standing: Member[] = [];
  const found: string[] = [];
  for (const { stage, each, goesIn } of groupsOf(s, 'bottom up')) {
    // What is hung, tilted or fitted goes by no straight way.
    const apart = stage === 'frames' || stage === 'moving';
    for (const some of apart ? each : [each.flat()]) {
      const there = apart ? [] : standing;
      const units = [...new Set(some.map((m) => goesIn.get(m.id)))];
      for (const one of units) {
        const fresh = (one?.unit ?? []).filter((m) => !there.includes(m));
        if (one?.way)
          for (const m of fresh) {
            const places = placesIn(m);
            for (let by = 0; by <= 400; by += step)
              for (const other of there)
                if (runsInto(m, places, scaled(one.way, -by), other)) found.push(`${m.label} at ${by} into ${other.label}`);
          }
        there.push(...fresh);
      }
    }
  }
  return found;
}

/** What no straight way in was found for, by what each is called. */
export const shutOut = (s: Solution): readonly string[] =>
  groupsOf(s, 'bottom up').flatMap((g) =>
    [...new Set(g.goesIn.values())].flatMap((u) => (u.way === null && u.barredBy.length > 0 ? [u.unit.map((m) => m.label).join()] : [])),
  );
