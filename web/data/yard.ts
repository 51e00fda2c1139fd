import type { LengthUnit } from '../../core/length/index.js';
import type { Slide, Stock } from '../../core/stock/index.js';
import { yardOf } from '../../core/yards/index.js';
import { newStock } from './defaults.js';

/** Something that a stockroom is begun with. */
export type FromYard =
  | { readonly kind: 'stock'; readonly id: string; readonly data: Stock }
  | { readonly kind: 'slides'; readonly id: string; readonly data: Slide };

/** What a stockroom may be begun with. */
export const BEGINS_WITH = [
  { id: 'yard', label: 'the usual stock of a yard' },
  { id: 'sheet', label: 'one sheet' },
] as const;
export type BeginsWith = (typeof BEGINS_WITH)[number]['id'];

/** The records of that, in a unit. */
export function stockroomOf(unit: LengthUnit, begins: BeginsWith): readonly FromYard[] {
  if (begins === 'sheet') return [{ kind: 'stock', id: 'first-sheet', data: newStock(unit) }];
  const { stock, slides } = yardOf(unit);
  return [
    ...Object.entries(stock).map(([id, data]) => ({ kind: 'stock' as const, id, data })),
    ...Object.entries(slides).map(([id, data]) => ({ kind: 'slides' as const, id, data })),
  ];
}
