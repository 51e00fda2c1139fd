import type { Frame } from '../../../core/shells/index.js';
import { fetched } from '../../shared/boundary.js';
import { DECK, RAIL, levelsFilling } from '../levels/filling.js';
import type { FillingWay } from '../means.js';
import type { ShellPage } from '../page.js';
import { POST, STURDY, newFrame, noOneOn, onPosts } from './begin.js';

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
      ideas: [
        {
          name: 'Stand',
          words: 'aquarium tank machine tub planter printer',
          sizes: [
            [900, 36],
            [750, 30],
            [600, 24],
          ],
        },
        {
          name: 'Workbench',
          words: 'work table shop',
          sizes: [
            [1500, 60],
            [860, 34],
            [600, 24],
          ],
          usual: STURDY,
          made: onPosts,
        },
        {
          name: 'Bench',
          words: 'seat stool hall',
          sizes: [
            [1000, 40],
            [450, 18],
            [350, 14],
          ],
          usual: STURDY,
          made: onPosts,
        },
        {
          name: 'Nightstand',
          words: 'bedside table side end',
          sizes: [
            [450, 18],
            [450, 18],
            [450, 18],
          ],
          usual: { deck: STURDY.deck },
          made: noOneOn,
        },
        {
          name: 'Coffee table',
          words: 'low sofa',
          sizes: [
            [900, 36],
            [420, 16],
            [500, 20],
          ],
          made: noOneOn,
        },
        {
          name: 'Shelving over a machine',
          words: 'laundry washer dryer garage storage rack',
          sizes: [
            [750, 30],
            [1800, 72],
            [600, 24],
          ],
          made: (piece) => ({ ...noOneOn(piece), fixedToWall: true }),
        },
      ],
    },
  ],
};
