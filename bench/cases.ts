import { mm } from '../core/length/index.js';
import type { Piece, Space } from '../core/piece/index.js';
import { PRINT_SHED } from '../demo/print-shed.js';

const share = { kind: 'share', weight: 1 } as const;

/** The ink case with so many bays, no wider than may be saved, and so many spaces in each, bottles in every space. */
export function largeCase(bays: number, spacesPerBay: number): Piece {
  const column = (b: number): Space => ({
    id: `b${b}`,
    rule: share,
    things: [],
    split: {
      axis: 'up',
      members: Array.from({ length: spacesPerBay - 1 }, (_, s) => ({ id: `m${b}x${s}` })),
      spaces: Array.from({ length: spacesPerBay }, (_, s) => ({ id: `s${b}x${s}`, rule: share, things: [{ thing: 'bottle', count: 3 }] })),
    },
  });
  const ink = (PRINT_SHED.pieces['ink-case'] as { piece: Piece }).piece;
  return {
    ...structuredClone(ink),
    name: `${bays} bays of ${spacesPerBay}`,
    width: { from: 'given', size: mm(Math.min(600 * bays, 19_200)), of: 'overall' },
    height: { from: 'given', size: mm(400 * spacesPerBay), of: 'overall' },
    interior: {
      id: 'case',
      rule: share,
      things: [],
      split: {
        axis: 'across',
        members: Array.from({ length: bays - 1 }, (_, b) => ({ id: `d${b}` })),
        spaces: Array.from({ length: bays }, (_, b) => column(b)),
      },
    },
  };
}
