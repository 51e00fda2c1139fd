import { applyEdit } from '../../core/kinds/index.js';
import { newCase } from '../kinds/panel-case/begin.js';
import { onHand } from './filled.js';

/**
 * A case of 900 x 1800 x 300 on a toe board 80 high, of ply 18 thick, with two loose shelves; ten things of 2 kg stand on the lower one.
 * Clear between the sides are 864, and shelves are 1 short at each end and 10 less deep.
 */
export const SHELVED = applyEdit(
  applyEdit(newCase(onHand('mm')), {
    kind: 'split',
    space: 'inside',
    axis: 'up',
    members: ['lower', 'upper'],
    spaces: ['a', 'b', 'c'],
  }),
  { kind: 'things', space: 'b', things: [{ thing: 'thing', count: 10 }] },
);
