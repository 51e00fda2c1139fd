import { kindList, type Piece } from '../piece/index.js';
import { folding } from './folding/index.js';
import { frame } from './frame/index.js';
import { inPlace } from './in-place/index.js';
import type { ShellKind } from './kind.js';
import { leaning } from './leaning/index.js';
import { panelCase } from './panel-case/index.js';
import { wallBoard } from './wall-board/index.js';

/** The shells that a piece may have. */
export const SHELLS = kindList<ShellKind>([panelCase, inPlace, frame, leaning, folding, wallBoard]);

/** The kind of shell of a piece. @throws Error where there is no such kind @example shellOf(CASE).kind // 'panel-case' */
export function shellOf({ shell }: Pick<Piece, 'shell'>): ShellKind {
  return SHELLS.of(shell);
}
