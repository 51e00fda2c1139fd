import type { Slats } from '../../../core/interiors/index.js';
import { fetched } from '../../shared/boundary.js';
import { rows } from '../card.js';
import { newInPlace } from '../in-place/begin.js';
import type { InteriorPage } from '../page.js';
import { slatsFilling } from './filling.js';

const SlatsForm = fetched(() => import('./form.js').then((m) => m.SlatsForm));

export const slatsPage: InteriorPage = {
  kind: 'slats',
  Form: ({ space }) => <SlatsForm space={space} making={space.space.split?.making as Slats} />,
  onPiece: null,
  fillings: [slatsFilling],
  cards: [
    {
      id: 'deck',
      name: 'Deck',
      says: 'Slats on supports',
      picture: rows(6, 4, 52, 4.4, 3, 3),
      filling: slatsFilling,
      // Things stand on a ledge: whoever is to step on it says so.
      begin: (onHand) => ({
        ...newInPlace(onHand, { place: 'A ledge', width: [900, 36], height: [200, 8], depth: [600, 24] }),
        noOneOn: true,
      }),
      ideas: [
        {
          name: 'Bath mat',
          words: 'shower duckboard cedar slatted mat',
          sizes: [
            [600, 24],
            [45, 2],
            [400, 16],
          ],
        },
        { name: 'Slatted shelf', words: 'sauna plant drying' },
      ],
    },
  ],
};
