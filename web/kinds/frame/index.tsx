import type { Frame } from '../../../core/shells/index.js';
import { fetched } from '../../shared/boundary.js';
import { DECK, RAIL, levelsFilling } from '../levels/filling.js';
import type { FillingWay } from '../means.js';
import type { ShellPage } from '../page.js';
import { POST, newFrame } from './begin.js';

const FrameForm = fetched(() => import('./form.js').then((m) => m.FrameForm));

/** Levels, with what the posts are of. */
const framed: FillingWay = { ...levelsFilling, uses: () => [POST, RAIL, DECK] };

export const framePage: ShellPage = {
  kind: 'frame',
  Form: ({ piece }) => <FrameForm piece={piece as Frame} />,
  unmeasured: () => ({
    title: 'No opening yet',
    text: 'This frame stands free. Give its sizes at the left, of the outside or clear between its posts; or let what stands on it or in it decide them.',
  }),
  cards: [
    {
      id: 'frame',
      name: 'Frame',
      says: 'Posts, rails and decks',
      picture: [
        [8, 4, 4, 42],
        [48, 4, 4, 42],
        [12, 4, 36, 5],
        [12, 22, 36, 5],
        [4, 1, 52, 3],
      ],
      filling: framed,
      begin: newFrame,
    },
  ],
};
