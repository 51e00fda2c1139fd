import { mm } from '../../core/length/index.js';
import type { Piece, Space } from '../../core/piece/index.js';
import type { WallBoard } from '../../core/shells/index.js';
import type { Placement } from '../../core/things/index.js';
import { PLAIN_EDGES, plainPanels } from './panels.js';
import { space } from './spaces.js';

const given = (size: number) => ({ from: 'given', size: mm(size), of: 'overall' }) as const;

/** A bay of two shelves, the upper one less deep, with what stands on each. */
const bay = (name: string, upper: number, low: readonly Placement[], high: readonly Placement[]): Space =>
  space(name, {
    split: {
      axis: 'up',
      members: [{ id: `${name}-low` }, { id: `${name}-high`, deep: mm(upper) }],
      spaces: [
        space(`${name}-under`, { rule: { kind: 'fixed', size: mm(30) } }),
        space(`${name}-middle`, { things: [...low] }),
        space(`${name}-top`, { things: [...high] }),
      ],
    },
  });

/** The brayer board: shelves between four fins, each of them over a stud, on a board over the ink bench. */
const brayerBoard: WallBoard = {
  name: 'Brayer board',
  shell: 'wall-board',
  opening: 'bench-wall',
  width: given(1560),
  height: given(640),
  depth: given(250),
  board: { stock: 'birch-18', bare: { ends: mm(96), above: mm(60), below: mm(60) }, above: mm(1210), left: mm(12) },
  fins: { stock: 'ash-panel-18', front: 'sloped' },
  panels: plainPanels('ash-panel-18'),
  edges: PLAIN_EDGES,
  rounding: { grid: mm(0.5), set: 'gaps', leftover: 'last' },
  fixedToWall: true,
  noOneOn: true,
  interior: space('board', {
    split: {
      axis: 'across',
      members: [{ id: 'fin-1' }, { id: 'fin-2' }],
      spaces: [
        bay('inks', 130, [{ thing: 'ink-tin', count: 6 }], [{ thing: 'brush-jar', count: 2 }]),
        bay('brayers', 165, [{ thing: 'brayer', count: 4 }], [{ thing: 'sample-book', count: 1 }]),
        bay('wide-brayers', 130, [{ thing: 'brayer', count: 4 }], [{ thing: 'ink-tin', count: 4 }]),
      ],
    },
  }),
};

/** What is screwed to the walls of the print shed. */
export const WALLS: Readonly<Record<string, Piece>> = { 'brayer-board': brayerBoard };
