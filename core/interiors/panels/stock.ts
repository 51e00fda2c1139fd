import type { Axis, DividingMember } from '../../piece/index.js';
import type { NeedContext } from '../kind.js';

/** The stock of a shelf, divider or partition: its own, or the one chosen for its kind. */
export function panelStock(member: DividingMember, axis: Axis, stock: NeedContext['stock']): string {
  return member.stock ?? (axis === 'up' ? stock.shelves : stock.dividers);
}
