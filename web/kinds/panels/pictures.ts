import type { Fix } from '../../../core/piece/index.js';
import type { Picture, Pictured } from '../../shared/picture-choice.js';

/** A side at the left, cut through, and what comes to it. */
const side: Picture = { wood: [[10, 2, 14, 36]] };

/** How a shelf or a divider meets what is beside it. */
export const FIXES: readonly Pictured<Fix>[] = [
  { id: 'housed', label: 'Housed', picture: { ...side, part: [[18, 14, 42, 10]] } },
  { id: 'loose', label: 'Loose on pins', picture: { ...side, part: [[26, 12, 34, 10]], lines: 'M16 25H34V22M16 23V27' } },
  {
    id: 'butted',
    label: 'Butted and screwed',
    picture: { ...side, part: [[24, 14, 36, 10]], lines: 'M10 19H40M10 15V23M30 17l2 4M34 17l2 4' },
  },
];
