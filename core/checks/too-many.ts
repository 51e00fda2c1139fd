import { say } from '../figure/index.js';
import type { Check } from '../finding/index.js';
import { MOST_PARTS, type Shape } from '../piece/index.js';

/** The one check of a piece that has more parts than are worked out; null where it has not. @example tooManyParts(SOLVED.shape) // null */
export function tooManyParts({ members }: Pick<Shape, 'members'>): Check | null {
  if (members.length <= MOST_PARTS) return null;
  return {
    id: 'too-many-parts',
    severity: 'stop',
    state: 'fails',
    about: { kind: 'piece' },
    sentence: say`This piece would have ${members.length} parts, and up to ${MOST_PARTS} are worked out: nothing else is checked, and it is not saved. Divide it into several pieces.`,
    fixes: [],
  };
}
