import { len, say, size, type Figure } from '../../figure/index.js';
import { ZERO, add, least, scale, sub, toMm, type Length } from '../../length/index.js';
import { FLOOR, atZ, onEdgeFrame, rectangular, slopeOf, uprightFrame, type Joint, type Lean, type Member } from '../../piece/index.js';
import type { Wood } from '../../project/index.js';
import { NOTHING, type Added } from './added.js';
import { LEANING, LEANING_NODE } from './ids.js';
import { levelWidth } from './sides.js';
import type { Leaning } from './spec.js';

/** A leg is at least so many times as long as its foot is high. */
const LEAST_LEG = 3;

const HANDS = ['left', 'right'] as const;

/** How wide legs may be: no wider than the sides, with enough left over their feet, and so that they lap the sides above these. */
function widest({ sides }: Leaning, lean: Lean, height: Length): Length {
  const slope = slopeOf(lean);
  return least([sides.wide, scale(height, 1 / (LEAST_LEG + 1)), scale(height, slope / (1 + slope))]);
}

/** Legs that are wider than they may be. */
function tooWide({ legs }: Leaning, most: Length): Added {
  if (!legs) return NOTHING;
  const edit = { kind: 'piece', patch: { legs: { ...legs, wide: most } } } as const;
  const sentence = say`Rear legs and feet ${len(legs.wide)} wide go past the sides, or lap them down to the feet: ${len(most)} at most where they lean so.`;
  return {
    ...NOTHING,
    problems: [{ id: 'legs-wide', about: 'legs', stops: true, sentence, fixes: [{ label: say`${len(most)} wide`, edit }] }],
  };
}

/**
 * Plumb legs under the heads of the sides, bolted on their outside, and feet on the floor that the legs stand on and that tie them
 * to the sides: it stands free of the wall.
 * @param off how far the heads of the sides are from the wall
 */
export function legsOf(
  piece: Leaning,
  lean: Lean,
  { width, height }: { readonly width: Figure; readonly height: Figure },
  off: Length,
  wood: Wood | null,
): Added {
  const { legs } = piece;
  if (!legs || !wood) return NOTHING;
  const most = widest(piece, lean, height.value);
  if (legs.wide > most) return tooWide(piece, most);
  const wide = size('rear legs, wide', legs.wide, { in: 'piece', field: 'legs.wide' });
  const long = height.minus(wide.named('the foot under it')).named('rear leg');
  const deep = lean.front.minus(size('heads off the wall', off)).named('foot');
  const at = { left: ZERO, right: sub(width.value, wood.thickness.value) };
  const common = { node: LEANING_NODE, wood, width: wide };
  const members = HANDS.flatMap((hand): Member[] => [
    rectangular({
      ...common,
      id: LEANING.leg(hand),
      role: 'leg',
      label: `rear leg, ${hand}`,
      length: long,
      frame: uprightFrame({ x: at[hand], y: legs.wide, z: off }),
    }),
    rectangular({
      ...common,
      id: LEANING.foot(hand),
      role: 'foot',
      label: `foot, ${hand}`,
      length: deep,
      // Its face looks to the left: it lies that much further right.
      frame: onEdgeFrame({ x: add(at[hand], wood.thickness.value), y: ZERO, z: off }),
    }),
  ]);
  const middleOfFoot = sub(lean.front.value, scale(levelWidth(piece.sides.wide, lean).value, 0.5));
  const joints = HANDS.flatMap((hand): Joint[] => {
    const [side, leg, foot] = [LEANING[hand], LEANING.leg(hand), LEANING.foot(hand)];
    return [
      { carried: side, carrier: FLOOR, how: 'bearing', on: atZ(middleOfFoot) },
      { carried: side, carrier: leg, how: 'bolts', on: atZ(add(off, scale(legs.wide, 2 / 3))) },
      // The foot ties it, and carries nothing of it.
      { carried: side, carrier: foot, how: 'bolts', part: 0 },
      { carried: leg, carrier: foot, how: 'bearing' },
      { carried: foot, carrier: FLOOR, how: 'bearing' },
    ];
  });
  return {
    ...NOTHING,
    members,
    joints,
    facts: [
      { name: 'rear leg', figure: long },
      { name: 'foot', figure: deep },
    ],
  };
}

/**
 * How high the middle of where a leg laps its side is, mm: that is a triangle, plumb along the leg's front edge and aslant
 * along the rear edge of the side, with its point at the head.
 * @example heldAt(mm(1900), mm(60), { degrees: asDegrees(45) }) // 1880
 */
export const heldAt = (height: Length, wide: Length, lean: Pick<Lean, 'degrees'>): number => toMm(height) - toMm(wide) / slopeOf(lean) / 3;
