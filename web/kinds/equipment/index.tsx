import type { Equipment } from '../../../core/interiors/index.js';
import { fetched } from '../../shared/boundary.js';
import type { InteriorPage } from '../page.js';
import { equipped } from './filling.js';

const EquipmentForm = fetched(() => import('./form.js').then((m) => m.EquipmentForm));

export const equipmentPage: InteriorPage = {
  kind: 'equipment',
  Form: ({ space }) => <EquipmentForm space={space} equipment={space.space.filling as Equipment} />,
  onPiece: null,
  fillings: [equipped],
  cards: [],
};
