import type { Frame } from '../../../core/shells/index.js';
import { both, type Pictured } from '../../shared/picture-choice.js';

/** A post and a rail seen from the side: what carries the rail. */
export const JOINED: readonly Pictured<Frame['joined']>[] = [
  {
    id: 'between',
    label: 'Rails between posts',
    says: 'Flush and slim. All of the load is on the joints.',
    picture: { wood: both(8, 2, 8, 36), part: [[16, 8, 32, 8]] },
  },
  {
    id: 'lapped',
    label: 'Rails outside posts',
    says: 'Screws or bolts go through rail and post. It is wider by its rails.',
    picture: { wood: both(12, 2, 8, 36), part: [[8, 8, 48, 8]] },
  },
  {
    id: 'end-on',
    label: 'Rails on inner posts',
    says: 'The load goes down through wood, and no screw carries it. A second post at every corner.',
    picture: { wood: [...both(4, 2, 7, 36), ...both(12, 16, 7, 22)], part: [[12, 8, 40, 8]] },
  },
];
