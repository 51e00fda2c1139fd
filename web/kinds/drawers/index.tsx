import type { Drawers } from '../../../core/interiors/index.js';
import { fetched } from '../../shared/boundary.js';
import { frame, rows } from '../card.js';
import { newInPlace } from '../in-place/begin.js';
import type { InteriorPage } from '../page.js';
import { newChest } from '../panel-case/begin.js';
import { bothEndsFilling, drawersFilling } from './filling.js';

const DrawersForm = fetched(() => import('./form.js').then((m) => m.DrawersForm));

export const drawersPage: InteriorPage = {
  kind: 'drawers',
  Form: ({ space }) => <DrawersForm bank={space} making={space.space.split?.making as Drawers} />,
  onPiece: null,
  fillings: [drawersFilling, bothEndsFilling],
  cards: [
    {
      id: 'chest',
      name: 'Chest',
      says: 'A bank of drawers',
      picture: [...frame, ...rows(4, 10, 40, 8, 1.2, 6)],
      filling: drawersFilling,
      begin: newChest,
      ideas: [{ name: 'Chest of drawers', words: 'dresser bureau tool chest' }],
    },
    {
      id: 'drawers',
      name: 'Drawers',
      says: 'Into a cabinet that is there',
      picture: [...rows(2, 8, 44, 17, 4, 5)],
      filling: drawersFilling,
      begin: (onHand) => newInPlace(onHand, { place: 'A cabinet', width: [560, 22], height: [500, 20], depth: [520, 20] }),
      ideas: [{ name: 'Drawers in a cabinet', words: 'kitchen roll-out pull-out pantry retrofit' }],
    },
  ],
};
