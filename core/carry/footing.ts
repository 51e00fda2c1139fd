import { toMm } from '../length/index.js';
import { FLOOR, solidOfMember, type Member, type Shape } from '../piece/index.js';
import { placesOf } from '../solid/index.js';

/** A place on the floor, mm from the left and from the rear. */
export type OnFloor = readonly [x: number, z: number];

/** A line that a piece may tip about, which way it goes over, and how far out that way the line is, mm. */
export interface TipLine {
  readonly to: 'front' | 'rear' | 'left' | 'right';
  readonly out: OnFloor;
  readonly at: number;
}

/** Nearer to the floor than this is on it, mm. */
const ON_IT = 1;

/** Where the members of a piece stand on the floor: the corners of their lowest faces, or of the feet under them. */
function placesOnFloor({ joints, feet = [] }: Pick<Shape, 'joints' | 'feet'>, members: readonly Member[]): readonly OnFloor[] {
  const standing = new Set(joints.flatMap((j) => (j.carrier === FLOOR ? [j.carried] : [])));
  const under = new Map(feet.map((f) => [f.under, f.box]));
  return members
    .filter((m) => standing.has(m.id))
    .flatMap((m): OnFloor[] => {
      const box = under.get(m.id);
      if (box) return [box.x0, box.x1].flatMap((x) => [box.z0, box.z1].map((z): OnFloor => [toMm(x), toMm(z)]));
      const places = solidOfMember(m).bodies.flatMap((b) => placesOf(b));
      const low = Math.min(...places.map(([, y]) => y));
      return places.flatMap(([x, y, z]): OnFloor[] => (y < low + ON_IT ? [[x, z]] : []));
    });
}

/** The convex loop round some places, the front on the left hand as one goes to the right (Andrew's monotone chain). */
function loopRound(places: readonly OnFloor[]): readonly OnFloor[] {
  const sorted = [...places].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const chain = (all: readonly OnFloor[]) => {
    const kept: OnFloor[] = [];
    for (const p of all) {
      for (let [a, b] = [kept.at(-2), kept.at(-1)]; a && b; [a, b] = [kept.at(-2), kept.at(-1)]) {
        if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 1e-6) break;
        kept.pop();
      }
      kept.push(p);
    }
    return kept.slice(0, -1);
  };
  return [...chain(sorted), ...chain(sorted.toReversed())];
}

/**
 * The lines that a piece may tip about: the sides of the least loop round all that it stands on; none where it does not stand.
 * @example tipLines(SOLVED.shape, SOLVED.shape.members).map((l) => l.to) // ['rear', 'right', 'front', 'left']
 */
export function tipLines(shape: Pick<Shape, 'joints' | 'feet'>, members: readonly Member[]): readonly TipLine[] {
  const loop = loopRound(placesOnFloor(shape, members));
  return loop.flatMap((a, i): TipLine[] => {
    const b = loop[(i + 1) % loop.length] as OnFloor;
    const [dx, dz] = [b[0] - a[0], b[1] - a[1]];
    const long = Math.hypot(dx, dz);
    if (long < ON_IT) return [];
    const out: OnFloor = [dz / long, -dx / long];
    const to = Math.abs(out[0]) > Math.abs(out[1]) ? (out[0] > 0 ? 'right' : 'left') : out[1] > 0 ? 'front' : 'rear';
    return [{ to, out, at: a[0] * out[0] + a[1] * out[1] }];
  });
}
