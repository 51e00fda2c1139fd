import type { Boards } from '../../../core/interiors/index.js';
import { ZERO, least, sub, type Length } from '../../../core/length/index.js';
import { findSpace, type Axis, type Piece } from '../../../core/piece/index.js';
import { sizes, woodFor, type FillingWay, type Means, type Use } from '../means.js';
import { fillWith } from '../parts.js';

const BOARD = { use: 'board', label: 'Boards of', thick: [12, 1 / 2], broad: [80, 3] } as const satisfies Use;

/** The boards round a space that is a lane or a compartment of a layout; null where it is none. */
function boardsRound(piece: Piece, space: string): Boards | null {
  const making = findSpace(piece.interior, space)?.parent?.space.split?.making;
  return making?.kind === 'boards' ? making : null;
}

/** How deep channels are begun: a quarter of the boards, so that a half is left where two meet, and 4 mm at most. */
function channelIn(means: Means, stock: string): Length {
  const most = sizes(means.unit)(4, 5 / 32);
  const thick = means.stock.find((r) => r.id === stock)?.data.thickness;
  return thick === undefined ? most : least([most, Math.round(thick / 4) as Length]);
}

/** Boards for a drawer or a tray, as high as goes under its upper edge; between others, as high as those and in channels of them. */
function usualBoards(piece: Piece, space: string, means: Means): Boards {
  const s = sizes(means.unit);
  const most = sub(means.clear.height, s(10, 3 / 8));
  const stock = woodFor(means, BOARD);
  const round = boardsRound(piece, space);
  if (round) return { ...round, stock, ends: false, fit: ZERO, channel: channelIn(means, round.stock) };
  return {
    kind: 'boards',
    stock,
    high: Math.max(s(20, 3 / 4), Math.min(s(80, 3), most)) as Length,
    ends: true,
    fit: s(0.5, 1 / 64),
    channel: ZERO,
    glued: false,
  };
}

const boardsAlong = (id: string, label: string, axis: Axis): FillingWay => ({
  id,
  label,
  uses: () => [BOARD],
  fill: (piece, space, means) => fillWith(piece, space, { axis, making: usualBoards(piece, space, means), parts: 2, members: 1 }),
});

export const lanesFilling = boardsAlong('lanes', 'Boards from side to side: lanes', 'deep');
export const compartmentsFilling = boardsAlong('compartments', 'Boards from front to back: compartments', 'across');
