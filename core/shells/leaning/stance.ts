import { radians, inDegrees, asDegrees, type Degrees } from '../../measures/index.js';
import { Figure, len, say, size } from '../../figure/index.js';
import type { NeedContext } from '../../interiors/kind.js';
import { mm, toMm } from '../../length/index.js';
import { alongOf, type ShapeProblem } from '../../piece/index.js';
import { axisSize } from '../overall.js';
import type { Leaning, LeanBy } from './spec.js';

/** How a leaning piece stands. */
export interface Stance {
  /** How far its sides are off plumb, degrees; NaN where what is given can't be. */
  readonly degrees: Degrees;
  /** How long the sides are along each edge, how high they reach, and how far their foot is out from under their head. */
  readonly along: Figure;
  readonly height: Figure;
  readonly out: Figure;
  readonly assumed: boolean;
  readonly problems: readonly ShapeProblem[];
}

/** What leans less stands, and what leans more slides or lies. */
export const LEANS = { least: 2, most: 40 } as const;

/** How far off plumb the sides are by what is given of them, degrees; NaN where that can't be. */
function degreesOf(lean: LeanBy, height: Figure | null): Degrees {
  if (lean.by === 'angle') return lean.degrees;
  if (lean.by === 'height') return inDegrees(Math.acos(toMm((height as Figure).value) / toMm(lean.along)));
  const out = toMm(lean.out);
  return inDegrees(lean.along === undefined ? Math.atan(out / toMm((height as Figure).value)) : Math.asin(out / toMm(lean.along)));
}

function tooSteep({ sides }: Leaning, degrees: Degrees, height: Figure | null): ShapeProblem[] {
  if (degrees >= LEANS.least && degrees <= LEANS.most) return [];
  const { lean } = sides;
  const given = Number.isNaN(degrees)
    ? lean.by === 'height'
      ? say`Sides ${len(lean.along)} long do not reach ${len((height as Figure).value)} high.`
      : say`A foot ${len((lean as { out: typeof sides.wide }).out)} out is further than sides ${len(lean.along ?? sides.wide)} long reach.`
    : say`The sides are ${degrees.toFixed(1)}° off plumb: what leans less than ${LEANS.least}° does not stay at the wall, and what leans more than ${LEANS.most}° slides.`;
  const patch = {
    sides: { ...sides, lean: { by: 'angle', degrees: asDegrees(12), ...(lean.along === undefined ? {} : { along: lean.along }) } },
  } as const;
  return [
    {
      id: 'lean',
      about: 'sides',
      stops: true,
      sentence: given,
      fixes: [{ label: say`Lean them by 12°`, edit: { kind: 'piece', patch } }],
    },
  ];
}

/** How a leaning piece stands, by two of its angle, its foot, its height and the length of its sides. */
export function stanceOf(piece: Leaning, context: NeedContext): Stance {
  const { lean } = piece.sides;
  const field = (of: string) => ({ in: 'piece', field: `sides.lean.${of}` }) as const;
  const byHeight = lean.by === 'height' || lean.along === undefined ? axisSize(piece, 'height', context, [], []) : null;
  const degrees = degreesOf(lean, byHeight?.overall ?? null);
  const problems = [...(byHeight?.problems ?? []), ...tooSteep(piece, degrees, byHeight?.overall ?? null)];
  const known = Number.isFinite(degrees) && degrees < 90 ? degrees : 0;
  const angle = Figure.leaf('angle', degrees, 'lean', field(lean.by === 'angle' ? 'degrees' : lean.by === 'foot' ? 'out' : 'along'));
  const given = lean.along === undefined ? null : size('sides, along', lean.along, field('along'));
  const along = given ?? alongOf({ degrees: asDegrees(known) }, (byHeight as { overall: Figure }).overall).named('sides, along');
  const height =
    byHeight?.overall ??
    Figure.formula(
      'length',
      'along the sides × cos of the lean',
      [along, angle],
      mm(toMm(along.value) * Math.cos(radians(asDegrees(known)))),
    ).named('overall height');
  const out =
    lean.by === 'foot'
      ? size('foot, out', lean.out, field('out'))
      : Figure.formula(
          'length',
          'along the sides × sin of the lean',
          [along, angle],
          mm(toMm(along.value) * Math.sin(radians(asDegrees(known)))),
        ).named('foot, out');
  return { degrees, along, height, out, assumed: byHeight?.assumed ?? false, problems };
}
