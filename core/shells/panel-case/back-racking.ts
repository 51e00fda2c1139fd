import type { Newtons } from '../../measures/index.js';
import { lateral, panelShear, pushOf, rowBetween, stateOf, type Carried, type State } from '../../carry/index.js';
import { sub, toMm, type Length, type LengthUnit } from '../../length/index.js';
import { boxOf, type Member, type Shape } from '../../piece/index.js';
import type { Settings } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import type { PanelCase } from './spec.js';

/** Screws round a back, one so often, mm, typical. */
const BACK_SPACING = 200;

/** What keeps a piece from leaning to one side. */
export interface Racking {
  /** The push at the top, N. */
  readonly push: Newtons;
  readonly by: 'wall' | 'screwed back' | 'glued back' | 'loose back' | 'nothing';
  /** What that takes, N; null where it is not one figure. */
  readonly takes: number | null;
  readonly state: State;
  /** Why it is not checked. */
  readonly reason?: string;
}

/** What a screwed back takes: the lateral value of one screw over their spacing, along the width of the back. */
function screwedBack(back: Member, side: Member, wide: number, push: Newtons, unit: LengthUnit): Racking {
  const row = rowBetween(side, back, unit);
  const value = 'why' in row ? null : lateral(row.joint);
  if (!value?.judged) {
    const reason = value && !value.judged ? value.reason : 'no screw that stays inside holds it';
    return { push, by: 'screwed back', takes: null, state: 'not checked', reason };
  }
  const takes = (value.newtons / BACK_SPACING) * wide;
  return { push, by: 'screwed back', takes, state: stateOf(push, takes) };
}

/** A back glued into its grooves is a panel in shear all across. */
function gluedBack(back: Member, wide: number, push: Newtons, { serviceClass }: Settings): Racking {
  const strength = panelShear(propertiesOf(back.stock).material, serviceClass);
  if (!strength.judged) return { push, by: 'glued back', takes: null, state: 'not checked', reason: strength.reason };
  const takes = strength.allowed * toMm(back.thickness.value) * wide;
  return { push, by: 'glued back', takes, state: stateOf(push, takes) };
}

/**
 * What keeps a case from leaning to the left or the right under a push at its top: the wall it is fixed to, or its
 * back by its screws or its glue. Shelves alone, butted or housed, count for nothing. From the front to the rear its
 * sides are whole panels, which do not rack.
 */
export function rackingOf(piece: PanelCase, shape: Shape, carried: Carried, settings: Settings): Racking {
  const push = pushOf(carried);
  if (piece.fixedToWall) return { push, by: 'wall', takes: null, state: 'fine' };
  const back = shape.members.find((m) => m.role === 'back');
  const sides = shape.members.filter((m) => m.role === 'side');
  const [side] = sides;
  if (!back || !side) return { push, by: 'nothing', takes: 0, state: 'fails' };
  const across = sides.map(boxOf);
  const wide = toMm(sub(Math.max(...across.map((b) => b.x1)) as Length, Math.min(...across.map((b) => b.x0)) as Length));
  if (piece.back.kind !== 'groove') return screwedBack(back, side, wide, push, settings.unit);
  if (piece.back.glued) return gluedBack(back, wide, push, settings);
  return { push, by: 'loose back', takes: null, state: 'not checked', reason: 'it is loose in its grooves' };
}
