import { fetched } from '../../shared/boundary.js';
import type { Station } from '../station.js';

export const log: Station = {
  id: 'log',
  label: 'Log',
  badge: () => null,
  shows: 'The log',
  next: 'Next: keep what it taught',
  Sheet: fetched(() => import('./sheet.js').then((m) => m.LogSheet)),
  Stage: fetched(() => import('./stage.js').then((m) => m.LogStage)),
  Answers: fetched(() => import('./answers.js').then((m) => m.LogAnswers)),
};
