import type { Slats } from '../../../core/interiors/index.js';
import { sizes, widthFor, woodFor, type FillingWay, type Means, type Use } from '../means.js';
import { fillWith } from '../parts.js';

const SLAT = { use: 'slat', label: 'Slats of', thick: [18, 3 / 4], wide: [45, 1.5] } as const satisfies Use;
const SUPPORT = { use: 'bearer', label: 'Supports under them of', thick: [18, 3 / 4], wide: [40, 1.5] } as const satisfies Use;

/** Slats with supports under them. */
function usualSlats(means: Means): Slats {
  const s = sizes(means.unit);
  return {
    kind: 'slats',
    stock: woodFor(means, SLAT),
    wide: widthFor(means, SLAT),
    ends: 'flush',
    supports: { stock: woodFor(means, SUPPORT), count: 2, wide: widthFor(means, SUPPORT), inset: s(60, 2.5), trim: s(20, 3 / 4) },
  };
}

/** A slat with its gap takes up so many times its width. */
const WITH_GAP = 1.5;

export const slatsFilling: FillingWay = {
  id: 'slats',
  label: 'A deck of slats',
  uses: () => [SLAT, SUPPORT],
  fill: (piece, space, means) => {
    const making = usualSlats(means);
    const slats = Math.max(3, Math.floor(means.clear.depth / (making.wide * WITH_GAP)));
    return fillWith(piece, space, { axis: 'deep', making, parts: slats - 1, members: slats - 2 });
  },
};
