import type { Cells } from '../../../core/interiors/index.js';
import type { Length } from '../../../core/length/index.js';
import { sizes, woodFor, type FillingWay, type Means, type Use } from '../means.js';

const WALL = { use: 'wall', label: 'Half-lapped boards of', thick: [9, 3 / 8], broad: [280, 11] } as const satisfies Use;
const UPRIGHT = { use: 'upright', label: 'Uprights of', thick: [20, 3 / 4], broad: [180, 7] } as const satisfies Use;
const SUPPORT = { use: 'support', label: 'Supports of', thick: [17, 3 / 4], wide: [20, 3 / 4] } as const satisfies Use;

/** Half-lapped pigeon-holes, or a rack of ladders, for the first of the things. */
function usualCells(means: Means, make: 'half-lapped' | 'ladders'): Cells {
  const s = sizes(means.unit);
  const [thing] = means.things;
  if (!thing) throw new Error('there are no things yet; say what the cells are to hold first');
  const uprights = woodFor(means, UPRIGHT);
  const board = means.stock.find((r) => r.id === uprights)?.data.width ?? means.clear.depth;
  const deep = Math.min(means.clear.depth, board) as Length;
  return {
    kind: 'cells',
    thing: thing.id,
    free: s(8, 5 / 16),
    make:
      make === 'half-lapped'
        ? { kind: 'half-lapped', stock: woodFor(means, WALL) }
        : {
            kind: 'ladders',
            upright: { stock: uprights, deep },
            support: { stock: woodFor(means, SUPPORT), long: deep, wide: s(20, 3 / 4), spares: 6 },
          },
    blocked: [],
    features: [],
  };
}

export const pigeonHoles: FillingWay = {
  id: 'pigeon-holes',
  label: 'Pigeon-holes, half-lapped boards',
  uses: () => [WALL],
  needsThing: true,
  fill: (_, space, means) => ({ kind: 'fill', space, filling: usualCells(means, 'half-lapped') }),
};

export const rack: FillingWay = {
  id: 'rack',
  label: 'A rack of equal cells',
  uses: () => [UPRIGHT, SUPPORT],
  needsThing: true,
  fill: (_, space, means) => ({ kind: 'fill', space, filling: usualCells(means, 'ladders') }),
};
