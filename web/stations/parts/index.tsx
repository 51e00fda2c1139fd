import { fetched } from '../../shared/boundary.js';
import type { Station } from '../station.js';

export const parts: Station = {
  id: 'parts',
  label: 'Parts',
  badge: ({ parts: all }) => (all.length > 0 ? { text: `${all.length}`, stops: false, says: `${all.length} parts` } : null),
  shows: 'The list',
  next: 'Next: the list of parts',
  Sheet: fetched(() => import('./parts.js').then((m) => m.PartsSheet)),
  Stage: fetched(() => import('./parts.js').then((m) => m.PartsStage)),
  Answers: fetched(() => import('./parts.js').then((m) => m.PartDetail)),
};
