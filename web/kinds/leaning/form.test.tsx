import { newLeaning } from '../../data/defaults.js';
import { formWired } from '../../test/on-bench.js';

test('each control of a leaning rack changes what it says', async () => {
  expect(await formWired(newLeaning('mm', 'thick'))).toEqual([
    'Off plumb, degrees → sides.lean.degrees',
    'Sides long, along → sides.lean.along',
    'Sides wide → sides.wide',
    'Head cut plumb at the wall, high → sides.flat',
    'Round to → rounding',
    'Housing depth → panels.shelves.housing',
    'Shelf setback → panels.shelves.setback',
    'Screws through the sides, under plugs → plugs',
    'Free of the wall, on rear legs and feet → legs',
    'A brace over the rear edges → brace',
    'Will be fixed to the wall → fixedToWall',
    'No one will sit, step or kneel on it → noOneOn',
    'No screw heads to be seen outside → noHeads',
    'Shelves fixed: Loose on pins → panels.shelves.fix',
    'Shelves fixed: Butted and screwed → panels.shelves.fix',
    'What is given of the sides → height.size, sides.lean.along',
    'Sides of → sides.stock',
    'Front edges → edges.front, edges.banding',
    'What is rounded → rounding',
    'Leftover → rounding',
    'Shelves of → panels.stock.shelves',
    'Dividers of → panels.stock.dividers',
  ]);
}, 120_000);
