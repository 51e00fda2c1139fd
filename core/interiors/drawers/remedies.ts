import { say } from '../../figure/index.js';
import { mm } from '../../length/index.js';
import type { Member, Space } from '../../piece/index.js';
import type { Candidate } from '../../remedies/index.js';
import type { Drawers } from './spec.js';

/** How wide a muntin usually is. */
const MUNTIN_WIDE = mm(80);

/** A strip under the middle of every bottom of a bank, in grooves or rebates. */
export function muntins(making: Drawers, owner: Space, member: Member): readonly Candidate[] {
  if (member.role !== 'drawer bottom' || making.box.muntin) return [];
  if (making.box.bottom.kind === 'applied' || making.box.bottom.kind === 'tray') return [];
  const box = { ...making.box, muntin: { stock: making.stock.box, wide: MUNTIN_WIDE } };
  return [
    {
      label: say`Put a muntin under the middle of every bottom`,
      edit: { kind: 'making', space: owner.id, making: { ...making, box } },
      looks: say`nothing from above`,
    },
  ];
}

/** The drawers with all that is like a member made of another stock. */
export function withStock(making: Drawers, { role }: Member, stock: string): Drawers {
  if (role === 'muntin' && making.box.muntin) return { ...making, box: { ...making.box, muntin: { ...making.box.muntin, stock } } };
  if (role === 'runner' && making.runner.kind === 'wooden') return { ...making, runner: { ...making.runner, stock } };
  const use = role === 'drawer bottom' ? 'bottom' : role === 'drawer front' ? 'front' : 'box';
  return { ...making, stock: { ...making.stock, [use]: stock } };
}
