import { newCase } from '../panel-case/begin.js';
import { filledWith, insideWired } from '../../test/on-bench.js';
import { onHand } from '../../test/filled.js';

const CASE = newCase(onHand('mm'));

test.each(['lanes', 'compartments'])(
  'each control of %s changes what it says',
  async (id) => {
    expect(await insideWired(filledWith(CASE, id))).toEqual([
      'Boards high → high',
      'Short in all, to press in → fit',
      'Channels deep → channel',
      'A board at both ends → ends',
      'Glued, not pressed in → glued',
      'Boards of → stock',
    ]);
  },
  120_000,
);
