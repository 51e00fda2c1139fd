import { size, type Figure } from '../../figure/index.js';
import { mm, sub, toMm } from '../../length/index.js';
import type { Direction, Fact, Joint, Member, Place, PlacedSpace, Post, Posts } from '../../piece/index.js';
import type { Wood } from '../../project/index.js';
import type { Spot } from '../strip.js';
import type { Brace } from './spec.js';

/** An opening between two posts, with the plane that braces lie in. */
export interface Opening {
  readonly key: string;
  readonly label: string;
  /** Its lower corner at the first post, and the level direction to the second one. */
  readonly corner: readonly [x: number, y: number, z: number];
  readonly level: Direction;
  readonly wide: Figure;
  readonly high: Figure;
  readonly from: Post;
  readonly to: Post;
}

/** A place in an opening, in the piece. */
export function spotIn({ corner: [x, y, z], level }: Opening, [along, up]: Spot): Place {
  return { x: mm(x + level[0] * along), y: mm(y + up), z: mm(z + level[2] * along) };
}

/** Square to the plane of an opening. */
export const outOf = ({ level }: Opening): Direction => (level[2] === 1 ? [-1, 0, 0] : [0, 0, 1]);

/** What stands in one opening. */
export interface Opened {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  readonly facts: readonly Fact[];
}

/** The openings that a brace stands in: at both ends, or along the rear, each between two posts. */
export function openingsOf(spec: Brace, posts: Posts, space: PlacedSpace, wood: Wood): readonly Opening[] {
  const thick = toMm(wood.thickness.value);
  const y = toMm(space.box.y0);
  const { pairs, ring } = posts;
  const high = space.clear.height.named('opening, high');
  if (spec.at === 'rear') {
    return pairs.slice(1).map((right, i): Opening => {
      const [from, to] = [(pairs[i] as (typeof pairs)[number]).rear, right.rear];
      return {
        key: `rear-${i + 1}`,
        label: pairs.length > 2 ? `at the rear, bay ${i + 1}` : 'at the rear',
        corner: [toMm(from.x1), y, toMm(from.z0)],
        level: [1, 0, 0],
        wide: size('between posts', sub(to.x0, from.x1)),
        high,
        from,
        to,
      };
    });
  }
  const [first, last] = [pairs[0], pairs.at(-1)] as [(typeof pairs)[number], (typeof pairs)[number]];
  const wide =
    posts.joined !== 'between'
      ? size('between posts', sub(first.front.z0, first.rear.z1))
      : ring.depth.minus(posts.post.deep.times(2).named('two posts'));
  return (['left', 'right'] as const).map((end): Opening => {
    const pair = end === 'left' ? first : last;
    const x = end === 'left' ? toMm(pair.rear.x0) + thick : toMm(pair.rear.x1);
    return {
      key: end,
      label: `at the ${end}`,
      corner: [x, y, toMm(pair.rear.z1)],
      level: [0, 0, 1],
      wide,
      high,
      from: pair.rear,
      to: pair.front,
    };
  });
}
