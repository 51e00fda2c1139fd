import { ZERO } from '../../../core/length/index.js';
import type { InPlace } from '../../../core/shells/index.js';
import { givenSize, sizes, type OnHand, type Usual } from '../means.js';
import { usualPanels } from '../panels/usual.js';

/** A place that is there, with its usual sizes. */
export interface Place extends Readonly<Record<'width' | 'height' | 'depth', Usual>> {
  readonly place: string;
}

/** What is built into a place that is there already. */
export function newInPlace(onHand: OnHand, { place, width, height, depth }: Place): InPlace {
  const usual = (size: Usual) => givenSize(sizes(onHand.unit)(...size));
  return {
    name: 'New piece',
    shell: 'in-place',
    place,
    width: usual(width),
    height: usual(height),
    depth: usual(depth),
    panels: usualPanels(onHand, ZERO),
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: true,
    interior: { id: 'inside', rule: { kind: 'share', weight: 1 }, things: [] },
  };
}
