import { fetched } from '../../shared/boundary.js';
import type { Station } from '../station.js';

export const build: Station = {
  id: 'build',
  label: 'Build',
  badge: () => null,
  shows: 'The steps',
  next: 'Next: the steps of building it',
  Sheet: fetched(() => import('./sheet.js').then((m) => m.BuildSheet)),
  Stage: fetched(() => import('./stage.js').then((m) => m.BuildStage)),
  Answers: fetched(() => import('./answers.js').then((m) => m.BuildAnswers)),
};
