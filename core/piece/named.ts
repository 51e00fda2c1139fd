import type { PiecePatch, StockUse } from './spec.js';

/** A record that a piece names, and where. */
export interface Named {
  readonly kind: 'opening' | 'stock' | 'slide' | 'thing' | 'person';
  readonly id: string;
  /** Where, in words: a use of the piece, or a node of its interior. */
  readonly where: string;
}

/**
 * The stocks of a record of uses, each with the piece made of another. @param where the path of the record in the piece
 * @example stockUses('stock', { box: 'ply' }, (stock) => ({ stock })).map((u) => u.where) // ['stock/box']
 */
export function stockUses<S extends Readonly<Record<string, string | undefined>>>(
  where: string,
  stock: S,
  made: (stock: S) => PiecePatch,
): readonly StockUse[] {
  return Object.entries(stock).flatMap(([use, id]) =>
    id === undefined ? [] : [{ use, where: `${where}/${use}`, id, with: (other) => made({ ...stock, [use]: other }) }],
  );
}

/** A record that a kind names. */
export type Names = Omit<Named, 'where'>;

/** The stock that a kind names. @example stockNames(['ply', 'thin']).length // 2 */
export const stockNames = (ids: readonly string[]): Names[] => ids.map((id) => ({ kind: 'stock', id }));
