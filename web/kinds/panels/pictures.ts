import type { Fix } from '../../../core/piece/index.js';
import type { Picture, Pictured } from '../../shared/picture-choice.js';

/** A side at the left, cut through, and what comes to it. */
const side: Picture = { wood: [[10, 2, 14, 36]] };

/** How a shelf or a divider meets what is beside it. */
export const FIXES: readonly Pictured<Fix>[] = [
  {
    id: 'housed',
    label: 'Housed',
    says: 'Stiffens the case, and no screw shows. It stays where it is.',
    picture: { ...side, part: [[18, 14, 42, 10]] },
  },
  {
    id: 'loose',
    label: 'Loose on pins',
    says: 'Can be moved later. It does not stiffen the case.',
    picture: { ...side, part: [[26, 12, 34, 10]], lines: 'M16 25H34V22M16 23V27' },
  },
  {
    id: 'butted',
    label: 'Butted and screwed',
    says: 'The quickest, and it stiffens the case. Screw heads show, and screws hold least in the edge of a sheet.',
    picture: { ...side, part: [[24, 14, 36, 10]], lines: 'M10 19H40M10 15V23M30 17l2 4M34 17l2 4' },
  },
];
