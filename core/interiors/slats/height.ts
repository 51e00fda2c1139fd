import { ZERO, add, type Length } from '../../length/index.js';
import type { Slats } from './spec.js';
import { woodOf, type Workshop } from '../../project/index.js';

/**
 * How high the slats of a deck begin over the foot of their space: on their supports, where there are any.
 * @example toMm(slatsFrom({ supports: { count: 2, wide: mm(45) } })) // 45
 */
export function slatsFrom({ supports }: Slats): Length {
  return supports.count > 0 ? supports.wide : ZERO;
}

/** How high a deck is, to the tops of its slats. @example toMm(deckHeight({ supports: { count: 2, wide: mm(45) }, stock: 'ply' }, SHOP)) // 65 */
export function deckHeight(making: Slats, workshop: Workshop): Length {
  return add(slatsFrom(making), woodOf(workshop, making.stock).thickness.value);
}
