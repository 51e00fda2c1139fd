import { ZERO, inch } from '../../core/length/index.js';
import { asDegrees } from '../../core/measures/index.js';
import type { Piece } from '../../core/piece/index.js';
import { EASED, overall, panels, space } from './panels.js';

/** Shelves for thread and wax, housed in two boards that lean on the wall. */
const threadLadder: Piece = {
  name: 'Thread ladder',
  shell: 'leaning',
  width: overall(28),
  height: overall(70),
  depth: overall(12),
  sides: { stock: 'pine-1x6', wide: inch(5.5), lean: { by: 'angle', degrees: asDegrees(12), along: inch(72) } },
  panels: panels('housed', ZERO),
  edges: EASED,
  fixedToWall: true,
  noOneOn: true,
  interior: space('ladder', {
    split: {
      axis: 'up',
      members: [
        { id: 'shelf-1' },
        { id: 'shelf-2', deep: inch(10.5) },
        { id: 'shelf-3', deep: inch(9) },
        { id: 'shelf-4', deep: inch(7.5) },
      ],
      spaces: [
        space('under'),
        space('space-1'),
        space('space-2'),
        space('space-3'),
        space('over', { rule: { kind: 'share', weight: 0.5 } }),
      ],
    },
  }),
};

/** A mat of cedar that wet sheets drain on. */
const drainMat: Piece = {
  name: 'Drain mat',
  shell: 'in-place',
  place: 'The sink board',
  width: overall(36),
  height: overall(4),
  depth: overall(22),
  panels: panels('loose', ZERO),
  edges: EASED,
  fixedToWall: true,
  noOneOn: true,
  interior: space('mat', {
    split: {
      axis: 'deep',
      making: {
        kind: 'slats',
        stock: 'cedar-1x2',
        wide: inch(1.5),
        ends: 'flush',
        supports: { stock: 'cedar-1x2', count: 2, wide: inch(1.5), inset: inch(2.5), trim: inch(3 / 4) },
      },
      members: Array.from({ length: 10 }, (_, i) => ({ id: `slat-${i + 1}` })),
      spaces: Array.from({ length: 11 }, (_, i) => space(`gap-${i + 1}`)),
    },
  }),
};

export const RACKS = { 'thread-ladder': threadLadder, 'drain-mat': drainMat };
