import { add, scale, sub, mm, least, type Length } from '../../length/index.js';
import { boxOf, type Bought, type Foot, type Member } from '../../piece/index.js';
import type { Feet } from './spec.js';

/** No foot is broader than this, mm. */
const BROADEST = mm(60);

/** A foot in the middle under each of some posts. */
export function feetUnder(posts: readonly Member[], { are, high, rated }: Feet): readonly Foot[] {
  return posts.map((post): Foot => {
    const { x0, x1, y0, z0, z1 } = boxOf(post);
    const half = (a: Length, b: Length) => least([scale(sub(b, a), 0.5), scale(BROADEST, 0.5)]);
    const [hx, hz] = [half(x0, x1), half(z0, z1)];
    const [x, z] = [scale(add(x0, x1), 0.5), scale(add(z0, z1), 0.5)];
    return {
      id: `${post.id}/foot`,
      is: are === 'castors' ? 'castor' : 'foot',
      under: post.id,
      box: { x0: sub(x, hx), x1: add(x, hx), y0: sub(y0, high), y1: y0, z0: sub(z, hz), z1: add(z, hz) },
      rated: rated ?? null,
    };
  });
}

/** Feet and castors as they are bought. */
export function feetBought(feet: readonly Foot[], { are, high, rated }: Feet): readonly Bought[] {
  if (feet.length === 0) return [];
  const what = rated === undefined ? are : `${are}, rated for ${rated} kg each`;
  return [{ what: `${what}, high:`, length: high, count: feet.length, each: 'piece' }];
}
