import { ZERO, inch } from '../../core/length/index.js';
import type { Level } from '../../core/interiors/index.js';
import type { Piece } from '../../core/piece/index.js';
import { EASED, PLY, overall, panels, space } from './panels.js';

const rails: Level['rails'] = { stock: 'fir-2x4', wide: inch(3.5), front: true, rear: true, left: true, right: true };

/** A stand of 2 x 4 for the board cutter, with a shelf under it. */
const cutterStand: Piece = {
  name: 'Cutter stand',
  shell: 'frame',
  width: overall(36),
  height: overall(32),
  depth: overall(24),
  posts: { stock: 'fir-2x4', wide: inch(3.5), turned: 'across' },
  joined: 'between',
  through: 'across',
  top: {
    level: { rails, deck: { stock: PLY, goes: 'over', gap: ZERO } },
    over: { front: inch(1 / 2), rear: inch(1 / 2), left: inch(1 / 2), right: inch(1 / 2) },
    things: [{ thing: 'cutter', count: 1 }],
  },
  sheets: { rear: { stock: 'ply-1-2' }, ends: { stock: 'ply-1-2' } },
  panels: panels('housed', ZERO),
  edges: EASED,
  fixedToWall: false,
  noOneOn: true,
  interior: space('under-cutter', {
    split: {
      axis: 'up',
      making: { kind: 'levels', level: { rails, deck: { stock: 'ply-1-2', goes: 'round', gap: inch(1 / 32) } } },
      members: [],
      spaces: [space('offcut-boards', { things: [{ thing: 'ream', count: 6 }] })],
    },
  }),
};

/** A table that folds flat, for sewing by the window. */
const sewingTable: Piece = {
  name: 'Sewing table',
  shell: 'folding',
  width: overall(22),
  height: overall(25),
  depth: overall(18),
  top: { stock: PLY, between: inch(5 / 8), margin: inch(3 / 4) },
  legs: { stock: 'pine-1x2', wide: inch(1.5), round: inch(3 / 4), over: inch(21), spacer: inch(1 / 16), apart: inch(15) },
  pivot: { below: inch(7 / 8), pin: inch(5 / 16) },
  bars: { stock: 'pine-1x3', wide: inch(2.5) },
  stretchers: { stock: 'pine-1x6', wide: inch(5.5), up: inch(4) },
  panels: panels('loose', ZERO),
  edges: EASED,
  fixedToWall: false,
  noOneOn: true,
  interior: space('under-table'),
};

export const FRAMES = { 'cutter-stand': cutterStand, 'sewing-table': sewingTable };
