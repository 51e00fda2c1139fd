import type { Cells } from '../../../core/interiors/index.js';
import { fetched } from '../../shared/boundary.js';
import { frame, rows } from '../card.js';
import type { Box } from '../../shared/picture-choice.js';
import { newInPlace } from '../in-place/begin.js';
import type { InteriorPage } from '../page.js';
import { newCase } from '../panel-case/begin.js';
import { pigeonHoles, rack } from './filling.js';

const CellsForm = fetched(() => import('./form.js').then((m) => m.CellsForm));

export const cellsPage: InteriorPage = {
  kind: 'cells',
  Form: ({ space }) => <CellsForm space={space} cells={space.space.filling as Cells} />,
  onPiece: null,
  fillings: [pigeonHoles, rack],
  cards: [
    {
      id: 'pigeon-holes',
      name: 'Pigeon-holes',
      says: 'Half-lapped boards in a case',
      picture: [...frame, [22, 5, 2, 38], [36, 5, 2, 38], [9, 17, 42, 2], [9, 30, 42, 2]],
      filling: pigeonHoles,
      begin: newCase,
      ideas: [{ name: 'Cubby shelves', words: 'mail sorter shoe wine pigeonholes cubbies towels' }],
    },
    {
      id: 'rack',
      name: 'Rack',
      says: 'Cells for equal things',
      picture: [0, 1, 2, 3, 4].flatMap((i): Box[] => [[6 + i * 11.5, 2, 2, 44], ...(i < 4 ? rows(3, 8 + i * 11.5, 9.5, 1.6, 12, 14) : [])]),
      filling: rack,
      begin: (onHand) => newInPlace(onHand, { place: 'A wall', width: [1200, 48], height: [1400, 56], depth: [300, 12] }),
      ideas: [{ name: 'Tube rack', words: 'rolls fabric cloth wine bottles posters' }],
    },
  ],
};
