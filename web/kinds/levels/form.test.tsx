import { newFrame } from '../frame/begin.js';
import { filledWith, insideWired } from '../../test/on-bench.js';
import { onHand } from '../../test/filled.js';

test('each control of levels changes what it says', async () => {
  expect(await insideWired(filledWith(newFrame(onHand('mm')), 'levels'))).toEqual([
    'Level rails wide → level.rails.wide',
    'Level notches larger by → level.deck.gap',
    'Level deck deep, less than its frame → level.deck.wide',
    'Level deck held so that it may move → level.deck.slides',
    'Front → level.rails.front',
    'Rear → level.rails.rear',
    'Left → level.rails.left',
    'Right → level.rails.right',
    'Cross pieces under the level deck → level.cross',
    '  Level cross pieces, at most apart → level.cross.most',
    'Blocks in the corners of the level rails → level.corners',
    '  Level corner blocks of → level.corners.stock',
    'Bars along the level rails, to stiffen them → level.rails.bar',
    '  Level bars high → level.rails.bar.high',
    '  Level bars of → level.rails.bar.stock',
    'Plates over seams of the level rails → level.splice',
    '  Level splice plates long → level.splice.long',
    '  Level splice plates of → level.splice.stock',
    'Level rails of → level.rails.stock',
    'Level rails lie → level.rails.flat',
    'Level deck → level.deck',
    'Level deck of → level.deck.stock',
    'Rolls in under them → rollsIn',
    '  Free at each side of it → rollsIn.aside',
    '  May stand out in front → rollsIn.out',
  ]);
}, 120_000);
