import { len, say, type Sentence } from '../../figure/index.js';
import { add, mm, scale, sub, toMm, type Length } from '../../length/index.js';
import type { PieceEdit, ShapeProblem } from '../../piece/index.js';
import type { Woods } from './bars.js';
import type { Folding } from './spec.js';
import type { Stance } from './stance.js';

/** Legs flatter than this, or steeper, do not stand. */
const STANDS = { least: 25, most: 80 } as const;

/** Why the room under the top stays as it is. */
export const KEPT_FREE = 'Its legs fold through the room under the top: nothing can be built there.';

const patch = (change: Partial<Folding>): PieceEdit => ({ kind: 'piece', patch: change });

function problem(id: string, sentence: Sentence, fixes: ShapeProblem['fixes'] = [], stops = true): ShapeProblem[] {
  return [{ id, about: 'legs', stops, sentence, fixes }];
}

/** Legs that can not stand so. */
export function legProblems(piece: Folding, stance: Stance): readonly ShapeProblem[] {
  const { legs } = piece;
  const { degrees, between } = stance;
  const apart = { legs: { ...withoutAngle(legs), apart: scale(stance.vertical.value, 0.75) } };
  if (stance.vertical.value <= 0 || toMm(between.value) <= 2 * toMm(legs.round))
    return problem(
      'leg-short',
      say`A leg ${len(between.value)} from hole to hole is no longer than its rounded ends, ${len(legs.round)} each: make the table higher.`,
    );
  if (degrees < STANDS.least || degrees > STANDS.most)
    return problem(
      'leg-angle',
      say`The legs stand at ${degrees.toFixed(1)}° from the floor: flatter than ${STANDS.least}° they slide apart, and steeper than ${STANDS.most}° they tip.`,
      stance.vertical.value > 0 ? [{ label: say`Feet three quarters as far apart as they are high`, edit: patch(apart) }] : [],
    );
  return [];
}

const withoutAngle = ({ degrees, ...legs }: Folding['legs']): Omit<Folding['legs'], 'degrees'> => {
  void degrees;
  return legs;
};

/** The holes at the heads of the legs past the edges of the top, or the bar there standing out before it. */
function pastTheTop(piece: Folding, { apart }: Stance, deep: Length, woods: Woods): ShapeProblem[] {
  const { legs } = piece;
  // Half of the top is from its middle to its edge; the wall of the seat bar ends so far from there.
  const most = sub(deep, scale(add(legs.round, woods.bars.thickness.value), 2));
  const nearer = (to: Length) => ({ label: say`Feet ${len(to)} apart`, edit: patch({ legs: { ...withoutAngle(legs), apart: to } }) });
  const fixes = [
    ...(most > 0 ? [nearer(most)] : []),
    ...(piece.depth.from === 'given'
      ? [
          {
            label: say`A top as much deeper`,
            edit: patch({
              depth: { from: 'given', size: add(apart.value, scale(add(legs.round, woods.bars.thickness.value), 2)), of: 'overall' },
            }),
          },
        ]
      : []),
  ];
  if (apart.value >= deep)
    return problem(
      'top-short',
      say`Feet ${len(apart.value)} apart put the heads of the legs past a top ${len(deep)} deep: nothing holds it there.`,
      fixes,
    );
  const out = scale(sub(apart.value, most), 0.5);
  if (out <= 0) return [];
  return problem(
    'bar-out',
    say`The wall of the seat bar stands ${len(out)} out before the top, since the feet are ${len(apart.value)} apart.`,
    fixes,
    false,
  );
}

/** What of a folding table does not go together. */
export function foldingProblems(piece: Folding, stance: Stance, flat: number, deep: Length, woods: Woods): readonly ShapeProblem[] {
  const { legs, pivot, bars, interior, stretchers } = piece;
  const half = scale(legs.wide, 0.5);
  return [
    ...pastTheTop(piece, stance, deep, woods),
    ...(interior.split || interior.filling
      ? problem('folding-inside', say`${KEPT_FREE}`, [{ label: say`Empty it`, edit: { kind: 'clear', space: interior.id } }])
      : []),
    ...(legs.round > half
      ? problem('leg-round', say`Ends rounded by ${len(legs.round)} are broader than legs ${len(legs.wide)} wide: ${len(half)} at most.`, [
          { label: say`Half of their width`, edit: patch({ legs: { ...legs, round: half } }) },
        ])
      : []),
    ...(legs.round <= half && Number.isNaN(flat)
      ? problem(
          'pivot-high',
          say`The ends of the legs reach ${len(legs.round)} past their holes, and the pivot is only ${len(pivot.below)} below the top: they foul it.`,
          [{ label: say`The pivot 2 lower than that`, edit: patch({ pivot: { ...pivot, below: add(legs.round, mm(2)) } }) }],
        )
      : []),
    ...(pivot.pin * 3 > legs.wide
      ? problem('pin-thick', say`A pin of ${len(pivot.pin)} leaves too little of legs ${len(legs.wide)} wide: a third of that at most.`, [
          {
            label: say`A pin of ${len(mm(Math.floor(toMm(legs.wide) / 3)))}`,
            edit: patch({ pivot: { ...pivot, pin: mm(Math.floor(toMm(legs.wide) / 3)) } }),
          },
        ])
      : []),
    ...(bars.wide < 2 * woods.bars.thickness.value
      ? problem(
          'bar-narrow',
          say`A bar ${len(bars.wide)} wide and ${len(woods.bars.thickness.value)} thick leaves no rebate beside its wall: ${len(scale(woods.bars.thickness.value, 2))} at least.`,
          [{ label: say`Twice as wide as thick`, edit: patch({ bars: { ...bars, wide: scale(woods.bars.thickness.value, 2) } }) }],
        )
      : []),
    ...(stretchers.rod !== undefined && stretchers.rod > legs.wide
      ? problem('rod-thick', say`A rod of ${len(stretchers.rod)} is thicker than the legs are wide.`, [
          { label: say`Half of their width`, edit: patch({ stretchers: { ...stretchers, rod: half } }) },
        ])
      : []),
  ];
}
