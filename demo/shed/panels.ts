import { ZERO, mm } from '../../core/length/index.js';
import type { Panels } from '../../core/interiors/index.js';

/** Shelves housed 6 deep and dividers butted, of a stock each. */
export function plainPanels(shelves: string, dividers = shelves): Panels {
  return {
    stock: { shelves, dividers },
    shelves: { fix: 'housed', housing: mm(6), looseEnd: mm(1), setback: ZERO },
    dividers: { fix: 'butted', housing: mm(6) },
  };
}

/** Front edges as everything plain has them. */
export const PLAIN_EDGES = { front: 'eased', banding: ZERO } as const;
