import { asDegrees, type Degrees } from '../../measures/index.js';
import { len, say, type Sentence } from '../../figure/index.js';
import { add, mm, scale, toMm, type Length } from '../../length/index.js';
import { pieceFix, type Fix } from '../../finding/index.js';
import { uprightPart } from '../../piece/index.js';
import type { Candidate } from '../../remedies/index.js';
import type { Leaning } from './spec.js';

const patch = (label: Sentence, changed: Partial<Leaning>, looks: Sentence): Candidate => ({
  label,
  edit: { kind: 'piece', patch: changed },
  looks,
});

/** A candidate as a fix of a check. */
export const asFix = ({ label, edit }: Candidate): Fix => pieceFix(label, edit);

/** Wider sides, so much. */
const WIDER = mm(20);

export const widerSides = ({ sides }: Leaning): Candidate =>
  patch(say`Sides ${len(WIDER)} wider`, { sides: { ...sides, wide: add(sides.wide, WIDER) } }, say`sides that stand out more`);

/** A brace over the lowest shelf; none where it has one, or no shelf. */
export function braced({ brace, sides, interior }: Leaning): readonly Candidate[] {
  const [space] = interior.split?.spaces.slice(1) ?? [];
  if (brace || !space) return [];
  const one = { stock: sides.stock, wide: sides.wide, space: space.id };
  return [patch(say`A brace over the rear edges, over the lowest shelf`, { brace: one }, say`a strip aslant behind what stands there`)];
}

/** Rear legs half as wide as its sides; none where it has them. */
export function onRearLegs({ legs, sides }: Leaning): readonly Candidate[] {
  if (legs) return [];
  const half = { stock: sides.stock, wide: scale(sides.wide, 0.5) };
  return [patch(say`Stand it free on rear legs`, { legs: half }, say`a leg and a foot outside each side`)];
}

/** The same sides at two thirds of their lean; none where that is hardly any. */
export function steeper({ sides }: Leaning, degrees: Degrees, height: Length): readonly Candidate[] {
  const less = Math.round((degrees * 2) / 3);
  if (less < 3) return [];
  const lean = { by: 'angle', degrees: asDegrees(less), along: mm(toMm(height) / uprightPart({ degrees })) } as const;
  return [patch(say`Lean its sides by ${less}°`, { sides: { ...sides, lean } }, say`higher, and nearer to the wall`)];
}
