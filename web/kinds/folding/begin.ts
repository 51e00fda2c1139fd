import { ZERO, fromUnits } from '../../../core/length/index.js';
import type { Folding } from '../../../core/shells/index.js';
import { givenSize, sizes, widthFor, woodFor, type OnHand, type Use } from '../means.js';
import { PANEL, usualPanels } from '../panels/usual.js';

/** What is crossed, drilled and hinged is neither thick nor broad. */
const THIN = { thick: [21, 3 / 4], thickest: [30, 1.125] } as const;
const LEG = { use: 'leg', label: 'Legs of', ...THIN, wide: [40, 1.5], widest: [50, 2] } as const satisfies Use;
const BAR = { use: 'bar', label: 'Bars of', ...THIN, wide: [45, 1.75], widest: [70, 2.5] } as const satisfies Use;
const STRETCHER = { use: 'stretcher', label: 'Stretchers of', ...THIN, wide: [60, 2.5], widest: [70, 2.5] } as const satisfies Use;

const TOP = { ...PANEL, use: 'top', broad: [450, 18] } as const satisfies Use;

/** A small table on legs that cross, with a top of a size that is given. */
export function newFolding(onHand: OnHand): Folding {
  const s = sizes(onHand.unit);
  const wide = widthFor(onHand, LEG);
  return {
    name: 'New folding table',
    shell: 'folding',
    width: givenSize(s(550, 22)),
    height: givenSize(s(640, 25)),
    depth: givenSize(s(450, 18)),
    top: { stock: woodFor(onHand, TOP), between: s(15, 5 / 8), margin: s(20, 3 / 4) },
    // Round at its ends, over its whole width.
    legs: { stock: woodFor(onHand, LEG), wide, round: fromUnits(wide / 2), over: s(530, 21), spacer: s(2, 1 / 16), apart: s(430, 17) },
    pivot: { below: s(23, 7 / 8), pin: s(8, 5 / 16) },
    bars: { stock: woodFor(onHand, BAR), wide: widthFor(onHand, BAR) },
    stretchers: { stock: woodFor(onHand, STRETCHER), wide: widthFor(onHand, STRETCHER), up: s(110, 4.5) },
    panels: usualPanels(onHand, ZERO),
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: false,
    noOneOn: true,
    interior: { id: 'inside', rule: { kind: 'share', weight: 1 }, things: [] },
  };
}
