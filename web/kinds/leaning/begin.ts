import { ZERO } from '../../../core/length/index.js';
import { asDegrees } from '../../../core/measures/index.js';
import type { Space } from '../../../core/piece/index.js';
import type { Leaning } from '../../../core/shells/index.js';
import { givenSize, sizes, widthFor, within, woodFor, type OnHand, type Use } from '../means.js';
import { PANEL, usualPanels } from '../panels/usual.js';

const SIDE = { use: 'side', label: 'Sides of', thick: [18, 3 / 4], wide: [120, 5.5] } as const satisfies Use;

/** Four shelves, each less deep than the one below, between two boards that lean on a wall. */
export function newLeaning(onHand: OnHand): Leaning {
  const s = sizes(onHand.unit);
  const space = (id: string, weight = 1): Space => ({ id, rule: { kind: 'share', weight }, things: [] });
  const usual = usualPanels(onHand, ZERO);
  const deeps = [s(260, 10.5), s(220, 9), s(180, 7.5)];
  return {
    name: 'New leaning rack',
    shell: 'leaning',
    width: givenSize(s(700, 28)),
    height: givenSize(s(1760, 70)),
    depth: givenSize(within(onHand, PANEL, 'width', [300, 12])),
    sides: {
      stock: woodFor(onHand, SIDE),
      wide: widthFor(onHand, SIDE),
      lean: { by: 'angle', degrees: asDegrees(12), along: within(onHand, SIDE, 'length', [1800, 72]) },
    },
    panels: { ...usual, shelves: { ...usual.shelves, fix: 'housed' } },
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: true,
    noOneOn: true,
    interior: {
      id: 'inside',
      rule: { kind: 'share', weight: 1 },
      things: [],
      split: {
        axis: 'up',
        members: [{ id: 'shelf-1' }, ...deeps.map((deep, i) => ({ id: `shelf-${i + 2}`, deep }))],
        spaces: [space('under'), space('space-1'), space('space-2'), space('space-3'), space('over', 0.5)],
      },
    },
  };
}
