import { spacesOf, type Piece } from '../../../core/piece/index.js';
import { fetched } from '../../shared/boundary.js';
import type { InteriorPage } from '../page.js';

/** Whether panels divide something in a piece, or may come next, since nothing does yet. */
function inUse({ interior }: Piece): boolean {
  const spaces = [...spacesOf(interior)].map(({ space }) => space);
  return spaces.some(({ split }) => split && !split.making) || !(interior.split ?? interior.filling);
}

export const panelsPage: InteriorPage = {
  kind: 'panels',
  Form: null,
  onPiece: { Form: fetched(() => import('./form.js').then((m) => m.PanelsForm)), inUse },
  fillings: [],
  cards: [],
};
