import type { Boards } from '../../../core/interiors/index.js';
import { fetched } from '../../shared/boundary.js';
import { newInPlace } from '../in-place/begin.js';
import type { InteriorPage } from '../page.js';
import { compartmentsFilling, lanesFilling } from './filling.js';

const BoardsForm = fetched(() => import('./form.js').then((m) => m.BoardsForm));

export const boardsPage: InteriorPage = {
  kind: 'boards',
  Form: ({ space }) => <BoardsForm space={space} making={space.space.split?.making as Boards} />,
  onPiece: null,
  fillings: [lanesFilling, compartmentsFilling],
  cards: [
    {
      id: 'tray',
      name: 'Tray',
      says: 'Lanes for small things',
      picture: [
        [4, 8, 52, 2.5],
        [4, 38, 52, 2.5],
        [4, 26, 52, 2.5],
        [20, 10, 2.5, 16],
        [38, 10, 2.5, 16],
      ],
      filling: lanesFilling,
      begin: (onHand) => newInPlace(onHand, { place: 'A drawer', width: [500, 20], height: [90, 3.5], depth: [400, 16] }),
      ideas: [{ name: 'Drawer dividers', words: 'organizer organiser cutlery tray compartments inserts' }],
    },
  ],
};
