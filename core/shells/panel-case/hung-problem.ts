import type { ShapeProblem } from '../../piece/index.js';
import type { PanelCase } from './spec.js';

/** What keeps a case from being hung, with ways out. */
export const hungProblem = (id: string, sentence: ShapeProblem['sentence'], fixes: ShapeProblem['fixes'] = []): ShapeProblem[] => [
  { id: `hung-${id}`, about: 'hung', stops: true, sentence, fixes },
];

/** An edit of the case itself. */
export const patch = (change: Partial<PanelCase>) => ({ kind: 'piece' as const, patch: change });
