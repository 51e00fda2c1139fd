import { radians, inDegrees, asDegrees, type Degrees } from '../../measures/index.js';
import { Figure, size } from '../../figure/index.js';
import type { NeedContext } from '../../interiors/kind.js';
import { mm, toMm } from '../../length/index.js';
import type { Wood } from '../../project/index.js';
import { axisSize, type AxisSize } from '../overall.js';
import type { Folding } from './spec.js';

/** How the legs of a folding table stand. */
export interface Stance {
  readonly height: AxisSize;
  /** From the holes at the feet up to those at the top, and level between the feet. */
  readonly vertical: Figure;
  readonly apart: Figure;
  /** From hole to hole of a leg, over all of it, and from either end to where it crosses. */
  readonly between: Figure;
  readonly leg: Figure;
  readonly crossing: Figure;
  /** From the floor, degrees. */
  readonly degrees: Degrees;
}

const tangent = (degrees: Degrees) => Math.tan(radians(degrees));

/** How the legs stand, by two of their height, their spread and their angle. */
export function stanceOf(piece: Folding, context: NeedContext, top: Wood): Stance {
  const { legs, pivot } = piece;
  const field = (name: string) => ({ in: 'piece', field: name }) as const;
  const off = [
    top.thickness.named('top'),
    size('pivot below the top', pivot.below, field('pivot.below')),
    size('end of a leg under its hole', legs.round, field('legs.round')),
  ];
  const given = legs.apart === undefined ? null : size('feet apart', legs.apart, field('legs.apart'));
  const angle = Figure.leaf('angle', legs.degrees ?? 0, 'from the floor', field('legs.degrees'));
  if (given && legs.degrees !== undefined) {
    const vertical = Figure.formula(
      'length',
      'feet apart × tan of the angle',
      [given, angle],
      mm(toMm(given.value) * tangent(asDegrees(legs.degrees))),
    );
    const overall = off.reduce((sum, f) => sum.plus(f), vertical).named('overall height');
    return legOf(piece, { overall, problems: [], assumed: false }, vertical, given, asDegrees(legs.degrees));
  }
  const height = axisSize(piece, 'height', context, [], []);
  const vertical = off.reduce((rest, f) => rest.minus(f), height.overall).named('from hole to hole, up');
  const apart =
    given ??
    Figure.formula(
      'length',
      'up from hole to hole / tan of the angle',
      [vertical, angle],
      mm(toMm(vertical.value) / Math.max(1e-6, tangent(asDegrees(legs.degrees ?? 55)))),
    ).named('feet apart');
  return legOf(piece, height, vertical, apart, inDegrees(Math.atan2(toMm(vertical.value), toMm(apart.value))));
}

function legOf({ legs }: Folding, height: AxisSize, vertical: Figure, apart: Figure, degrees: Degrees): Stance {
  const long = Math.hypot(toMm(vertical.value), toMm(apart.value));
  const between = Figure.formula('length', '√(up² + apart²)', [vertical, apart], mm(long)).named('from hole to hole');
  const ends = size('end past its hole', legs.round, { in: 'piece', field: 'legs.round' });
  const leg = between.plus(ends.times(2).named('both ends past their holes')).named('leg');
  return { height, vertical, apart, between, leg, crossing: leg.over(2, 'from either end').named('crossing hole'), degrees };
}
