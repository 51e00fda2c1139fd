import { ZERO } from '../../../core/length/index.js';
import type { Space } from '../../../core/piece/index.js';
import type { WallBoard } from '../../../core/shells/index.js';
import { givenSize, sizes, within, woodFor, type OnHand } from '../means.js';
import { PANEL, usualPanels } from '../panels/usual.js';

/** Three bays of shelves between fins that stand out from a board on the wall. */
export function newWallBoard(onHand: OnHand): WallBoard {
  const s = sizes(onHand.unit);
  const space = (id: string): Space => ({ id, rule: { kind: 'share', weight: 1 }, things: [] });
  const usual = usualPanels(onHand, ZERO);
  const bay = (n: number): Space => ({
    ...space(`bay-${n}`),
    split: {
      axis: 'up',
      members: [{ id: `shelf-${n}-1` }, { id: `shelf-${n}-2`, deep: s(130, 5) }],
      spaces: [space(`under-${n}`), space(`space-${n}`), space(`over-${n}`)],
    },
  });
  return {
    name: 'New wall board',
    shell: 'wall-board',
    width: givenSize(within(onHand, PANEL, 'length', [1200, 48])),
    height: givenSize(within(onHand, PANEL, 'width', [600, 24])),
    depth: givenSize(s(200, 8)),
    board: { stock: woodFor(onHand, PANEL), bare: { ends: s(60, 2.5), above: s(60, 2.5), below: s(60, 2.5) } },
    fins: { stock: woodFor(onHand, PANEL), front: 'sloped' },
    panels: { ...usual, shelves: { ...usual.shelves, fix: 'housed', housing: s(4, 3 / 16) } },
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: true,
    noOneOn: true,
    interior: {
      id: 'inside',
      rule: { kind: 'share', weight: 1 },
      things: [],
      split: {
        axis: 'across',
        members: [{ id: 'fin-1' }, { id: 'fin-2' }],
        spaces: [1, 2, 3].map(bay),
      },
    },
  };
}
