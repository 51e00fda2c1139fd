import { newInPlace } from './begin.js';
import { PLACE, onHand } from '../../test/filled.js';
import { formWired } from '../../test/on-bench.js';

test('each control of what is put into a place that is there already changes what it says', async () => {
  expect(await formWired(newInPlace(onHand('mm'), PLACE))).toEqual([
    'It goes into → place',
    'Top stands out → cover',
    'Slides packed out behind a face frame → packing',
    '  Frame stands in → packing.out',
    '  Packing wide → packing.wide',
    '  Packing made of → packing.stock',
    'Make it to fit a drawer of another piece → nothing',
    'Something is taken out of it first → out',
    '  Taken out → out.0.what',
    '  Something lies on it → out.0.carries',
    '  Leave a part of it in → out',
  ]);
}, 120_000);
