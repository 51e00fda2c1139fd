import type { Split } from '../piece/index.js';
import { boards } from './boards/index.js';
import { drawers } from './drawers/index.js';
import type { SplitKind } from './kind.js';
import { panels } from './panels/index.js';
import { slats } from './slats/index.js';

/** The kind of a divided space. */
export function kindOf(split: Split): SplitKind {
  switch (split.making?.kind) {
    case 'drawers':
      return drawers(split.making);
    case 'boards':
      return boards(split.making, split.axis);
    case 'slats':
      return slats(split.making);
    case undefined:
      return panels(split.axis);
  }
}
