import type { Level, Levels } from '../../../core/interiors/index.js';
import { sizes, woodFor, type FillingWay, type Means, type Use } from '../means.js';
import { fillWith } from '../parts.js';

export const RAIL = { use: 'rail', label: 'Rails of', thick: [21, 3 / 4] } as const satisfies Use;
export const DECK = { use: 'deck', label: 'Decks of', thick: [12, 1 / 2] } as const satisfies Use;

/** Rails on edge all round, with a deck round the posts. */
export function usualLevel(means: Means): Level {
  const s = sizes(means.unit);
  return {
    rails: { stock: woodFor(means, RAIL), wide: s(70, 2.75), front: true, rear: true, left: true, right: true },
    deck: { stock: woodFor(means, DECK), goes: 'round', gap: s(1, 1 / 32) },
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
