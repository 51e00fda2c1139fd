import type { Space } from './space.js';
import type { Piece } from './spec.js';
import { spacesOf } from './tree.js';

/** A record that a piece names, and where. */
export interface Named {
  readonly kind: 'opening' | 'stock' | 'slide' | 'thing';
  readonly id: string;
  /** Where, in words: a use of the piece, or a node of its interior. */
  readonly where: string;
}

/** Everything outside itself that the inside of a piece names: what it holds, and what it is made of. */
export function namedIn(root: Space): readonly Named[] {
  const all: Named[] = [];
  const put = (kind: Named['kind'], id: string, where: string) => all.push({ kind, id, where });
  for (const { space } of spacesOf(root)) {
    const here = `space ${space.id}`;
    space.things.forEach((t) => put('thing', t.thing, here));
    if (space.cells) {
      put('thing', space.cells.thing, here);
      const { make } = space.cells;
      const woods = make.kind === 'ladders' ? [make.upright.stock, make.support.stock] : [make.stock];
      woods.forEach((id) => put('stock', id, here));
    }
    for (const { id, stock, strip } of space.split?.members ?? []) {
      for (const used of [stock, strip?.stock]) if (used !== undefined) put('stock', used, `member ${id}`);
    }
    const making = space.split?.making;
    switch (making?.kind) {
      case 'drawers':
        Object.values(making.stock).forEach((id) => put('stock', id, here));
        if (making.runner.kind === 'slide') put('slide', making.runner.slide, here);
        if (making.runner.kind === 'wooden') put('stock', making.runner.stock, here);
        if (making.box.muntin) put('stock', making.box.muntin.stock, here);
        break;
      case 'boards':
        put('stock', making.stock, here);
        break;
      case 'slats':
        put('stock', making.stock, here);
        put('stock', making.supports.stock, here);
        break;
      case undefined:
    }
  }
  return all;
}

/** Every record outside itself that a piece names. */
export function namedBy(piece: Piece): readonly Named[] {
  const opening: Named[] = piece.opening === undefined ? [] : [{ kind: 'opening', id: piece.opening, where: 'opening' }];
  const stock = Object.entries(piece.stock).map(([use, id]): Named => ({ kind: 'stock', id, where: `stock/${use}` }));
  const packing: Named[] = 'packing' in piece && piece.packing ? [{ kind: 'stock', id: piece.packing.stock, where: 'packing/stock' }] : [];
  return [...opening, ...stock, ...namedIn(piece.interior), ...packing];
}
