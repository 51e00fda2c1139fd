import { fetched } from '../../shared/boundary.js';
import type { Station } from '../station.js';

export const stock: Station = {
  id: 'stock',
  label: 'Stock',
  badge: () => null,
  shows: 'The layout',
  next: 'Next: lay the parts out on stock',
  Sheet: fetched(() => import('./sheet.js').then((m) => m.StockSheet)),
  Stage: fetched(() => import('./stage.js').then((m) => m.StockStage)),
  Answers: fetched(() => import('./answers.js').then((m) => m.StockAnswers)),
};
