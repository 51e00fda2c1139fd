import type { Grooves } from '../../../core/interiors/index.js';
import { fetched } from '../../shared/boundary.js';
import { frame, rows } from '../card.js';
import type { InteriorPage } from '../page.js';
import { newCase } from '../panel-case/begin.js';
import { grooved } from './filling.js';

const GroovesForm = fetched(() => import('./form.js').then((m) => m.GroovesForm));

export const groovesPage: InteriorPage = {
  kind: 'grooves',
  Form: ({ space }) => <GroovesForm space={space} grooves={space.space.filling as Grooves} />,
  onPiece: null,
  fillings: [grooved],
  cards: [
    {
      id: 'grooved',
      name: 'Grooved cabinet',
      says: 'Thin shelves in any groove',
      picture: [...frame, ...rows(9, 7, 3, 1, 3, 8), ...rows(9, 50, 3, 1, 3, 8), [9, 12, 42, 1], [9, 24, 42, 1], [9, 32, 42, 1]],
      filling: grooved,
      begin: newCase,
      ideas: [{ name: 'Tray cabinet', words: 'baking sheets paper drawings flat file music' }],
    },
  ],
};
