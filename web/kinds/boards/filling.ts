import type { Boards } from '../../../core/interiors/index.js';
import { ZERO, sub, type Length } from '../../../core/length/index.js';
import { sizes, woodFor, type FillingWay, type Means, type Use } from '../means.js';
import { fillWith } from '../parts.js';

const BOARD = { use: 'board', label: 'Boards of', thick: [12, 1 / 2] } as const satisfies Use;

/** Boards for a drawer or a tray, as high as goes under its upper edge. */
function usualBoards(means: Means): Boards {
  const s = sizes(means.unit);
  const most = sub(means.clear.height, s(10, 3 / 8));
  return {
    kind: 'boards',
    stock: woodFor(means, BOARD),
    high: Math.max(s(20, 3 / 4), Math.min(s(80, 3), most)) as Length,
    ends: true,
    fit: s(0.5, 1 / 64),
    channel: ZERO,
    glued: false,
  };
}

export const boardsFilling: FillingWay = {
  id: 'lanes',
  label: 'Boards on edge: lanes, compartments',
  uses: () => [BOARD],
  fill: (piece, space, means) => fillWith(piece, space, { axis: 'deep', making: usualBoards(means), parts: 2, members: 1 }),
};
