import type { Drawers, OtherBox } from './spec.js';

/**
 * How the drawer in a part of a bank is made: as all of them, or as is said of it alone.
 * @example makingOf({ stock: { box: 'ply' }, others: [{ drawer: 'd1', stock: { box: 'oak' } }] }, 'd1').stock.box // 'oak'
 */
export function makingOf(making: Drawers, part: string): Drawers {
  const own = otherOf(making, part);
  return own ? { ...making, box: own.box, stock: { ...making.stock, ...own.stock } } : making;
}

/**
 * What is said of one drawer alone; undefined where it is made as the others are.
 * @example otherOf({ others: [{ drawer: 'd1' }] }, 'd1') // { drawer: 'd1' }
 */
export function otherOf({ others }: Drawers, part: string): OtherBox | undefined {
  return others?.find((o) => o.drawer === part);
}

/**
 * The bank with the box of one drawer made another way: that of all where it has none of its own.
 * @example withBoxOf({ stock: { box: 'ply' } }, 'd1', { stock: { box: 'oak', bottom: 'thin' } }).stock.box // 'oak'
 */
export function withBoxOf(making: Drawers, part: string, own: Pick<Drawers, 'box'> & { readonly stock: OtherBox['stock'] }): Drawers {
  const { box, bottom } = own.stock;
  if (!otherOf(making, part)) return { ...making, box: own.box, stock: { ...making.stock, box, bottom } };
  const others = making.others?.map((o) => (o.drawer === part ? { drawer: part, box: own.box, stock: { box, bottom } } : o)) ?? [];
  return { ...making, others };
}
