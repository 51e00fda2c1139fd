import { newCase } from '../../data/defaults.js';
import { filledWith, insideWired } from '../../test/on-bench.js';

const CASE = newCase('mm', 'thick', { kind: 'sizes' });

test('each control of lanes changes what it says', async () => {
  expect(await insideWired(filledWith(CASE, 'lanes'))).toEqual([
    'Boards high → high',
    'Short in all, to press in → fit',
    'Channels deep → channel',
    'A board at both ends → ends',
    'Glued, not pressed in → glued',
    'Boards of → stock',
  ]);
}, 120_000);

test('each control of compartments changes what it says', async () => {
  expect(await insideWired(filledWith(CASE, 'compartments'))).toEqual([
    'Boards high → high',
    'Short in all, to press in → fit',
    'Channels deep → channel',
    'A board at both ends → ends',
    'Glued, not pressed in → glued',
    'Boards of → stock',
  ]);
}, 120_000);
