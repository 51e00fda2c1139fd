import { fetched } from '../../shared/boundary.js';
import type { Station } from '../station.js';

export const measure: Station = {
  id: 'measure',
  label: 'Measure',
  badge: () => null,
  shows: 'The drawing',
  next: 'Next: measure its place',
  first: ({ shape, piece }) =>
    shape.assumed.some((reach) => piece[reach].from === 'opening')
      ? 'First: hold the tape at each place on the drawing and type what it says.'
      : null,
  holds: (source) => source.in === 'opening' || source.in === 'overall',
  Sheet: fetched(() => import('./sheet.js').then((m) => m.MeasureSheet)),
  Stage: fetched(() => import('./stage.js').then((m) => m.MeasureStage)),
  Answers: fetched(() => import('../../bench/overall-sums.js').then((m) => m.OverallSums)),
};
