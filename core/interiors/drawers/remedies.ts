import { say } from '../../figure/index.js';
import { mm } from '../../length/index.js';
import type { Member, Space } from '../../piece/index.js';
import type { Candidate } from '../../remedies/index.js';
import { makingOf, otherOf, withBoxOf } from './own.js';
import { takesMuntin, type Drawers } from './spec.js';

/** How wide a muntin usually is. */
const MUNTIN_WIDE = mm(80);

/** A strip under the middle of every bottom of a bank, in grooves or rebates. */
export function muntins(bank: Drawers, owner: Space, member: Member): readonly Candidate[] {
  const making = makingOf(bank, member.node);
  if (member.role !== 'drawer bottom' || !takesMuntin(making.box)) return [];
  const box = { ...making.box, muntin: { stock: making.stock.box, wide: MUNTIN_WIDE } };
  return [
    {
      label: otherOf(bank, member.node) ? say`Put a muntin under its middle` : say`Put a muntin under the middle of every bottom`,
      edit: { kind: 'making', space: owner.id, making: withBoxOf(bank, member.node, { box, stock: making.stock }) },
      looks: say`nothing from above`,
    },
  ];
}

/** The drawers with all that is like a member made of another stock. */
export function withStock(bank: Drawers, { role, node }: Member, stock: string): Drawers {
  if (role === 'runner') return bank.runner.kind === 'wooden' ? { ...bank, runner: { ...bank.runner, stock } } : bank;
  if (role === 'drawer front') return { ...bank, stock: { ...bank.stock, front: stock } };
  const making = makingOf(bank, node);
  const { box } = making;
  if (role === 'muntin') {
    return box.muntin ? withBoxOf(bank, node, { box: { ...box, muntin: { ...box.muntin, stock } }, stock: making.stock }) : bank;
  }
  const use = role === 'drawer bottom' ? 'bottom' : 'box';
  return withBoxOf(bank, node, { box, stock: { ...making.stock, [use]: stock } });
}
