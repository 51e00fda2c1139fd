import { ZERO } from '../../../core/length/index.js';
import type { PanelCase } from '../../../core/shells/index.js';
import { givenSize, sizes, within, woodFor, type OnHand, type Usual } from '../means.js';
import { BACK, PANEL, usualPanels } from '../panels/usual.js';

/** What decides the outside of a case that is begun. */
export type CaseFrom = { readonly kind: 'opening'; readonly id: string } | { readonly kind: 'contents' } | { readonly kind: 'sizes' };

/** Sizes that its panels are large enough for. */
const sized = (onHand: OnHand, width: Usual, height: Usual, depth: Usual) => ({
  width: givenSize(within(onHand, PANEL, 'length', width)),
  height: givenSize(within(onHand, PANEL, 'length', height)),
  depth: givenSize(within(onHand, PANEL, 'width', depth)),
});

function outside(onHand: OnHand, from: CaseFrom): Pick<PanelCase, 'opening' | 'width' | 'height' | 'depth'> {
  if (from.kind === 'sizes') return sized(onHand, [900, 36], [1800, 72], [300, 12]);
  if (from.kind === 'contents') return { width: { from: 'contents' }, height: { from: 'contents' }, depth: { from: 'contents' } };
  return { opening: from.id, width: { from: 'opening' }, height: { from: 'opening' }, depth: { from: 'opening' } };
}

/** A case to begin with: from an opening, from what it holds, or from sizes. */
export function newCase(onHand: OnHand, from: CaseFrom): PanelCase {
  const s = sizes(onHand.unit);
  const stock = woodFor(onHand, PANEL);
  return {
    name: 'New case',
    shell: 'panel-case',
    ...outside(onHand, from),
    base: { kind: 'toe', height: s(80, 3), setback: s(50, 2), bearers: true },
    top: 'between',
    bottom: 'between',
    back: { kind: 'none' },
    stock: { sides: stock, back: woodFor(onHand, BACK), base: stock },
    panels: usualPanels(onHand, s(10, 3 / 8)),
    edges: { front: 'eased', banding: ZERO },
    // Tall storage is fixed to the wall regardless; what is made round things may be a low table, and is told where it is tall.
    fixedToWall: from.kind !== 'contents',
    interior: { id: 'inside', rule: { kind: 'share', weight: 1 }, things: [] },
  };
}

/** A chest is lower and deeper than a case of shelves. */
export const newChest = (onHand: OnHand): PanelCase => ({
  ...newCase(onHand, { kind: 'sizes' }),
  ...sized(onHand, [800, 32], [900, 36], [500, 20]),
});
