import { newWallBoard } from './begin.js';
import { formWired } from '../../test/on-bench.js';
import { onHand } from '../../test/filled.js';

test('each control of a wall board changes what it says', async () => {
  expect(await formWired(newWallBoard(onHand('mm')))).toEqual([
    'Bare beyond the fins → board.bare.ends',
    'Bare above the fins → board.bare.above',
    'Bare below the fins → board.bare.below',
    'Lower edge over the floor → board.above',
    'Board of → board.stock',
    'Fins of → fins.stock',
    'Fronts of the fins → fins.front',
  ]);
}, 120_000);
