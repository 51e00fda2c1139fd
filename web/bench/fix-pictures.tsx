import type { Fix } from '../../core/piece/index.js';
import type { Pictured } from '../shared/picture-choice.js';

/** A side at the left and what comes to it, cut through. */
const side = <rect data-wood="" x="10" y="2" width="14" height="36" />;

/** How a shelf or a divider meets what is beside it. */
export const FIXES: readonly Pictured<Fix>[] = [
  {
    id: 'housed',
    label: 'Housed',
    picture: (
      <>
        {side}
        <rect data-other="" x="18" y="14" width="42" height="10" />
      </>
    ),
  },
  {
    id: 'loose',
    label: 'Loose on pins',
    picture: (
      <>
        {side}
        <rect data-other="" x="26" y="12" width="34" height="10" />
        <path d="M16 25H34V22M16 23V27" />
      </>
    ),
  },
  {
    id: 'butted',
    label: 'Butted and screwed',
    picture: (
      <>
        {side}
        <rect data-other="" x="24" y="14" width="36" height="10" />
        <path d="M10 19H40M10 15V23M30 17l2 4M34 17l2 4" />
      </>
    ),
  },
];
