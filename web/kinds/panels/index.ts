import { spacesOf, type Piece } from '../../../core/piece/index.js';
import { shellOf } from '../../../core/shells/index.js';
import { fetched } from '../../shared/boundary.js';
import type { InteriorPage } from '../page.js';

/** Whether panels divide something in a piece, or may come next, since nothing does yet. */
function inUse(piece: Piece): boolean {
  const { interior } = piece;
  const spaces = [...spacesOf(interior)].map(({ space }) => space);
  const isOpen = !(interior.split ?? interior.filling) && shellOf(piece).keptFree === undefined;
  return isOpen || spaces.some(({ split }) => split && !split.making);
}

export const panelsPage: InteriorPage = {
  kind: 'panels',
  Form: null,
  onPiece: { Form: fetched(() => import('./form.js').then((m) => m.PanelsForm)), inUse },
  fillings: [],
  cards: [],
};
