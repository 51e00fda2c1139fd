import { newFolding } from '../../data/defaults.js';
import { formWired } from '../../test/on-bench.js';

test('each control of a folding table changes what it says', async () => {
  expect(await formWired(newFolding('mm', 'thick'))).toEqual([
    'Left between them → top.between',
    'Left round them → top.margin',
    'Feet apart, hole to hole → legs.apart',
    'Legs wide → legs.wide',
    'Ends past their holes → legs.round',
    'Over both outer legs → legs.over',
    'Spacer between legs → legs.spacer',
    'Pivot below the top → pivot.below',
    'Pins → pivot.pin',
    'Bars wide → bars.wide',
    'Stretchers wide → stretchers.wide',
    'Up the leg from its foot → stretchers.up',
    'Round to → rounding',
    'End clearance → panels.shelves.looseEnd',
    'Shelf setback → panels.shelves.setback',
    'Will be fixed to the wall → fixedToWall',
    'No one will sit, step or kneel on it → noOneOn',
    'No screw heads to be seen outside → noHeads',
    'Rows of pin holes, so that shelves can be moved → panels.shelves.rows',
    'Shelves fixed: Housed → panels.shelves.fix',
    'Shelves fixed: Butted and screwed → panels.shelves.fix',
    'Top of → top.stock',
    'What is given of the legs → legs.apart, legs.degrees',
    'Legs of → legs.stock',
    'Bars of → bars.stock',
    'Stretchers of → stretchers.stock',
    'Between the inner legs → stretchers.rod',
    'Front edges → edges.front, edges.banding',
    'What is rounded → rounding',
    'Leftover → rounding',
    'Shelves of → panels.stock.shelves',
    'Dividers of → panels.stock.dividers',
  ]);
}, 120_000);
