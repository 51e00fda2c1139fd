import type { Piece } from '../../core/piece/index.js';
import { newCase } from './panel-case/begin.js';
import { newFrame } from './frame/begin.js';
import { newFolding } from './folding/begin.js';
import { newLeaning } from './leaning/begin.js';
import { newInPlace } from './in-place/begin.js';
import { newWallBoard } from './wall-board/begin.js';
import { PLACE, onHand } from '../test/filled.js';
import { OF_EVERY_PIECE, asked, projectWith, wired } from '../test/on-bench.js';
import { ShellForm } from './index.js';

const CASE = newCase(onHand('mm'));

test('each control of what is asked of every piece changes what it says', async () => {
  expect(await wired(projectWith(CASE), OF_EVERY_PIECE)).toEqual([
    'Round to → rounding',
    'End clearance → panels.shelves.looseEnd',
    'Shelf setback → panels.shelves.setback',
    'Will be fixed to the wall → fixedToWall',
    'No one will sit, step or kneel on it → noOneOn',
    'No screw heads to be seen outside → noHeads',
    'Rows of pin holes, so that shelves can be moved → panels.shelves.rows',
    '  Between pin holes → panels.shelves.rows.pitch',
    '  Holes over and under a shelf → panels.shelves.rows.each',
    'Shelves fixed: Housed → panels.shelves.fix',
    '  Housing depth → panels.shelves.housing',
    'Shelves fixed: Butted and screwed → panels.shelves.fix',
    'Front edges → edges.front, edges.banding',
    '  Edging thick → edges.banding',
    'What is rounded → rounding',
    'Leftover → rounding',
    'Shelves of → panels.stock.shelves',
    'Dividers of → panels.stock.dividers',
    'Shelves fixed: what each costs → nothing',
  ]);
}, 120_000);

const OF_LOOSE_SHELVES = ['End clearance', 'Rows of pin holes, so that shelves can be moved'];

test.each<[string, Piece, readonly string[]]>([
  ['a case', CASE, []],
  ['a frame', newFrame(onHand('mm')), []],
  ['a place', newInPlace(onHand('mm'), PLACE), []],
  // Begun with housed shelves.
  ['a leaning rack', newLeaning(onHand('mm')), OF_LOOSE_SHELVES],
  // It hangs on the wall whatever is said.
  ['a wall board', newWallBoard(onHand('mm')), [...OF_LOOSE_SHELVES, 'Will be fixed to the wall']],
])('%s is asked all of that but what can not be of it', async (_, piece, lacks) => {
  const of = await asked(projectWith(piece), <ShellForm />);
  expect((await asked(projectWith(CASE), OF_EVERY_PIECE)).filter((label) => !of.includes(label)).sort()).toEqual([...lacks].sort());
});

test('a folding table, in which nothing can be built and which is carried about, is asked neither for shelves nor for the wall', async () => {
  const of = await asked(projectWith(newFolding(onHand('mm'))), <ShellForm />);
  expect((await asked(projectWith(CASE), OF_EVERY_PIECE)).filter((label) => of.includes(label))).toEqual([
    'Round to',
    'No one will sit, step or kneel on it',
    'No screw heads to be seen outside',
    'Front edges',
    'What is rounded',
    'Leftover',
  ]);
  // Said before: it can be taken back.
  const fixed = { ...newFolding(onHand('mm')), fixedToWall: true };
  expect(await asked(projectWith(fixed), <ShellForm />)).toContain('Will be fixed to the wall');
});
