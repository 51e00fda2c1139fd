import { toMm } from '../length/index.js';
import { FLOOR, solidOfMember, type Member, type Shape } from '../piece/index.js';
import { hullOf, placesOf, type Flat } from '../solid/index.js';

/** A line that a piece may tip about, which way it goes over, and how far out that way the line is, mm. */
export interface TipLine {
  readonly to: 'front' | 'rear' | 'left' | 'right';
  readonly out: Flat;
  readonly at: number;
}

/** Nearer to the floor than this is on it, mm. */
const ON_IT = 1;

/** Where the members of a piece stand on the floor: the corners of their lowest faces, or of the feet under them. */
function placesFlat({ joints, feet = [] }: Pick<Shape, 'joints' | 'feet'>, members: readonly Member[]): readonly Flat[] {
  const standing = new Set(joints.flatMap((j) => (j.carrier === FLOOR ? [j.carried] : [])));
  const under = new Map(feet.map((f) => [f.under, f.box]));
  return members
    .filter((m) => standing.has(m.id))
    .flatMap((m): Flat[] => {
      const box = under.get(m.id);
      if (box) return [box.x0, box.x1].flatMap((x) => [box.z0, box.z1].map((z): Flat => [toMm(x), toMm(z)]));
      const places = solidOfMember(m).bodies.flatMap((b) => placesOf(b));
      const low = Math.min(...places.map(([, y]) => y));
      return places.flatMap(([x, y, z]): Flat[] => (y < low + ON_IT ? [[x, z]] : []));
    });
}

/**
 * The lines that a piece may tip about: the sides of the least loop round all that it stands on; none where it does not stand.
 * @example tipLines(SOLVED.shape, SOLVED.shape.members).map((l) => l.to) // ['rear', 'right', 'front', 'left']
 */
export function tipLines(shape: Pick<Shape, 'joints' | 'feet'>, members: readonly Member[]): readonly TipLine[] {
  const loop = hullOf(placesFlat(shape, members));
  return loop.flatMap((a, i): TipLine[] => {
    const b = loop[(i + 1) % loop.length] as Flat;
    const [dx, dz] = [b[0] - a[0], b[1] - a[1]];
    const long = Math.hypot(dx, dz);
    if (long < ON_IT) return [];
    const out: Flat = [dz / long, -dx / long];
    const to = Math.abs(out[0]) > Math.abs(out[1]) ? (out[0] > 0 ? 'right' : 'left') : out[1] > 0 ? 'front' : 'rear';
    return [{ to, out, at: a[0] * out[0] + a[1] * out[1] }];
  });
}
