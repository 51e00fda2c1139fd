import { ZERO } from '../../../core/length/index.js';
import type { InPlace } from '../../../core/shells/index.js';
import { sizes, type OnHand, type Usual } from '../means.js';
import { usualPanels } from '../panels/usual.js';

/** A place that is there, with its usual sizes. */
export interface Place extends Readonly<Record<'width' | 'height' | 'depth', Usual>> {
  readonly place: string;
}

/** What is built into a place that is there already. */
export function newInPlace(onHand: OnHand, { place, width, height, depth }: Place): InPlace {
  const given = (size: Usual) => ({ from: 'given' as const, size: sizes(onHand.unit)(...size), of: 'overall' as const });
  return {
    name: 'New piece',
    shell: 'in-place',
    place,
    width: given(width),
    height: given(height),
    depth: given(depth),
    panels: usualPanels(onHand, ZERO),
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: true,
    interior: { id: 'inside', rule: { kind: 'share', weight: 1 }, things: [] },
  };
}
