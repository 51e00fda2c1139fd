import { newFolding } from './begin.js';
import { formWired } from '../../test/on-bench.js';
import { onHand } from '../../test/filled.js';

test('each control of a folding table changes what it says', async () => {
  expect(await formWired(newFolding(onHand('mm')))).toEqual([
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
    'Top of → top.stock',
    'What is given of the legs → legs.apart, legs.degrees',
    '  From the floor, degrees → legs.degrees',
    'Legs of → legs.stock',
    'Bars of → bars.stock',
    'Stretchers of → stretchers.stock',
    'Between the inner legs → stretchers.rod',
    '  Rod thick → stretchers.rod',
    'Something that stands on it → top.things',
    '  How many → top.things.0.count',
    '  Stands on it, 1 → top.things.0.thing',
    '    Take other thing off the top → top.things',
    '  Take thing off the top → top.things',
    'Between the inner legs: what each costs → nothing',
  ]);
}, 120_000);
