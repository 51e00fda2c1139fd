import { newWallBoard } from '../../data/defaults.js';
import { formWired } from '../../test/on-bench.js';

test('each control of a wall board changes what it says', async () => {
  expect(await formWired(newWallBoard('mm', 'thick'))).toEqual([
    'Bare beyond the fins → board.bare.ends',
    'Bare above the fins → board.bare.above',
    'Bare below the fins → board.bare.below',
    'Lower edge over the floor → board.above',
    'Board of → board.stock',
    'Fins of → fins.stock',
    'Fronts of the fins → fins.front',
  ]);
}, 120_000);
