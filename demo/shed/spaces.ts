import { mm } from '../../core/length/index.js';
import type { Space } from '../../core/piece/index.js';
import type { GapRule } from '../../core/run/index.js';

export const share: GapRule = { kind: 'share', weight: 1 };
export const fit: GapRule = { kind: 'fit', clearance: mm(0) };

/** A space that shares what is left, unless said otherwise. */
export function space(id: string, extra: Partial<Space> = {}): Space {
  return { id, rule: share, things: [], ...extra };
}
