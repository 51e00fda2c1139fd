import { fetched } from '../../shared/boundary.js';
import type { Station } from '../station.js';

export const divide: Station = {
  id: 'divide',
  label: 'Divide',
  badge: () => null,
  shows: 'The drawing',
  next: 'Next: divide it into spaces',
  holds: (source) => ['piece', 'making', 'space', 'member'].includes(source.in),
  Sheet: fetched(() => import('./sheet.js').then((m) => m.DivideSheet)),
  Stage: fetched(() => import('../drawing-middle.js').then((m) => m.DividedMiddle)),
  Answers: fetched(() => import('../../bench/sum-panel.js').then((m) => m.SumPanel)),
};
