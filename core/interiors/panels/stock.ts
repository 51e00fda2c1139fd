import type { Figure } from '../../figure/index.js';
import type { Axis, DividingMember } from '../../piece/index.js';
import type { Wood } from '../../project/index.js';
import type { Panels } from './spec.js';

/** The stock of a shelf, divider or partition: its own, or the one chosen for its kind. */
export function panelStock(member: DividingMember, axis: Axis, { stock }: Panels): string {
  return member.stock ?? (axis === 'up' ? stock.shelves : stock.dividers);
}

/** How thick a panel is along its run: two layers where it is doubled. */
export function panelThickness({ doubled }: DividingMember, wood: Wood): Figure {
  return doubled === undefined ? wood.thickness : wood.thickness.times(2).named('two layers');
}
