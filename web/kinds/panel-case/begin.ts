import { ZERO } from '../../../core/length/index.js';
import type { Piece } from '../../../core/piece/index.js';
import type { PanelCase } from '../../../core/shells/index.js';
import { givenSize, sizes, within, woodFor, type OnHand, type Usual } from '../means.js';
import { BACK, PANEL, usualPanels } from '../panels/usual.js';

/** Sizes that its panels are large enough for. */
const sized = (onHand: OnHand, width: Usual, height: Usual, depth: Usual) => ({
  width: givenSize(within(onHand, PANEL, 'length', width)),
  height: givenSize(within(onHand, PANEL, 'length', height)),
  depth: givenSize(within(onHand, PANEL, 'width', depth)),
});

/** A case to begin with. */
export function newCase(onHand: OnHand): PanelCase {
  const s = sizes(onHand.unit);
  const stock = woodFor(onHand, PANEL);
  return {
    name: 'New case',
    shell: 'panel-case',
    ...sized(onHand, [900, 36], [1800, 72], [300, 12]),
    base: { kind: 'toe', height: s(80, 3), setback: s(50, 2), bearers: true },
    top: 'between',
    bottom: 'between',
    back: { kind: 'none' },
    stock: { sides: stock, back: woodFor(onHand, BACK), base: stock },
    panels: usualPanels(onHand, s(10, 3 / 8)),
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: true,
    interior: { id: 'inside', rule: { kind: 'share', weight: 1 }, things: [] },
  };
}

/** A chest is lower and deeper than a case of shelves. */
export const newChest = (onHand: OnHand): PanelCase => ({
  ...newCase(onHand),
  ...sized(onHand, [800, 32], [900, 36], [500, 20]),
});

/** One that stands on something or hangs has no base of its own. */
export const withoutBase = (piece: Piece): Piece => ({ ...(piece as PanelCase), base: { kind: 'none' } });

/** One that stands anywhere is kept square by its back. */
export const cube = (piece: Piece): Piece => ({
  ...(withoutBase(piece) as PanelCase),
  back: { kind: 'applied' },
  fixedToWall: false,
  noOneOn: true,
});
