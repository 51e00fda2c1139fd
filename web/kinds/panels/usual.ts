import type { Length } from '../../../core/length/index.js';
import type { Panels } from '../../../core/interiors/index.js';
import { sizes, woodFor, type OnHand, type Use } from '../means.js';

/** Sides, shelves, dividers. */
export const PANEL = { use: 'panel', label: 'Panels of', thick: [18, 3 / 4], broad: [280, 11] } as const satisfies Use;
/** What closes a piece, in a groove or behind it. */
export const BACK = { use: 'back', label: 'Back of', thick: [6, 1 / 4], broad: [600, 24] } as const satisfies Use;

/** Loose shelves and butted dividers, all of one stock. */
export function usualPanels(onHand: OnHand, setback: Length): Panels {
  const s = sizes(onHand.unit);
  const stock = woodFor(onHand, PANEL);
  return {
    stock: { shelves: stock, dividers: stock },
    shelves: { fix: 'loose', housing: s(6, 1 / 4), looseEnd: s(1, 1 / 32), setback },
    dividers: { fix: 'butted', housing: s(6, 1 / 4) },
  };
}
