import type { Level, Levels } from '../../../core/interiors/index.js';
import { sizes, widthFor, woodFor, type FillingWay, type OnHand, type Use } from '../means.js';
import { fillWith } from '../parts.js';

export const RAIL = { use: 'rail', label: 'Rails of', thick: [21, 3 / 4], wide: [70, 2.5] } as const satisfies Use;
export const DECK = { use: 'deck', label: 'Decks of', thick: [12, 1 / 2], broad: [450, 18] } as const satisfies Use;

/** Rails on edge all round, with a deck round the posts. */
export function usualLevel(onHand: OnHand): Level {
  const s = sizes(onHand.unit);
  return {
    rails: { stock: woodFor(onHand, RAIL), wide: widthFor(onHand, RAIL), front: true, rear: true, left: true, right: true },
    deck: { stock: woodFor(onHand, DECK), goes: 'round', gap: s(1, 1 / 32) },
  };
}

export const levelsFilling: FillingWay = {
  id: 'levels',
  label: 'Levels between posts',
  uses: () => [RAIL, DECK],
  goesInto: ({ posts }) => posts !== undefined,
  fill: (piece, space, means) => {
    const making: Levels = { kind: 'levels', level: usualLevel(means) };
    return fillWith(piece, space, { axis: 'up', making, parts: 1, members: 0 });
  },
};
