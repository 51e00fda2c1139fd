import { say } from '../figure/index.js';
import { type Piece } from '../piece/index.js';
import { namedIn, ownStock } from '../kinds/index.js';
import type { Workshop } from '../project/index.js';
import { pieceFix, type Check } from '../finding/index.js';

/** Stocks that a piece names and the stockroom no longer has; they are drawn 18 thick and stop the build. @example missingStock(CASE, SHOP) // [] */
export function missingStock(piece: Piece, workshop: Workshop): Check[] {
  const own = ownStock(piece)
    .filter(({ id }) => !workshop.stock.has(id))
    .map(({ use, with: of }): Check => ({
      id: `stock-missing-${use}`,
      severity: 'stop',
      state: 'fails',
      about: { kind: 'piece' },
      sentence: say`The stock chosen for the ${use} is no longer in the stockroom.`,
      fixes: [...workshop.stock].slice(0, 3).map(([other, s]) => pieceFix(say`Use ${s.name}`, { kind: 'piece', patch: of(other) })),
    }));
  const inside = namedIn(piece.interior).filter((n) => n.kind === 'stock' && !workshop.stock.has(n.id));
  const places = [...new Set(inside.map((n) => n.where))];
  return [
    ...own,
    ...(places.length > 0
      ? [
          {
            id: 'stock-missing-inside',
            severity: 'stop',
            state: 'fails',
            about: { kind: 'piece' },
            sentence: say`A stock that something inside is made of is no longer in the stockroom; choose another there.`,
            fixes: [],
          } satisfies Check,
        ]
      : []),
  ];
}
