import type { Levels } from '../../../core/interiors/index.js';
import { fetched } from '../../shared/boundary.js';
import type { InteriorPage } from '../page.js';
import { levelsFilling } from './filling.js';

const LevelsForm = fetched(() => import('./form.js').then((m) => m.LevelsForm));

export const levelsPage: InteriorPage = {
  kind: 'levels',
  Form: ({ space }) => <LevelsForm space={space} making={space.space.split?.making as Levels} />,
  onPiece: null,
  fillings: [levelsFilling],
  cards: [],
};
