import { say, type Sentence } from '../figure/index.js';
import { pieceFix, type Check, type Fix } from './check.js';

/** The fix that a piece stands fast by the wall it is fixed to. @example toWall().label // ['It will be fixed to the wall'] */
export const toWall = (): Fix => pieceFix(say`It will be fixed to the wall`, { kind: 'piece', patch: { fixedToWall: true } });

/**
 * The one check of whether a piece leans over sideways, whatever its shell is.
 * @example leanCheck('stop', 'fails', ['It leans.'], []).sentence // ['It leans.']
 */
export function leanCheck(severity: Check['severity'], state: Check['state'], sentence: Sentence, fixes: readonly Fix[]): Check {
  return { id: 'racking', severity, state, about: { kind: 'piece' }, sentence, fixes };
}
