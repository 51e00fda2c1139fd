import { mm } from '../../core/length/index.js';
import type { Piece } from '../../core/piece/index.js';
import type { Folding } from '../../core/shells/index.js';
import { plainPanels } from './panels.js';
import { space } from './spaces.js';

/** The inking table: as large as a tray, a jar and a book ask for, on legs that cross and fold under its top. */
const inkingTable: Folding = {
  name: 'Inking table',
  shell: 'folding',
  width: { from: 'contents' },
  height: { from: 'given', size: mm(640), of: 'overall' },
  depth: { from: 'contents' },
  top: {
    stock: 'birch-18-faced',
    between: mm(15),
    margin: mm(20),
    things: [
      { thing: 'ink-tray', count: 1 },
      { thing: 'brush-jar', count: 1 },
      { thing: 'sample-book', count: 1 },
    ],
  },
  legs: { stock: 'ash-20', wide: mm(45), round: mm(20), over: mm(520), spacer: mm(2), apart: mm(435) },
  pivot: { below: mm(22), pin: mm(8) },
  bars: { stock: 'ash-20', wide: mm(45) },
  stretchers: { stock: 'ash-20', wide: mm(60), up: mm(110) },
  panels: plainPanels('birch-18-faced'),
  edges: { front: 'banded', banding: mm(8) },
  fixedToWall: false,
  noOneOn: true,
  interior: space('inside'),
};

/** What folds in the print shed. */
export const FOLDING: Readonly<Record<string, Piece>> = { 'inking-table': inkingTable };
